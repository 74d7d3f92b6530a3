import { plugins } from '@citation-js/core';
import '@citation-js/plugin-bibtex';
import '@citation-js/plugin-ris';
import type { StudyInput } from '@wheat-ledger/contract';
import { cut, fromCsl, type BrokenReference, type CslItem, type ReadReferences } from './citations';

/** The entries of a BibTeX file. One whose braces do not close ends where the next begins on a line of its own, so that it breaks no other. */
export function splitBibtex(text: string): readonly string[] {
  const starts = [...text.matchAll(/^[ \t]*@[A-Za-z]+\s*[{(]/gm)].map((m) => m.index);
  return starts
    .map((from, i) => text.slice(from, starts[i + 1]).trim())
    .filter((entry) => !/^@(comment|preamble|string)\b/i.test(entry));
}
/** The entries of a RIS file. */
const splitRis = (text: string): readonly string[] =>
  text
    .split(/^ER {2}-.*$/m)
    .map((entry) => entry.trim())
    .filter((entry) => entry !== '')
    .map((entry) => `${entry}\nER  - \n`);

/** Reads one entry as CSL; the type is forced, so that nothing is looked up anywhere. */
function parsed(entry: string, type: string): readonly CslItem[] {
  return plugins.input.chain(entry, { forceType: type, generateGraph: false }) as readonly CslItem[];
}
/** BibTeX whose braces do not close is read leniently by nobody: what it means is a guess. */
function unbalanced(entry: string): boolean {
  let depth = 0;
  for (const c of entry.replace(/\\[{}]/g, '')) {
    depth += c === '{' ? 1 : c === '}' ? -1 : 0;
    if (depth < 0) return true;
  }
  return depth !== 0;
}

function collect<T>(
  entries: readonly T[],
  begins: (entry: T) => string,
  read: (entry: T) => readonly CslItem[],
): ReadReferences {
  const studies: StudyInput[] = [];
  const broken: BrokenReference[] = [];
  entries.forEach((entry, i) => {
    try {
      const items = read(entry);
      if (items.length === 0) throw new Error('nothing was found in it');
      studies.push(...items.map(fromCsl));
    } catch (e) {
      const why = e instanceof Error ? cut(e.message, 160) : 'it could not be read';
      broken.push({ at: i + 1, begins: cut(begins(entry), 60), why });
    }
  });
  return { studies, broken };
}

/**
 * Reads a reference file: BibTeX, RIS or CSL-JSON, told apart by how it begins. Each entry is read by itself, so that a broken one costs no other.
 * @throws Error where it is none of these
 */
export function readReferences(text: string): ReadReferences {
  const trimmed = text.replace(/^\uFEFF/, '').trim();
  if (/^[[{]/.test(trimmed)) {
    const json: unknown = JSON.parse(trimmed);
    const items = (Array.isArray(json) ? json : [json]) as readonly CslItem[];
    return collect(
      items,
      (item) => JSON.stringify(item),
      (item) => [item],
    );
  }
  if (/^TY {2}-/m.test(trimmed))
    return collect(
      splitRis(trimmed),
      (e) => e,
      (e) => parsed(e, '@ris/file'),
    );
  const entries = splitBibtex(trimmed);
  if (entries.length === 0) throw new Error('Read no references, expected a file of BibTeX, RIS or CSL-JSON.');
  return collect(
    entries,
    (e) => e,
    (e) => {
      if (unbalanced(e)) throw new Error('its braces do not close');
      return parsed(e, '@bibtex/text');
    },
  );
}

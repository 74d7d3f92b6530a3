import { analyteNamed, plainName } from './names.js';
import { findValues, type FoundValue } from './values.js';

/** A value of a line with the name that belongs to it. */
export interface Pair {
  readonly name: string;
  readonly found: FoundValue;
  /** What stands between the value before and this one. */
  readonly before: string;
}

/** A name without a bracket that is still open, and without what a colon sets apart: "Analysis w/w: N". */
function nameIn(text: string): string {
  const open = text.replace(/\([^)]*$/, '');
  const last = /:([^:]*\p{L}[^:]*)$/u.exec(open)?.[1];
  return last !== undefined && analyteNamed(open) === undefined ? last : open;
}

/**
 * Name and value pairs of a line: "Nitrogen 5 %" or "5 % Nitrogen", several in a row when each value has its own name. Which of the two a line
 * is, is told by the side on which more names are known.
 * @example pairsIn('Analysis: N 3.5 %, P 2.2 %').map((p) => p.name.trim()) // ['N', ', P']
 */
export function pairsIn(line: string): readonly Pair[] {
  const values = findValues(line);
  const before = values.map((found, i) => line.slice(values[i - 1]?.end ?? 0, found.start));
  const ahead = before.map(nameIn);
  const behind = values.map((found, i) => line.slice(found.end, values[i + 1]?.start ?? line.length));
  const known = (names: readonly string[]): number => names.filter((n) => analyteNamed(n) !== undefined).length;
  const [k, l] = [known(ahead), known(behind)];
  const nameFirst = k > l || (k === l && (k > 0 ? analyteNamed(ahead[0] ?? '') !== undefined : values.length === 1 && plainName(before[0] ?? '') !== ''));
  return values.map((found, i) => ({ found, before: before[i] ?? '', name: (nameFirst ? ahead : behind)[i] ?? '' }));
}

/** "(3.5 % P)" after an oxide restates it as the element: checked against it, not counted again. */
export function restated(line: string): { readonly rest: string; readonly bracket: string | undefined } {
  const bracket = /\(([^()]*\d[^()]*%[^()]*)\)/.exec(line);
  return bracket ? { rest: line.replace(bracket[0], ' '), bracket: bracket[1] } : { rest: line, bracket: undefined };
}

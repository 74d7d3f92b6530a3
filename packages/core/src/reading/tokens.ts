import { findUnit, measuresNamed, parseNumber, type DecimalMark } from '../quantity/index.js';
import { forAmount } from './amounts.js';
import { asNeighboursTell } from './symbols.js';
import type { Token } from './token.js';
import { unitAt } from './units.js';
import { meaningsOf, MOST_WORDS, plainWord, unitWord, type Meaning } from './words/lookup.js';

/** A number as papers print it, with marks or spaces between thousands. */
const NUMBER = /(?:\d{1,3}(?:[ \u00a0\u202f']\d{3})+(?:[.,]\d+)?|\d+(?:[.,]\d+)*|[½¼¾⅓⅔⅛]|\.\d+)(?!\d)/y;
const FRACTION = /(?:\d+\s+)?\d\/\d(?!\d|\/)/y;
const WORD = /\p{L}[\p{L}\p{M}\p{N}]*/uy;
/** What may stand between the words of a phrase. */
const GAP = /(?:\.? |[-‐‑'’.])(?=\p{L})/uy;
/** The longest name of a unit has three words: "cu. ft.", "fl oz", "US fl oz". */
const MOST_UNIT_WORDS = 3;
const UNIT_WORD = /\p{L}[\p{L}\p{M}.'’²³]*\d?/uy;
/** The mark of an estimated quantity stands behind what a package holds. */
const ESTIMATED = '℮';
/** Letters behind a unit that tell its basis: dry matter. */
const DRY_BEHIND =
  /\s?\(?(?:i\.?\s?d\.?\s?)?(?:DM|DW|DS|TS|TM|MS|SS|d\.m\.?|m\.s\.?|d\.s\.?|t\.s\.?|s\.s\.?|ds|ts|tm|dm|ms)(?![\p{L}\d])\)?/uy;

const match = (pattern: RegExp, line: string, at: number): string | undefined => {
  pattern.lastIndex = at;
  return pattern.exec(line)?.[0];
};

function numberAt(line: string, at: number, mark: DecimalMark | undefined): Token | undefined {
  if (/[\p{L}_]/u.test(line[at - 1] ?? '')) return undefined;
  const text = match(FRACTION, line, at) ?? match(NUMBER, line, at);
  if (text === undefined) return undefined;
  const read = parseNumber(text.replace(/'/g, ' '), mark);
  const end = at + text.length;
  // Digits that run on into letters, such as 1O, are no number, unless a unit begins there.
  const runsOn =
    /\p{L}/u.test(line[end] ?? '') && !/[x]/i.test(line[end] ?? '') && !unitAt(line, end) && !measureAt(line, end);
  // "N0.5 %" has its first digit in a word: what is left of it is not the number.
  const broken = /[\p{L}_]\d+[.,]?$/u.test(line.slice(Math.max(0, at - 12), at));
  const readings = runsOn || broken ? [] : read.ok ? [read.value] : (read.readings ?? []);
  const spaced = /\d[ \u00a0\u202f]\d{3}/.test(text);
  return { kind: 'number', text, start: at, end, readings, spaced };
}

function measureAt(line: string, at: number): Token | undefined {
  let found: Token | undefined;
  let end = at;
  for (let words = 1; words <= MOST_UNIT_WORDS; words++) {
    const gap = words === 1 ? '' : line[end] === ' ' ? ' ' : undefined;
    const word = gap === undefined ? undefined : match(UNIT_WORD, line, end + gap.length);
    if (gap === undefined || word === undefined) break;
    end += gap.length + word.length;
    const text = line.slice(at, end);
    const bare = text.replace(/\.+$/, '');
    // On a paper "3.5 Mg" is magnesium, not a tonne.
    if (bare === 'Mg') break;
    const symbol = findUnit(bare)?.symbol ?? unitWord(plainWord(bare));
    const units = measuresNamed(bare) ?? (symbol === undefined ? undefined : [symbol]);
    if (units) found = { kind: 'unit', text, start: at, end, units };
  }
  return found;
}

/** The word, or the longest phrase that tells something, at a place. */
function wordAt(line: string, at: number): Token | undefined {
  const first = match(WORD, line, at);
  if (first === undefined) return undefined;
  let phrase = plainWord(first);
  let end = at + first.length;
  let best = { end, means: meaningsOf(phrase) };
  for (let words = 2; words <= MOST_WORDS; words++) {
    const gap = match(GAP, line, end);
    const word = gap === undefined ? undefined : match(WORD, line, end + gap.length);
    if (gap === undefined || word === undefined) break;
    end += gap.length + word.length;
    phrase += ` ${plainWord(word)}`;
    const means = meaningsOf(phrase);
    if (means.size > 0) best = { end, means };
  }
  return { kind: 'word', text: line.slice(at, best.end), start: at, end: best.end, means: best.means };
}

/** Lines read last: a paper is read again with every key that is typed, and most of its lines are the same. */
const remembered = new Map<string, readonly Token[]>();
const MOST_REMEMBERED = 1000;

/**
 * A line in pieces: numbers with what they can mean, units, words with what they tell, and signs. A measure such as g is one only behind a number,
 * so that "G" of a name is none.
 * @param mark the decimal mark of the whole paper, where it is known
 * @example tokenize('Net Wt. 50 LB (22.7 kg)') // word net, number 50, unit lb, sign (, number 22.7, unit kg, sign )
 */
export function tokenize(line: string, mark?: DecimalMark): readonly Token[] {
  const key = `${mark ?? ''}|${line}`;
  const known = remembered.get(key);
  if (known) return known;
  const tokens: Token[] = [];
  let at = 0;
  while (at < line.length) {
    if (/\s/.test(line[at] ?? '')) {
      at++;
      continue;
    }
    const token = tokenAt(line, at, tokens, mark);
    tokens.push(token);
    at = token.end;
  }
  const read = forAmount(asNeighboursTell(tokens, line), line);
  if (remembered.size >= MOST_REMEMBERED) remembered.clear();
  remembered.set(key, read);
  return read;
}

/** "mg/kg DM": letters behind a unit that put it on dry matter. */
function dryAt(line: string, at: number, last: Token | undefined): Token | undefined {
  const dry = last?.kind === 'content' ? match(DRY_BEHIND, line, last.end) : undefined;
  const end = (last?.end ?? 0) + (dry?.length ?? 0);
  return dry === undefined || at >= end
    ? undefined
    : { kind: 'word', text: line.slice(at, end), start: at, end, means: new Set<Meaning>(['basis.dry']) };
}

function contentAt(line: string, at: number): Token | undefined {
  const found = unitAt(line, at);
  if (!found) return undefined;
  const { end, unit, factor, of } = found;
  return { kind: 'content', text: line.slice(at, end), start: at, end, unit, factor, of };
}

function tokenAt(line: string, at: number, before: readonly Token[], mark: DecimalMark | undefined): Token {
  const char = line[at] ?? '';
  const last = before.at(-1);
  const behindNumber = last?.kind === 'number' || line[at - 1] === '-';
  return (
    (/[\d½¼¾⅓⅔⅛.]/.test(char) ? numberAt(line, at, mark) : undefined) ??
    contentAt(line, at) ??
    dryAt(line, at, last) ??
    (behindNumber ? measureAt(line, at) : undefined) ??
    (char === ESTIMATED ? undefined : wordAt(line, at)) ?? {
      kind: 'sign',
      text: char,
      start: at,
      end: at + 1,
      sign: char,
    }
  );
}

/** Everything the words of a line tell. @example meaningsIn('Batch 12345') // reference */
export const meaningsIn = (line: string): ReadonlySet<Meaning> =>
  new Set(tokenize(line).flatMap((token) => (token.kind === 'word' ? [...token.means] : [])));

import { findUnit, measuresNamed, parseNumber, type DecimalMark } from '../quantity/index.js';
import { MOST_WORDS, plainWord, rolesOf, unitWord, type WordRole } from './dictionary.js';

interface At {
  readonly text: string;
  readonly start: number;
  readonly end: number;
}
/** A piece of a line, with where it stands. */
export type Token = At &
  (
    | {
        readonly kind: 'number';
        /** What it can mean: one value, or two a factor of a thousand apart. */
        readonly readings: readonly number[];
      }
    | {
        readonly kind: 'unit';
        /** Symbols of the measures it can name; more than one where countries differ. */
        readonly units: readonly string[];
      }
    | { readonly kind: 'word'; readonly roles: ReadonlySet<WordRole> }
    | { readonly kind: 'sign'; readonly sign: string }
  );
export type NumberToken = Extract<Token, { kind: 'number' }>;
export type UnitToken = Extract<Token, { kind: 'unit' }>;

/** A number as papers print it, with marks or spaces between thousands. */
const NUMBER = /^(?:\d{1,3}(?:[ \u00a0\u202f]\d{3})+(?:[.,]\d+)?|\d+(?:[.,]\d+)*|[½¼¾])(?![\d])/;
const FRACTION = /^\d+\s+\d\/\d|^\d\/\d/;
const WORD = /^\p{L}[\p{L}\p{M}.'’³²]*\d?/u;
/** The longest name of a unit has three words: "cu. ft.", "fl oz", "US fl oz". */
const MOST_UNIT_WORDS = 3;
/** The mark of an estimated quantity stands behind what a package holds. */
const ESTIMATED = '℮';

/** Whether what stands at a place belongs to a word, such as the 2 of P2O5. */
const inWord = (line: string, at: number): boolean => /[\p{L}_]/u.test(line[at - 1] ?? '');

function numberAt(line: string, at: number, mark: DecimalMark | undefined): Token | undefined {
  if (inWord(line, at)) return undefined;
  const rest = line.slice(at);
  const text = FRACTION.exec(rest)?.[0] ?? NUMBER.exec(rest)?.[0];
  if (text === undefined) return undefined;
  const read = parseNumber(text, mark);
  const readings = read.ok ? [read.value] : (read.readings ?? []);
  return { kind: 'number', text, start: at, end: at + text.length, readings };
}

/** The phrase of so many words from a place on, with single spaces between. */
function phraseAt(line: string, at: number, words: number): string | undefined {
  let end = at;
  for (let i = 0; i < words; i++) {
    const gap = i === 0 ? 0 : (/^ (?=\p{L})/u.exec(line.slice(end))?.[0].length ?? -1);
    if (gap < 0) return undefined;
    const word = WORD.exec(line.slice(end + gap))?.[0];
    if (word === undefined) return undefined;
    end += gap + word.length;
  }
  return line.slice(at, end);
}

function unitAt(line: string, at: number): Token | undefined {
  for (let words = MOST_UNIT_WORDS; words > 0; words--) {
    const text = phraseAt(line, at, words);
    if (text === undefined) continue;
    const bare = text.replace(/\.+$/, '');
    const symbol = findUnit(bare)?.symbol ?? unitWord(plainWord(bare));
    const units = measuresNamed(bare) ?? (symbol === undefined ? undefined : [symbol]);
    if (units) return { kind: 'unit', text, start: at, end: at + text.length, units };
  }
  return undefined;
}

function wordAt(line: string, at: number): Token | undefined {
  for (let words = MOST_WORDS; words > 0; words--) {
    const text = phraseAt(line, at, words);
    if (text === undefined) continue;
    const roles = rolesOf(plainWord(text));
    if (roles.size > 0 || words === 1) return { kind: 'word', text, start: at, end: at + text.length, roles };
  }
  return undefined;
}

/**
 * A line in pieces: numbers with what they can mean, units, words with what they tell, and signs. A unit is one only behind a number, so that
 * "G" of a name is none.
 * @param mark the decimal mark of the whole paper, where it is known
 * @example tokenize('Net Wt. 50 LB (22.7 kg)') // word net, number 50, unit lb, sign (, number 22.7, unit kg, sign )
 */
export function tokenize(line: string, mark?: DecimalMark): readonly Token[] {
  const tokens: Token[] = [];
  let at = 0;
  while (at < line.length) {
    const char = line[at] ?? '';
    if (/\s/.test(char)) {
      at++;
      continue;
    }
    const behindNumber = tokens.at(-1)?.kind === 'number' || /-$/.test(line.slice(0, at));
    const token: Token = (/[\d½¼¾]/.test(char) ? numberAt(line, at, mark) : undefined) ??
      (behindNumber ? unitAt(line, at) : undefined) ??
      (char === ESTIMATED ? undefined : wordAt(line, at)) ?? {
        kind: 'sign',
        text: char,
        start: at,
        end: at + 1,
        sign: char,
      };
    tokens.push(token);
    at = token.end;
  }
  return tokens;
}

/** Everything the words of a line tell. @example rolesIn('Batch 12345') // reference */
export const rolesIn = (line: string): ReadonlySet<WordRole> =>
  new Set(tokenize(line).flatMap((token) => (token.kind === 'word' ? [...token.roles] : [])));

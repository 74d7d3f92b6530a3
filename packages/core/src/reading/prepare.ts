import type { DecimalMark } from '../quantity/index.js';
import { withoutAsides, type Aside } from './asides.js';
import { printedLine } from './paper.js';
import { isSign, tells, tokenize, type ContentToken, type Token } from './tokens.js';
import type { FigureUnit } from './units.js';
import { valuesIn, type FoundValue } from './values.js';

/** A line made ready to read: as printed, without the numbers that are no figures, in tokens and with its values. */
export interface Prepared {
  readonly printed: string;
  /** As printed, with those numbers blank: every sign stays in its place. */
  readonly line: string;
  readonly tokens: readonly Token[];
  readonly values: readonly FoundValue[];
  readonly asides: readonly Aside[];
}

/** @param mark the decimal mark of the whole paper, where it is known */
export function prepared(raw: string, mark?: DecimalMark): Prepared {
  const printed = printedLine(raw);
  const { line, asides } = withoutAsides(printed);
  const tokens = tokenize(line, mark);
  const amounts = tokens
    .filter((t) => (t.kind === 'word' && /^\d/.test(t.text)) || (t.kind === 'content' && /\d/.test(t.text)))
    .map(({ start, end, kind }): Aside => {
      const why = kind === 'content' ? 'part of a unit' : 'what the amounts are told for';
      return { start, end, fate: 'setAside', why };
    });
  return { printed, line, tokens, values: valuesIn(tokens, line), asides: [...asides, ...amounts] };
}

/** A unit with the factor that brings a number to it, and its own words. */
export interface TellingUnit {
  readonly unit: FigureUnit;
  readonly factor: number;
  readonly text: string;
}
const telling = ({ unit, factor, text }: ContentToken): readonly TellingUnit[] =>
  unit === undefined ? [] : [{ unit, factor, text }];
/** The unit among words, without a number: "K ppm", "(%)". */
export const unitAmong = (tokens: readonly Token[]): TellingUnit | undefined =>
  tokens.flatMap((t) => (t.kind === 'content' ? telling(t) : []))[0];

/** The unit of a line's numbers that have none of their own: one that stands by itself in the line. */
export const freeUnit = (tokens: readonly Token[], values: readonly FoundValue[]): TellingUnit | undefined =>
  unitAmong(tokens.filter((t) => !values.some((v) => t.start >= v.start && t.end <= v.end)));

/** Whether words put figures on dry matter; a heading of two columns, as received and dry, does for neither. */
export const isDry = (tokens: readonly Token[]): boolean =>
  tokens.some((t) => tells(t, 'basis.dry')) && !tokens.some((t) => tells(t, 'basis.asIs'));

/** The unit that a text gives all its figures, and whether they are on dry matter, wherever it says so. */
export function ofAll(lines: readonly Prepared[]): { readonly unit: TellingUnit | undefined; readonly dry: boolean } {
  const all = lines.flatMap(({ tokens, values }): readonly (readonly Token[])[] => {
    if (!tokens.some((t) => tells(t, 'all'))) return [];
    if (values.length === 0) return [tokens];
    // "all % on dry basis; moisture 25 %" says it before its first number.
    return tells(tokens[0], 'all') || isSign(tokens[0], '(') ? [tokens.slice(0, values[0]?.from)] : [];
  });
  return { unit: all.flatMap((tokens) => unitAmong(tokens) ?? [])[0], dry: all.some(isDry) };
}

import type { DecimalMark } from '../quantity/index.js';
import { withoutAsides, type Aside } from './asides.js';
import { printedLine } from './paper.js';
import { amountAhead, sharesOf, type Amount } from './amounts.js';
import { isSign, tells, type ContentToken, type Token } from './token.js';
import { tokenize } from './tokens.js';
import type { FigureUnit } from './units.js';
import { valuesIn, type FoundValue } from './values.js';
import { plainWord } from './words/lookup.js';

/** A line made ready to read: as printed, without the numbers that are no figures, in tokens and with its values. */
export interface Prepared {
  readonly printed: string;
  /** As printed, with those numbers blank: every sign stays in its place. */
  readonly line: string;
  readonly tokens: readonly Token[];
  readonly values: readonly FoundValue[];
  readonly asides: readonly Aside[];
  /** What its masses are told for, where a line above says that. */
  readonly amount?: Amount;
  /** The line straight above, where that has words and no values: a heading may have begun in it. */
  readonly above?: Prepared;
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

/** Lines of a paper, each made ready; masses below "Per 1000 kg it contains:" are shares of that, up to the next blank line. */
export function preparedLines(raw: readonly string[], mark?: DecimalMark): readonly Prepared[] {
  let amount: Amount | undefined;
  let last: Prepared | undefined;
  return raw.map((text): Prepared => {
    const alone = prepared(text, mark);
    const line = last && last.tokens.length > 0 && last.values.length === 0 ? { ...alone, above: last } : alone;
    last = alone;
    if (line.tokens.length === 0) amount = undefined;
    const ahead = amountAhead(line.tokens, line.line);
    if (ahead) {
      amount = ahead;
      const asides = line.tokens.flatMap(({ kind, start, end }): readonly Aside[] =>
        kind === 'number' ? [{ start, end, fate: 'setAside', why: 'what the amounts are told for' }] : [],
      );
      // The amount is no package: it is blank in the line, each sign in its place.
      const blank = asides.reduce(
        (rest, { start, end }) => rest.slice(0, start) + ' '.repeat(end - start) + rest.slice(end),
        line.line,
      );
      return { ...line, line: blank, values: [], asides: [...line.asides, ...asides] };
    }
    if (!amount || line.tokens.some((t) => tells(t, 'net', 'gross', 'use'))) return line;
    const tokens = sharesOf(line.tokens, amount);
    return { ...line, tokens, values: valuesIn(tokens, line.line), amount };
  });
}

/** "121 241" under two columns is two numbers: the line with such spaces as gaps, each sign in its place. */
export function withGaps(p: Prepared, columns: number, mark?: DecimalMark): Prepared {
  if (p.values.length >= columns || !p.values.some((v) => v.spaced)) return p;
  const line = p.line.replace(/(?<=\d) (?=\d{3}(?!\d))/g, '\t');
  const tokens = tokenize(line, mark);
  const values = valuesIn(tokens, line);
  return values.length === columns ? { ...p, line, tokens, values } : p;
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

/** A line that is a sentence of the paper, not a row of column heads: "Results expressed on a dry matter basis". */
const SAID =
  /\b(?:express|report|calculat|exprim|rapport|espress|riferit|expres|referid|angegeben|bezogen|uitgedrukt|podane?|wyrazon|angiv)|\b(?:on|auf|sur|sul|sulla|sobre|op|na|pa)\s+(?:an?\s+|the\s+|de[nr]\s+|la\s+)?(?:dry|dm\b|ds\b|ms\b|mati|sec|sost|materia|trocken|droge|such|torr)/i;
const GAP = /\t|\||\S {3,}\S/;
/** Whether a line states the dry basis in words, as a sentence and not as column heads. */
export const statesDry = ({ tokens, printed }: Pick<Prepared, 'tokens' | 'printed'>): boolean =>
  isDry(tokens) && SAID.test(plainWord(printed)) && !GAP.test(printed.trim());

/** The unit that a text gives all its figures, and whether they are on dry matter, wherever it says so: below the last figure it speaks of those above. */
export function ofAll(lines: readonly Prepared[]): { readonly unit: TellingUnit | undefined; readonly dry: boolean } {
  const all = lines.flatMap(({ tokens, values }): readonly (readonly Token[])[] => {
    if (!tokens.some((t) => tells(t, 'all'))) return [];
    if (values.length === 0) return [tokens];
    // "P2O5 2.6  K2O 2.3  all % as is" says it behind its last number.
    const at = tokens.findIndex((t) => tells(t, 'all'));
    if (at > (values.at(-1)?.to ?? 0)) return [tokens.slice(at)];
    // "all % on dry basis; moisture 25 %" says it before its first number.
    return tells(tokens[0], 'all') || isSign(tokens[0], '(') ? [tokens.slice(0, values[0]?.from)] : [];
  });
  const lastFigure = lines.reduce((last, { values }, i) => (values.length > 0 ? i : last), -1);
  const below = lines.slice(lastFigure + 1).some((line) => isDry(line.tokens));
  return { unit: all.flatMap((tokens) => unitAmong(tokens) ?? [])[0], dry: below || all.some(isDry) };
}

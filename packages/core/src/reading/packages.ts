import { findUnit, unitOf, type DecimalMark } from '../quantity/index.js';
import { isSign, tells, type NumberToken, type Token, type UnitToken } from './token.js';
import { tokenize } from './tokens.js';
import { plainWord } from './words/lookup.js';
import { PACKAGE_WORDS, type WordRole } from './words/packageWords.js';

/** What a package holds. */
export interface Package {
  readonly size: number;
  readonly unit: string;
}
/** A package a line tells, and the part of the line it stands in. */
export interface FoundPackage extends Package {
  readonly start: number;
  readonly end: number;
}
export type PackageReading =
  | { readonly kind: 'packages'; readonly packages: readonly FoundPackage[] }
  /** A package is told whose size could be two. */
  | { readonly kind: 'ask'; readonly question: string }
  | { readonly kind: 'none' };

/** A number with its unit, and the tokens it takes. */
interface Amount {
  readonly number: NumberToken;
  readonly unit: UnitToken;
  readonly from: number;
  readonly to: number;
  /** How many of it: 2 × 10 L. */
  readonly count: number;
}

const ROLES = Object.keys(PACKAGE_WORDS) as readonly WordRole[];
/** Whether a word says something of packages. */
const speaks = (token: Token): boolean => tells(token, ...ROLES);

const TIMES = '×x*';
/** "2 x", "2 ×" and "2 bags of" before an amount. */
function countBefore(tokens: readonly Token[], from: number): { readonly count: number; readonly from: number } {
  const times = tokens[from - 1];
  const isTimes = isSign(times, TIMES) || (times?.kind === 'word' && /^x$/i.test(times.text));
  const number = tokens[from - 2];
  const count = number?.kind === 'number' ? number.readings[0] : undefined;
  return isTimes && count !== undefined && Number.isInteger(count) && count > 0
    ? { count, from: from - 2 }
    : { count: 1, from };
}

const MEASURES = ['mass', 'volume'];
/** "Peso netto Kg 25" has its unit before: the symbols that a word names there. */
function unitBefore(tokens: readonly Token[], at: number): UnitToken | undefined {
  const word = tokens[at - 1];
  const named = isSign(tokens[at - 2], ':') ? tokens[at - 3] : tokens[at - 2];
  const told = tells(named, 'net') || (tokens.length === 2 && /^(?:kg|g|l|lt|lb)$/i.test(word?.text ?? ''));
  const symbol = word?.kind === 'word' && told ? findUnit(word.text)?.symbol : undefined;
  return word && symbol !== undefined && MEASURES.includes(unitOf(symbol).dimension)
    ? { kind: 'unit', text: word.text, start: word.start, end: tokens[at]?.end ?? word.end, units: [symbol] }
    : undefined;
}

/** "4 lb 8 oz": ounces that go on from the pounds before them. */
function isOunces(tokens: readonly Token[], at: number): boolean {
  const [pound, number, ounce] = [tokens[at - 1], tokens[at], tokens[at + 1]];
  const is = (token: Token | undefined, symbol: string): boolean => token?.kind === 'unit' && token.units[0] === symbol;
  return is(pound, 'lb') && number?.kind === 'number' && is(ounce, 'oz') && (number.readings[0] ?? 16) < 16;
}
const OUNCES_PER_POUND = unitOf('lb').factor / unitOf('oz').factor;
const withOunces = (tokens: readonly Token[], pounds: NumberToken, unitAt: number): NumberToken => {
  const ounces = tokens[unitAt + 1];
  return ounces?.kind === 'number' && isOunces(tokens, unitAt + 1)
    ? {
        ...pounds,
        readings: pounds.readings.map((n) => Number((n + (ounces.readings[0] ?? 0) / OUNCES_PER_POUND).toPrecision(9))),
      }
    : pounds;
};

function amountsIn(tokens: readonly Token[]): readonly Amount[] {
  return tokens.flatMap((number, i): Amount[] => {
    if (number.kind !== 'number' || number.readings.every((r) => r <= 0)) return [];
    // "50-lb bag" has a hyphen between.
    const at = isSign(tokens[i + 1], '-') ? i + 2 : i + 1;
    const unit = tokens[at];
    const before = unit?.kind === 'unit' ? undefined : unitBefore(tokens, i);
    if (before) return [{ number, unit: before, from: i - 1, to: i, count: 1 }];
    if (unit?.kind !== 'unit' || !unit.units.every((u) => MEASURES.includes(unitOf(u).dimension))) return [];
    if (isOunces(tokens, i)) return [];
    return [
      {
        number: withOunces(tokens, number, at),
        unit,
        to: isOunces(tokens, at + 1) ? at + 2 : at,
        ...countBefore(tokens, i),
      },
    ];
  });
}

const PARTS = ';|';
/** Words that say nothing of what an amount is. */
const FILLERS = new Set(['ca', 'approx', 'about', 'of', 'de', 'di', 'du', 'da', 'a', 'is', 'min', 'circa', 'ok']);

/** The words of a clause next to an amount, as far as they tell something: the first that tells nothing ends them. */
function near(tokens: readonly Token[], from: number, step: 1 | -1): readonly Token[] {
  const found: Token[] = [];
  for (let i = from + step; tokens[i] && !isSign(tokens[i], PARTS); i += step) {
    const token = tokens[i] as Token;
    if (token.kind === 'number') break;
    if (token.kind === 'word' && !speaks(token)) {
      if (FILLERS.has(plainWord(token.text))) continue;
      break;
    }
    found.push(token);
  }
  return found;
}

/** "Net: 1 kg / 2.2 lb" says it again; "5 g / 10 L" is a rate. */
const isToldAgain = (tokens: readonly Token[], from: number, to: number): boolean =>
  tokens.slice(0, from).some((t) => tells(t, 'net')) &&
  (isSign(tokens[to + 1], '/') ? tokens[to + 2]?.kind === 'number' : tokens[from - 2]?.kind === 'unit');

/** "per", "/" or "in" straight behind an amount makes it a rate; straight before it, what a rate is for. */
const isRate = (tokens: readonly Token[], { from, to }: Amount): boolean => {
  const [before, behind] = [tokens[from - 1], tokens[to + 1]];
  const next = tokens[to + 2];
  const stroke = (isSign(behind, '/') || isSign(before, '/')) && !isToldAgain(tokens, from, to);
  const per = tells(behind, 'per') && (next?.kind === 'number' || next?.kind === 'word');
  const range =
    isSign(before, '–—~') || (isSign(before, '-') && tokens[from - 2]?.kind === 'number') || isSign(behind, '–—~');
  const each =
    tells(before, 'per') && before?.kind === 'word' && !tells(before, 'pack') && tells(tokens[from - 2], 'use');
  return stroke || per || range || each;
};

/** The mark of an estimated quantity, or the letter that copying makes of it. */
const isEstimated = (tokens: readonly Token[], to: number): boolean =>
  isSign(tokens[to + 1], '℮') || (tokens[to + 1]?.text === 'e' && to + 2 === tokens.length);

/** How much speaks for an amount being what a package holds. */
function evidence(tokens: readonly Token[], amount: Amount): number {
  const [before, behind] = [near(tokens, amount.from, -1), near(tokens, amount.to, 1)];
  const beside = [...before, ...behind];
  const any = (role: WordRole): boolean => beside.some((t) => tells(t, role));
  // "40 lb bag covers 1000 sq ft" tells its package, "2 kg covers 50 m²" does not.
  const covers = tokens.some((t) => tells(t, 'covers')) && !any('pack') && !any('net');
  if (any('gross') || covers || isRate(tokens, amount)) return -1;
  const used = tokens.slice(0, amount.from).some((t) => tells(t, 'use'));
  const alone = tokens.length === amount.to - amount.from + 1;
  return (
    (any('net') ? 3 : 0) +
    (any('pack') ? 2 : 0) +
    (isEstimated(tokens, amount.to) ? 3 : 0) +
    (amount.count > 1 ? 2 : 0) +
    (alone ? 2 : 0) -
    (used ? 3 : 0) -
    (any('reference') ? 3 : 0)
  );
}
const ENOUGH = 2;

const canonical = ({ size, unit }: Package): number => size * unitOf(unit).factor;
/** What a bracket says again in another unit differs by rounding only. */
const SAME = 0.02;
const restates = (again: Package, first: Package): boolean =>
  unitOf(again.unit).dimension === unitOf(first.unit).dimension &&
  Math.abs(canonical(again) / canonical(first) - 1) <= SAME;

/**
 * The packages a line tells, whatever the order and the words: "25 kg net", "Net Wt. 50 LB (22.7 kg)", "Inhalt: 2 × 10 L". Rates, coverage, gross
 * weights and numbers that only name something are none.
 * @param mark the decimal mark of the paper, where it is known
 * @example readPackages('Poids net : 25 kg') // 25 kg
 */
export function readPackages(line: string, mark?: DecimalMark): PackageReading {
  const tokens = tokenize(line, mark);
  const taken: FoundPackage[] = [];
  for (const amount of amountsIn(tokens)) {
    const { number, unit, count } = amount;
    const [size, other] = number.readings;
    const [symbol] = unit.units;
    if (size === undefined || symbol === undefined) continue;
    const start = tokens[amount.from]?.start ?? number.start;
    const sized = (value: number): FoundPackage[] =>
      unit.units.map((u) => ({ size: value * count, unit: u, start, end: unit.end }));
    // A bracket in a unit that is clear settles which of two the one before it means.
    const readings = number.readings.flatMap(sized);
    const known = taken.find((t) => readings.some((r) => restates(r, t)));
    if (known) {
      // What says a package again belongs to it.
      taken[taken.indexOf(known)] = { ...known, end: unit.end };
      continue;
    }
    if (evidence(tokens, amount) < ENOUGH) continue;
    if (other !== undefined || unit.units.length > 1) {
      const clear = amountsIn(tokens)
        .filter((a) => a !== amount && a.unit.units.length === 1 && a.number.readings.length === 1)
        .map((a) => ({ size: (a.number.readings[0] ?? 0) * a.count, unit: a.unit.units[0] ?? '' }));
      const settled = readings.find((r) => clear.some((c) => restates(r, c)));
      if (settled) taken.push(settled);
      else
        return {
          kind: 'ask',
          question: `“${line.slice(start, unit.end)}” could be ${readings
            .map((r) => `${r.size} ${r.unit}`)
            .slice(0, 4)
            .join(' or ')}: say which.`,
        };
      continue;
    }
    taken.push({ size: size * count, unit: symbol, start, end: unit.end });
  }
  return taken.length > 0 ? { kind: 'packages', packages: taken } : { kind: 'none' };
}

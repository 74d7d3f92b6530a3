import { tooLong } from '../quantity/index.js';
import { elementOf, NUTRIENTS, OXIDES, type Basis, type Nutrient } from '../nutrient/index.js';

/** One named amount of a grade: 4 as P2O5, 2 as Mg. */
export interface GradePart {
  readonly nutrient: Nutrient;
  readonly basis: Basis;
  readonly amount: number;
}
/** A reading of typed shorthand: N, P2O5, K2O and whatever was added by name. */
export type Grade = readonly GradePart[];

export type ParsedGrade =
  /** `elements` is what a bracket restates as elements: the 1.7 P and 3.3 K of `8-4-4 (1.7 P, 3.3 K)`. */
  | { readonly kind: 'one'; readonly grade: Grade; readonly elements?: Grade }
  | { readonly kind: 'several'; readonly readings: readonly Grade[]; readonly question: string }
  | { readonly kind: 'none'; readonly reason: string };

const NPK: readonly (readonly [Nutrient, Basis])[] = [
  ['N', 'element'],
  ['P', 'P2O5'],
  ['K', 'K2O'],
];

const npk = (amounts: readonly number[]): Grade =>
  NPK.map(([nutrient, basis], i) => ({ nutrient, basis, amount: amounts[i] ?? 0 }));

const ADDED: Readonly<Record<string, readonly [Nutrient, Basis]>> = Object.fromEntries([
  ...NUTRIENTS.map((n) => [n.toLowerCase(), [n, 'element'] as const] as const),
  ...OXIDES.map(({ basis, element }) => [basis.toLowerCase(), [element, basis] as const] as const),
]) as Record<string, readonly [Nutrient, Basis]>;

const none = (text: string): ParsedGrade => ({
  kind: 'none',
  reason: `Read "${text.slice(0, 40)}", expected a grade such as 5-3-4, 2:0:1 or 10-4-6 + 2 Mg.`,
});

/** All ways to split run-together digits into three whole numbers without leading zeros that could stand in one bag. */
function splitDigits(digits: string): readonly (readonly number[])[] {
  const readings: number[][] = [];
  const whole = (s: string): boolean => s === '0' || /^[1-9]\d?$/.test(s);
  for (let i = 1; i < digits.length - 1; i++)
    for (let j = i + 1; j < digits.length; j++) {
      const parts = [digits.slice(0, i), digits.slice(i, j), digits.slice(j)];
      const numbers = parts.map(Number);
      if (parts.every(whole) && numbers.reduce((a, b) => a + b, 0) <= 100) readings.push(numbers);
    }
  // The commoner first: bags whose numbers are nearer to each other are the more usual ones.
  return readings.sort((a, b) => Math.max(...a) - Math.max(...b));
}

function readAdditions(text: string): Grade | undefined {
  const parts: GradePart[] = [];
  for (const piece of text
    .split('+')
    .map((p) => p.trim())
    .filter(Boolean)) {
    const match = /^(\d+(?:[.,]\d+)?)\s*%?\s*([A-Za-z0-9]+)$/.exec(piece);
    const added = ADDED[match?.[2]?.toLowerCase() ?? ''];
    if (!match || !added) return undefined;
    parts.push({ nutrient: added[0], basis: added[1], amount: Number(match[1]?.replace(',', '.')) });
  }
  return parts;
}

const BRACKET = /\(([^()]*)\)/;
const element = (nutrient: Nutrient, amount: string): GradePart => ({
  nutrient,
  basis: 'element',
  amount: Number(amount.replace(',', '.')),
});

/** What a bracket behind a grade restates as elements, by name or as a second triple; empty when it says something else. */
function readBracket(text: string): Grade {
  const inside = BRACKET.exec(text)?.[1] ?? '';
  const triple = /^\s*(\d+(?:[.,]\d+)?)\s*[-:/]\s*(\d+(?:[.,]\d+)?)\s*[-:/]\s*(\d+(?:[.,]\d+)?)\s*$/.exec(inside);
  if (triple) return NPK.map(([nutrient], i) => element(nutrient, triple[i + 1] ?? '0'));
  return [...inside.matchAll(/(?<![\d.,])(\d+(?:[.,]\d+)?)\s*%?\s*([A-Z][a-z]?)(?![A-Za-z0-9])/g)].flatMap(
    ([, amount = '', symbol = '']) =>
      NUTRIENTS.includes(symbol as Nutrient) ? [element(symbol as Nutrient, amount)] : [],
  );
}

/** "12+6+18" is 12-6-18, and "12+6+18 (+2)" has a fourth number: pluses without a name are strokes. */
export const withStrokes = (text: string): string =>
  text
    .replace(
      /(?<![\d.,+-])\d{1,2}(?:[.,]\d+)?(?:\s*\+\s*\d{1,2}(?:[.,]\d+)?(?![\d.,]|\s*%?\s*[A-Za-z])){2,3}/g,
      (sum) => sum.replace(/\s*\+\s*/g, '-'),
    )
    .replace(/(\d-\d[\d.,]*-\d[\d.,]*)\s*\(\s*\+\s*(\d+(?:[.,]\d+)?)\s*\)/, '$1-$2');

/**
 * Reads shorthand as people type it: `5-3-4`, `5:3:4`, `5/3/4`, `12 0 0`, `0050`, `12+6+18`, `10-4-6 + 2Mg`, `8-2-4 (1.7 P, 3.3 K)`.
 * A fourth bare number is sulfur on some bags and magnesium on others, so it is asked; run-together digits with more
 * than one reading are offered, never guessed.
 *
 * @example parseGrade('1200') // several: 12-0-0 or 1-20-0
 */
export function parseGrade(input: string): ParsedGrade {
  const long = tooLong(input, 'a grade such as 5-3-4');
  if (long) return { kind: 'none', reason: long };
  const dashed = withStrokes(input.replace(/[−–]/g, '-'));
  const text = dashed
    .replace(/\([^)]*\)/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  if (text.length > 80) return none(input);
  const restated = readBracket(dashed);
  const one = (grade: Grade): ParsedGrade => ({
    kind: 'one',
    grade,
    ...(restated.length > 0 ? { elements: restated } : {}),
  });
  const [head = '', ...rest] = text.split('+');
  const added = readAdditions(rest.join('+'));
  if (!added) return none(input);
  // "10.10.10" has strokes of points, and "21-0-0-24S" names its fourth number.
  const named = /^(.*\d)\s*[-:/]\s*(\d+(?:[.,]\d+)?)\s*%?\s*(S|Mg|Ca|Fe|Zn|B|Mn|Cu|MgO|CaO|SO3)$/i.exec(head.trim());
  const fourthNamed = named ? readAdditions(`${named[2]} ${named[3]}`) : undefined;
  if (named && fourthNamed)
    return parseGrade(
      `${named[1]} + ${named[2]} ${named[3]}${rest.map((r) => `+${r}`).join('')}${BRACKET.exec(dashed)?.[0] ?? ''}`,
    );
  const base = head
    .trim()
    .replace(/^n\s*-?\s*p\s*-?\s*k\s*:?\s*/i, '')
    .replace(/^(\d{1,2})\.(\d{1,2})\.(\d{1,2})$/, '$1-$2-$3');

  if (/^\d{3,6}$/.test(base)) {
    const readings = splitDigits(base).map((numbers) => [...npk(numbers), ...added]);
    if (readings.length === 0) return none(input);
    const [only] = readings;
    if (readings.length === 1 && only) return one(only);
    return { kind: 'several', readings, question: `"${base}" can be split more than one way.` };
  }
  if (!/^\d+(?:[.,]\d+)?(?:\s*[-:/ ]\s*\d+(?:[.,]\d+)?){2,3}$/.test(base)) return none(input);
  const numbers = base.split(/\s*[-:/]\s*|\s+/).map((n) => Number(n.replace(',', '.')));
  const [, , , fourth] = numbers;
  if (fourth === undefined) return one([...npk(numbers), ...added]);
  return {
    kind: 'several',
    readings: (['S', 'Mg'] as const).map((nutrient) => [
      ...npk(numbers),
      { nutrient, basis: 'element', amount: fourth },
      ...added,
    ]),
    question: `The fourth number, ${fourth}, is sulfur on some bags and magnesium on others.`,
  };
}

/** Prints a grade so that parsing it gives the same grade. @example printGrade(grade) // '10-4-6 + 2 Mg' */
export function printGrade(grade: Grade): string {
  const amount = (nutrient: Nutrient, basis: Basis): number =>
    grade.find((p) => p.nutrient === nutrient && p.basis === basis)?.amount ?? 0;
  const head = NPK.map(([nutrient, basis]) => amount(nutrient, basis)).join('-');
  const tail = grade
    .filter((p) => !NPK.some(([nutrient, basis]) => nutrient === p.nutrient && basis === p.basis))
    .map((p) => ` + ${p.amount} ${p.basis === 'element' ? elementOf(p.nutrient) : p.basis}`);
  return head + tail.join('');
}

/** Half of the last figure a bracket usually gives, and the rounding of the oxide beside it, in per cent of the element. */
const BRACKET_TOLERANCE = { absolute: 0.06, relative: 0.02 } as const;

/** Whether a bracket that restates an oxide as its element says the same. @param main the oxide, turned into per cent of the element */
export const sameInBracket = (main: number, stated: number): boolean =>
  Math.abs(stated - main) <= BRACKET_TOLERANCE.absolute + main * BRACKET_TOLERANCE.relative;

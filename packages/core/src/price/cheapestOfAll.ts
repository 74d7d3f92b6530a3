import { solve, type LpSolver, type Row } from '../solve/index.js';
import { RANKED_NUTRIENTS, type FractionBounds, type RankedNutrient } from './catalogueFacts.js';

/** A product of a catalogue as far as a recipe looks at it. */
export interface CatalogueColumn {
  readonly id: string;
  readonly name: string;
  readonly seller?: string | undefined;
  readonly pricePerKg: number;
  readonly fractions: Readonly<Partial<Record<RankedNutrient, FractionBounds>>>;
}
export type Amounts = Readonly<Partial<Record<RankedNutrient, number>>>;
/** Which end of what a product holds counts for at least; for at most the other one does. */
export type HeldEnd = 'low' | 'mid' | 'high';
/** What is wanted, kg. */
export interface WantedOfAll {
  readonly atLeast: Amounts;
  readonly atMost?: Amounts;
  /** The low end unless said. */
  readonly held?: HeldEnd;
}
/** What a kg of a nutrient is worth to the recipe, and what a kg of it costs where there may be no more. */
export interface NutrientPrices {
  readonly worth: Amounts;
  readonly burden: Amounts;
}
export interface CheapestOfAll {
  readonly parts: readonly { readonly product: CatalogueColumn; readonly kg: number; readonly cost: number }[];
  readonly cost: number;
  readonly prices: NutrientPrices;
  /** How often the whole catalogue was gone through. */
  readonly rounds: number;
  /** Nothing that is left would make it cheaper; false where the rounds were up. */
  readonly proven: boolean;
  /** Every product that was looked at on the way. */
  readonly known: readonly CatalogueColumn[];
}
export type OfAll =
  | ({ readonly kind: 'found' } & CheapestOfAll)
  /** Nothing brings it within the bounds; which nutrients are lacking then. */
  | { readonly kind: 'none'; readonly missing: readonly RankedNutrient[] };

/** Dearer than anything: stands in while nothing known brings a nutrient. */
const STAND_IN = 1e6;
const MOST_ROUNDS = 60;
const HAIR = 1e-9;

/** The end that counts for at most where this one counts for at least, and the one that replaces it. */
export const OTHER_END: Readonly<Record<HeldEnd, HeldEnd>> = { low: 'high', mid: 'mid', high: 'low' };
/** What a kg of a product holds by one end, kg; nothing where its list does not say. */
export const heldShare = (c: CatalogueColumn, n: RankedNutrient, end: HeldEnd): number => {
  const held = c.fractions[n];
  if (!held) return 0;
  return end === 'mid' ? (held.low + held.high) / 2 : held[end];
};
const sumOf = (amounts: Amounts, of: (n: RankedNutrient) => number): number =>
  RANKED_NUTRIENTS.reduce((sum, n) => sum + (amounts[n] ?? 0) * of(n), 0);
/** What a kg is worth to a recipe at its prices; below zero where it brings more of what there should be no more of. */
export const worthOf = (c: CatalogueColumn, { worth, burden }: NutrientPrices, held: HeldEnd = 'low'): number =>
  sumOf(worth, (n) => heldShare(c, n, held)) - sumOf(burden, (n) => heldShare(c, n, OTHER_END[held]));
/** What a kg costs beyond what it is worth; below zero it would make the recipe cheaper. */
export const reducedCost = (c: CatalogueColumn, prices: NutrientPrices, held?: HeldEnd): number =>
  c.pricePerKg - worthOf(c, prices, held);

/** What is wanted as rows of a model, by the kg of each product. */
export function wantedRows(
  columns: readonly CatalogueColumn[],
  { atLeast, atMost = {}, held = 'low' }: WantedOfAll,
): readonly Row[] {
  return [
    ...RANKED_NUTRIENTS.filter((n) => (atLeast[n] ?? 0) > 0).map((n) => ({
      name: `least ${n}`,
      coefficients: columns.map((c) => heldShare(c, n, held)),
      low: atLeast[n] ?? 0,
    })),
    ...RANKED_NUTRIENTS.filter((n) => atMost[n] !== undefined).map((n) => ({
      name: `most ${n}`,
      coefficients: columns.map((c) => heldShare(c, n, OTHER_END[held])),
      high: atMost[n] ?? 0,
    })),
  ];
}

/** The recipe of the columns that are known, with stand-ins for what none of them brings. */
function master(columns: readonly CatalogueColumn[], question: WantedOfAll, solver: LpSolver) {
  const { atLeast, atMost = {} } = question;
  const wanted = RANKED_NUTRIENTS.filter((n) => (atLeast[n] ?? 0) > 0);
  const capped = RANKED_NUTRIENTS.filter((n) => atMost[n] !== undefined);
  const rows = wantedRows(columns, question).map((row) => ({
    ...row,
    coefficients: [...row.coefficients, ...wanted.map((n) => (row.name === `least ${n}` ? 1 : 0))],
  }));
  const found = solve(
    {
      goal: 'least',
      columns: [
        ...columns.map((c) => ({ name: c.id, cost: c.pricePerKg })),
        ...wanted.map((n) => ({ name: `no ${n}`, cost: STAND_IN })),
      ],
      rows,
    },
    solver,
  );
  if (found.kind !== 'optimal') return undefined;
  const dual = (name: string): number => found.rows.find((r) => r.name === name)?.dual ?? 0;
  const prices: NutrientPrices = {
    worth: Object.fromEntries(wanted.map((n) => [n, Math.max(0, dual(`least ${n}`))])),
    burden: Object.fromEntries(capped.map((n) => [n, Math.max(0, -dual(`most ${n}`))])),
  };
  return { found, prices, missing: wanted.filter((_, k) => (found.x[columns.length + k] ?? 0) > HAIR) };
}

/**
 * The cheapest recipe of everything a catalogue holds, by column generation: the recipe of a few products tells what a kg of each nutrient is worth;
 * the whole catalogue is asked which products cost less than they are worth at these prices; they are taken in, until none is left. For a recipe
 * without whole packages this is the least there is, and nothing was left out beforehand.
 * @param ask the products with the least cost beyond their worth, the least first
 * @param onRound told after each round; it stops where this returns false
 * @example await cheapestOfAll({ atLeast: { N: 10, K2O: 20 } }, highs, ask) // { kind: 'found', cost: 41.2, parts: [urea, …], proven: true, … }
 */
export async function cheapestOfAll(
  wanted: WantedOfAll,
  solver: LpSolver,
  ask: (prices: NutrientPrices) => Promise<readonly CatalogueColumn[]>,
  onRound: (round: number) => boolean = () => true,
): Promise<OfAll> {
  const { held = 'low' } = wanted;
  const columns: CatalogueColumn[] = [];
  const known = new Set<string>();
  let proven = false;
  let rounds = 0;
  let now = master(columns, wanted, solver);
  while (now && !proven && rounds < MOST_ROUNDS && onRound(rounds)) {
    const { prices } = now;
    rounds += 1;
    const better = (await ask(prices)).filter((c) => {
      // A price of a million makes a hair of what is nothing.
      const within =
        HAIR *
        (1 +
          sumOf(prices.worth, (n) => heldShare(c, n, held)) +
          sumOf(prices.burden, (n) => heldShare(c, n, OTHER_END[held])));
      return !known.has(c.id) && reducedCost(c, prices, held) < -within;
    });
    proven = better.length === 0;
    for (const c of better) {
      known.add(c.id);
      columns.push(c);
    }
    if (!proven) now = master(columns, wanted, solver);
  }
  if (!now || now.missing.length > 0) return { kind: 'none', missing: now?.missing ?? [] };
  const { found, prices } = now;
  const parts = columns.flatMap((product, i) => {
    const kg = found.x[i] ?? 0;
    return kg > HAIR ? [{ product, kg, cost: kg * product.pricePerKg }] : [];
  });
  return {
    kind: 'found',
    parts: parts.sort((a, b) => b.cost - a.cost),
    cost: parts.reduce((sum, p) => sum + p.cost, 0),
    prices,
    rounds,
    proven,
    known: columns,
  };
}

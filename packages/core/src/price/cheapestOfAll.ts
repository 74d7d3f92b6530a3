import { solve, type LpSolver } from '../solve/index.js';
import { RANKED_NUTRIENTS, type FractionBounds, type RankedNutrient } from './catalogueFacts.js';

/** A product of a catalogue as far as a recipe looks at it. */
export interface CatalogueColumn {
  readonly id: string;
  readonly name: string;
  readonly pricePerKg: number;
  readonly fractions: Readonly<Partial<Record<RankedNutrient, FractionBounds>>>;
}
type Amounts = Readonly<Partial<Record<RankedNutrient, number>>>;
/** What is wanted, kg: at least by what products hold at the least, at most by what they hold at the most. */
export interface WantedOfAll {
  readonly atLeast: Amounts;
  readonly atMost?: Amounts;
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
}

/** Dearer than anything: stands in while nothing known brings a nutrient. */
const STAND_IN = 1e6;
const MOST_ROUNDS = 60;
const HAIR = 1e-9;

const low = (c: CatalogueColumn, n: RankedNutrient): number => c.fractions[n]?.low ?? 0;
const high = (c: CatalogueColumn, n: RankedNutrient): number => c.fractions[n]?.high ?? 0;
const sumOf = (amounts: Amounts, share: (n: RankedNutrient) => number): number =>
  RANKED_NUTRIENTS.reduce((sum, n) => sum + (amounts[n] ?? 0) * share(n), 0);
/** What a kg costs beyond what it is worth; below zero it would make the recipe cheaper. */
export const reducedCost = (c: CatalogueColumn, { worth, burden }: NutrientPrices): number =>
  c.pricePerKg - sumOf(worth, (n) => low(c, n)) + sumOf(burden, (n) => high(c, n));

/** The recipe of the columns that are known, with stand-ins for what none of them brings. */
function master(columns: readonly CatalogueColumn[], { atLeast, atMost = {} }: WantedOfAll, solver: LpSolver) {
  const wanted = RANKED_NUTRIENTS.filter((n) => (atLeast[n] ?? 0) > 0);
  const capped = RANKED_NUTRIENTS.filter((n) => atMost[n] !== undefined);
  const rows = [
    ...wanted.map((n, i) => ({
      name: `least ${n}`,
      coefficients: [...columns.map((c) => low(c, n)), ...wanted.map((_, k) => (k === i ? 1 : 0))],
      low: atLeast[n] ?? 0,
    })),
    ...capped.map((n) => ({
      name: `most ${n}`,
      coefficients: [...columns.map((c) => high(c, n)), ...wanted.map(() => 0)],
      high: atMost[n] ?? 0,
    })),
  ];
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
 * @returns undefined where nothing in the catalogue brings it within the bounds
 * @example await cheapestOfAll({ atLeast: { N: 10, K2O: 20 } }, highs, ask) // { cost: 41.2, parts: [urea, …], proven: true, … }
 */
export async function cheapestOfAll(
  wanted: WantedOfAll,
  solver: LpSolver,
  ask: (prices: NutrientPrices) => Promise<readonly CatalogueColumn[]>,
  onRound: (round: number) => boolean = () => true,
): Promise<CheapestOfAll | undefined> {
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
      const within = HAIR * (1 + sumOf(prices.worth, (n) => low(c, n)) + sumOf(prices.burden, (n) => high(c, n)));
      return !known.has(c.id) && reducedCost(c, prices) < -within;
    });
    proven = better.length === 0;
    for (const c of better) {
      known.add(c.id);
      columns.push(c);
    }
    if (!proven) now = master(columns, wanted, solver);
  }
  if (!now || now.missing.length > 0) return undefined;
  const { found, prices } = now;
  const parts = columns.flatMap((product, i) => {
    const kg = found.x[i] ?? 0;
    return kg > HAIR ? [{ product, kg, cost: kg * product.pricePerKg }] : [];
  });
  return {
    parts: parts.sort((a, b) => b.cost - a.cost),
    cost: parts.reduce((sum, p) => sum + p.cost, 0),
    prices,
    rounds,
    proven,
  };
}

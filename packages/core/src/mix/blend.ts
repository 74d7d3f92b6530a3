import { compoundPerElement, symbolIn } from '../nutrient/index.js';
import { formatGiven, formatTrimmed } from '../quantity/index.js';
import { pricePerKg } from '../price/index.js';
import { midSupply, type Grade, type GradePart, type Product } from '../shelf/index.js';
import { commonestCurrency, mixture, type Chosen, type Component, type Mixture } from './mixture.js';
import { solve, type LinearModel, type LpSolver, type Row, type Solution } from '../solve/index.js';

/** What a mix should be. A grade fixes the strength; a ratio leaves it free. */
export interface BlendTarget {
  readonly kind: 'grade' | 'ratio';
  readonly parts: Grade;
  /** How far a named nutrient may exceed what is asked, as a share of the largest part; a part of 0 may reach this too. */
  readonly tolerance: number;
}

export interface Shortfall {
  readonly part: GradePart;
  readonly symbol: string;
  /** Reached against wanted, in the target's own numbers. */
  readonly reached: number;
  readonly kind: 'short' | 'over';
  readonly message: string;
}

export type Blend =
  | {
      readonly kind: 'recipe';
      readonly mixture: Mixture;
      readonly fillerKg: number;
      readonly minimised: 'cost' | 'mass';
      /** Products left out because their price is unknown or in another currency. */
      readonly leftOut: readonly string[];
    }
  | {
      readonly kind: 'tooStrong';
      readonly needsPercent: number;
      readonly strongest: Mixture;
      readonly strongestGrade: Grade;
      readonly message: string;
    }
  | {
      readonly kind: 'unreachable';
      readonly shortfalls: readonly Shortfall[];
      readonly closest: Mixture | undefined;
      readonly message: string;
    }
  | {
      /** It can be made, but only with products that have no price in the currency of the others. */
      readonly kind: 'needsPrices';
      readonly mixture: Mixture;
      readonly fillerKg: number;
      readonly without: readonly string[];
      readonly message: string;
    }
  | { readonly kind: 'failed'; readonly message: string };

/** Per product: how much of a grade part a kg of it brings, as a fraction in the part's basis. */
const contentOf = (products: readonly Product[], part: GradePart): readonly number[] =>
  products.map((p) => midSupply(p, part.nutrient) * compoundPerElement(part.basis));

const STOPPED = {
  failed: 'it stopped with an error',
  unbounded: 'nothing in the model holds the amounts',
  stopped: 'it ran out of time',
} as const;

const largest = (parts: Grade): number => Math.max(...parts.map((p) => p.amount));

/** Named nutrients at least what is asked, at most the tolerance above it. Amounts as fractions of one unit of mix. */
function nutrientRows(products: readonly Product[], target: BlendTarget): readonly Row[] {
  const room = (target.tolerance * largest(target.parts)) / 100;
  return target.parts.map((part) => ({
    name: symbolIn(part.nutrient, part.basis),
    coefficients: contentOf(products, part),
    low: part.amount / 100,
    high: part.amount / 100 + room,
  }));
}

/** A bag cannot hold more than itself. */
const full = (coefficients: readonly number[]): Row => ({ name: 'what a bag can hold', coefficients, high: 1 });

/** A model that makes some cost of products as small as can be. */
const least = (products: readonly Product[], costs: readonly number[], rows: readonly Row[]): LinearModel => ({
  goal: 'least',
  columns: products.map(({ name }, j) => ({ name, cost: costs[j] ?? 0 })),
  rows,
});

/** What a bound is worth, in the objective, below which it is round-off. */
const WORTH_NOTHING = 1e-9;
const SIDES = { low: 'at its least', high: 'at its most' } as const;
/** What a solution was chosen by, in words for the working. */
const chosenBy = (objective: string, { rows }: Pick<Solution, 'rows'>): Chosen => ({
  solver: 'HiGHS',
  objective,
  // A row that stands at its bound but is worth nothing holds nothing.
  binds: rows.flatMap((r) => (r.binds && Math.abs(r.dual ?? 1) > WORTH_NOTHING ? [`${r.name} ${SIDES[r.binds]}`] : [])),
});

const ones = (n: number): readonly number[] => Array.from({ length: n }, () => 1);

/** The products priced in the commonest currency; all of them, by mass, when none is priced. */
function costing(products: readonly Product[]): {
  readonly used: readonly Product[];
  readonly costs: readonly number[] | undefined;
  readonly leftOut: readonly Product[];
} {
  const currency = commonestCurrency(products);
  if (currency === undefined) return { used: products, costs: undefined, leftOut: [] };
  const priced = products.map((product) => ({ product, price: pricePerKg(product, currency) }));
  const used = priced.filter((p) => p.price);
  return {
    used: used.map(({ product }) => product),
    costs: used.map(({ price }) => price?.figure.value.mid ?? 0),
    leftOut: priced.filter((p) => !p.price).map(({ product }) => product),
  };
}

const toComponents = (products: readonly Product[], x: readonly number[]): readonly Component[] =>
  products.map((product, j) => ({ product, kg: x[j] ?? 0 })).filter((c) => c.kg > 0);

const total = (x: readonly number[]): number => x.reduce((a, b) => a + b, 0);

/** The same recipe scaled to 1 kg. */
function perKg(products: readonly Product[], x: readonly number[]): readonly Component[] {
  const mass = total(x);
  return toComponents(
    products,
    x.map((v) => v / mass),
  );
}

/** The model of a target: its nutrients, and of a grade that the bag holds no more than itself. */
const targetModel = (products: readonly Product[], costs: readonly number[], target: BlendTarget): LinearModel =>
  least(products, costs, [
    ...nutrientRows(products, target),
    ...(target.kind === 'grade' ? [full(ones(products.length))] : []),
  ]);

/** A solution as 1 kg of mix: a grade is filled up, a ratio scaled. */
function asKilogram(
  products: readonly Product[],
  target: BlendTarget,
  solution: Solution,
  objective: string,
): { readonly mixture: Mixture; readonly fillerKg: number } {
  const { x } = solution;
  const room = target.kind === 'grade' ? 1 - total(x) : 0;
  const fillerKg = room > 1e-9 ? room : 0;
  const components = target.kind === 'grade' ? toComponents(products, x) : perKg(products, x);
  return { mixture: mixture(components, fillerKg, chosenBy(objective, solution)), fillerKg };
}

/** Nearest mix when the nutrients cannot all be had: the least sum of deviations, each relative to the largest part. */
function nearest(products: readonly Product[], target: BlendTarget, solver: LpSolver): Blend {
  const rows = nutrientRows(products, target);
  const n = products.length;
  const k = rows.length;
  // Unknowns: products, then a shortfall and an excess for each nutrient; a breath of mass cost keeps it from padding.
  const elastic = (row: Row, i: number): Row => ({
    ...row,
    coefficients: [...row.coefficients, ...ones(2 * k).map((_, s) => (s === i ? 1 : s === k + i ? -1 : 0))],
  });
  const limit: readonly Row[] = target.kind === 'grade' ? [full([...ones(n), ...ones(2 * k).map(() => 0)])] : [];
  const model: LinearModel = {
    goal: 'least',
    columns: [
      ...products.map(({ name }) => ({ name, cost: 1e-6 })),
      ...['short', 'over'].flatMap((side) => rows.map(({ name }) => ({ name: `${name} ${side}`, cost: 1 }))),
    ],
    rows: [...rows.map(elastic), ...limit],
  };
  const outcome = solve(model, solver);
  if (outcome.kind !== 'optimal') return { kind: 'failed', message: 'The solver could not find even the nearest mix.' };
  const x = outcome.x.slice(0, n);
  const shortfalls = target.parts.flatMap((part, i): Shortfall[] => {
    const symbol = symbolIn(part.nutrient, part.basis);
    const reached = 100 * (rows[i]?.coefficients.reduce((s, c, j) => s + c * (x[j] ?? 0), 0) ?? 0);
    const short = (outcome.x[n + i] ?? 0) * 100;
    const over = (outcome.x[n + k + i] ?? 0) * 100;
    if (short > 1e-6) {
      const none = (rows[i]?.coefficients ?? []).every((c) => c === 0);
      return [
        {
          part,
          symbol,
          reached,
          kind: 'short',
          message: none
            ? `Nothing chosen contains ${symbol}.`
            : `${symbol} reaches ${formatTrimmed(reached)} of ${formatGiven(part.amount)}.`,
        },
      ];
    }
    return over > 1e-6
      ? [
          {
            part,
            symbol,
            reached,
            kind: 'over',
            message: `${symbol} comes along with the other nutrients: ${formatTrimmed(reached)} where ${formatGiven(part.amount)} is wanted.`,
          },
        ]
      : [];
  });
  const closest =
    total(x) > 1e-9 ? mixture(perKg(products, x), 0, chosenBy('least deviation from the target', outcome)) : undefined;
  return {
    kind: 'unreachable',
    shortfalls,
    closest,
    message: `This ${target.kind} cannot be made from these materials. ${shortfalls.map((s) => s.message).join(' ')}`,
  };
}

/** The ratio can be made but not at this strength: the most concentrated mix at that ratio. */
function strongest(products: readonly Product[], target: BlendTarget, solver: LpSolver): Blend {
  const outcome = solve(least(products, ones(products.length), nutrientRows(products, target)), solver);
  if (outcome.kind !== 'optimal') return nearest(products, target, solver);
  const mass = total(outcome.x);
  const reachable = target.parts.map((part) => ({ ...part, amount: Number((part.amount / mass).toPrecision(4)) }));
  const needs = mass * 100;
  const shown = reachable.map((p) => `${formatTrimmed(p.amount)} % ${symbolIn(p.nutrient, p.basis)}`).join(', ');
  return {
    kind: 'tooStrong',
    needsPercent: needs,
    strongest: mixture(perKg(products, outcome.x), 0, chosenBy('least mass', outcome)),
    strongestGrade: reachable,
    message: `The materials for this grade would fill ${formatTrimmed(needs)} % of the bag. The strongest at this ratio is ${shown}.`,
  };
}

/** The lightest recipe of all the products, when those without a price are what the priced ones lack. */
function withoutPrices(
  products: readonly Product[],
  leftOut: readonly Product[],
  target: BlendTarget,
  solver: LpSolver,
): Blend | undefined {
  const outcome = solve(targetModel(products, ones(products.length), target), solver);
  if (outcome.kind !== 'optimal') return undefined;
  const made = asKilogram(products, target, outcome, 'least mass');
  const without = made.mixture.components
    .map((c) => c.product)
    .filter((p) => leftOut.includes(p))
    .map((p) => p.name);
  return {
    kind: 'needsPrices',
    ...made,
    without,
    message: `This ${target.kind} takes ${without.join(' and ')}, which ${without.length === 1 ? 'has' : 'have'} no price in the currency of the others, so the cheapest recipe cannot be told. Here is the lightest; enter the price for the cheapest.`,
  };
}

/**
 * The cheapest recipe that meets a target, per kg of mix, found by linear programming. Products with no price are left
 * out and named; when none has a price the lightest recipe is given instead.
 *
 * @param products materials to choose from
 * @param target grade or ratio with its tolerance
 * @param solver an LP solver (HiGHS in the program)
 * @returns a recipe; or, at the wrong strength, the strongest reachable; or what is missing
 */
export function blend(products: readonly Product[], target: BlendTarget, solver: LpSolver): Blend {
  if (products.length === 0) return { kind: 'failed', message: 'No materials are chosen, expected at least one.' };
  if (!(largest(target.parts) > 0))
    return { kind: 'failed', message: 'The target is all zeros, expected at least one nutrient above zero.' };
  const asked = target.parts.reduce((s, p) => s + p.amount, 0);
  const { used, costs, leftOut } = costing(products);
  const outcome =
    target.kind === 'grade' && asked > 100
      ? ({ kind: 'infeasible' } as const)
      : solve(targetModel(used, costs ?? ones(used.length), target), solver);
  if (outcome.kind === 'failed' || outcome.kind === 'unbounded' || outcome.kind === 'stopped')
    return { kind: 'failed', message: `The solver gave no recipe: ${STOPPED[outcome.kind]}.` };
  if (outcome.kind === 'infeasible' && leftOut.length > 0 && asked <= 100) {
    const lightest = withoutPrices(products, leftOut, target, solver);
    if (lightest) return lightest;
  }
  // What prices forbid, materials without a price might still allow: reachability is judged on all of them.
  if (outcome.kind === 'infeasible')
    return target.kind === 'grade' ? strongest(products, target, solver) : nearest(products, target, solver);
  return {
    kind: 'recipe',
    ...asKilogram(used, target, outcome, costs ? 'least cost' : 'least mass'),
    minimised: costs ? 'cost' : 'mass',
    leftOut: leftOut.map((p) => p.name),
  };
}

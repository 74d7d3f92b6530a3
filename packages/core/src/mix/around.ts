import { symbolIn } from '../nutrient/index.js';
import { supplyRange, type Product } from '../shelf/index.js';
import { solve, type LpSolver } from '../solve/index.js';
import { blend } from './blend.js';
import type { Blend } from './found.js';
import { blendModel, costing, type BlendTarget, type Brief } from './model.js';
import { saltOf, type BlendRule } from './rules.js';

type Recipe = Extract<Blend, { kind: 'recipe' }>;

/**
 * What the aim comes to: per kg of mix of a grade, for all of it of amounts, and per kg of the first nutrient of a ratio, since mixes of one ratio differ in
 * strength; undefined where that is not known.
 */
function worthOf(recipe: Blend): number | undefined {
  if (recipe.kind !== 'recipe') return undefined;
  const { mixture, minimised, wantedPerKg, batchKg } = recipe;
  const counted = (perKg: number | undefined): number | undefined =>
    perKg === undefined ? undefined : wantedPerKg === undefined ? perKg * (batchKg ?? 1) : perKg / wantedPerKg;
  switch (minimised) {
    case 'weighted':
    case 'cost':
      return recipe.spent === undefined
        ? counted(mixture.costPerKg?.value.mid)
        : recipe.spent / (wantedPerKg === undefined ? 1 : wantedPerKg * (batchKg ?? 1));
    case 'mass':
      return counted(batchKg === undefined ? mixture.components.reduce((sum, c) => sum + c.kg, 0) : 1);
    case 'salt':
      return wantedPerKg === undefined ? saltOf(mixture) : counted(saltOf(mixture));
    case 'fewest':
      return mixture.components.length;
  }
}

/** Another recipe near the best: what is different of it, and what more it costs (in the unit of `Around`). */
export interface Neighbour {
  readonly productId: string;
  readonly name: string;
  /** Undefined where there is no such mix. */
  readonly extra: number | undefined;
  readonly recipe: Recipe | undefined;
}
/** One more point of a nutrient, and what that costs (in the unit of `Around`). */
export interface Step {
  readonly symbol: string;
  /** Per cent of the mix; of a ratio a tenth of the part. */
  readonly by: number;
  readonly extra: number | undefined;
}
/** A bag that is not in a recipe, and the price per kg below which it would be. */
export interface Entering {
  readonly name: string;
  readonly below: number;
  readonly hasPrice: boolean;
}
/** What lies around a recipe. Costs are per kg of mix of a grade, in all of amounts, per kg of `per` of a ratio. */
export interface Around {
  /** The first nutrient of a ratio, as it is written; undefined of a grade and of amounts. */
  readonly per: string | undefined;
  /** For each rule, in their order, what it costs: the best with it less the best without; undefined where that cannot be told. */
  readonly rulePrices: readonly (number | undefined)[];
  /** What all the rules together cost. */
  readonly rulesTogether: number | undefined;
  /** The recipe without each of its materials, the least dear first. */
  readonly without: readonly Neighbour[];
  readonly steps: readonly Step[];
  /** The recipe that meets the target even where each bag holds the least it may; undefined where no bag in it has a range, or the target holds so already. */
  readonly lowEnd: { readonly extra: number | undefined; readonly recipe: Recipe | undefined } | undefined;
  /** Bags that are not in it, with the price per kg below which they would be; only where no bags are counted. Those without a price come last. */
  readonly enters: readonly Entering[];
}

/** Less than this is what the solver rounds. */
const ROUND_OFF = 1e-7;
const cleared = (extra: number): number => (Math.abs(extra) < ROUND_OFF ? 0 : extra);

/** Whether what a recipe holds of what is asked may be less than its middle. */
const isRanged = ({ mixture }: Recipe, { parts }: BlendTarget): boolean =>
  parts.some(
    ({ nutrient, amount }) =>
      amount > 0 &&
      mixture.components.some(({ product }) => {
        const supply = supplyRange(product, nutrient);
        return supply.kind === 'range' && supply.value.low < supply.value.mid * (1 - ROUND_OFF);
      }),
  );

/** What has no price is offered at so many times the dearest, at which it is never taken. */
const OUT_OF_QUESTION = 1000;
/** Prices below which bags that are not used would be: price less reduced cost. */
function entering(products: readonly Product[], target: BlendTarget, solver: LpSolver, brief: Brief): Around['enters'] {
  const known = costing(products, brief.aim);
  const never = OUT_OF_QUESTION * Math.max(1, ...known.costs);
  const costed = {
    ...known,
    used: [...known.used, ...known.leftOut],
    costs: [...known.costs, ...known.leftOut.map(() => never)],
  };
  const model = blendModel(costed, target, brief);
  if (costed.aim !== 'cost' || model.columns.some((c) => c.integer)) return [];
  const outcome = solve(model, solver);
  if (outcome.kind !== 'optimal') return [];
  const unused = costed.used.flatMap(({ name }, j) => {
    const column = outcome.columns[j];
    const price = costed.costs[j] ?? 0;
    const below = price - (column?.reducedCost ?? 0);
    const out = column !== undefined && column.value < ROUND_OFF;
    const hasPrice = j < known.used.length;
    return out && below > ROUND_OFF && below < price - ROUND_OFF
      ? [{ name, below, hasPrice, short: hasPrice ? 1 + below / price : below / never }]
      : [];
  });
  // Those that are nearest to it first; of those without a price those that are worth most.
  return unused.sort((a, b) => b.short - a.short).map(({ short: _, ...entering }) => entering);
}

/**
 * What lies around a recipe: the price of each rule, the recipe without each of its materials, what a little more of each nutrient costs, and below
 * which price a bag that is not in it would be. Each is the difference of two recipes, so that it also holds with whole numbers.
 * @example around(shelf, target, highs, { rules: [{ kind: 'keep', what: 'plants' }], aim: 'cost' }, best).rulePrices // [0.31]
 */
export function around(
  products: readonly Product[],
  target: BlendTarget,
  solver: LpSolver,
  brief: Brief,
  best: Recipe,
): Around {
  const worth = worthOf(best);
  const first = target.parts.find((p) => p.amount > 0);
  const more = (found: Blend): number | undefined => {
    const other = worthOf(found);
    return other === undefined || worth === undefined ? undefined : cleared(other - worth);
  };
  const withRules = (rules: readonly BlendRule[]): Blend => blend(products, target, solver, { ...brief, rules });
  const rulePrices = brief.rules.map((_, i) => {
    const saved = more(withRules(brief.rules.filter((__, k) => k !== i)));
    return saved === undefined ? undefined : cleared(-saved);
  });
  const free = brief.rules.length > 0 ? more(withRules([])) : 0;
  const rulesTogether = free === undefined ? undefined : cleared(-free);
  const without = best.mixture.components
    .map(({ product: { id, name } }): Neighbour => {
      const found = withRules([...brief.rules, { kind: 'leaveOut', productId: id }]);
      return { productId: id, name, extra: more(found), recipe: found.kind === 'recipe' ? found : undefined };
    })
    .sort((a, b) => (a.extra ?? Infinity) - (b.extra ?? Infinity));
  const steps = target.parts.flatMap((part, i): Step[] => {
    if (part.amount <= 0) return [];
    const by = target.kind === 'grade' ? 1 : part.amount / 10;
    const parts = target.parts.map((p, k) => (k === i ? { ...p, amount: p.amount + by } : p));
    const found = blend(products, { ...target, parts }, solver, brief);
    // More of the first part is still told per kg of what was asked of it.
    const scale = target.kind === 'ratio' && part === first ? (part.amount + by) / part.amount : 1;
    const [other, now] = [worthOf(found), worth];
    const extra = other === undefined || now === undefined ? undefined : cleared(other * scale - now);
    return [{ symbol: symbolIn(part.nutrient, part.basis), by, extra }];
  });
  const ranged = brief.hold === undefined && isRanged(best, target);
  const low = ranged ? blend(products, target, solver, { ...brief, hold: 'low' }) : undefined;
  const lowEnd = low && { extra: more(low), recipe: low.kind === 'recipe' ? low : undefined };
  const per = target.kind === 'ratio' && first ? symbolIn(first.nutrient, first.basis) : undefined;
  return { per, rulePrices, rulesTogether, without, steps, lowEnd, enters: entering(products, target, solver, brief) };
}

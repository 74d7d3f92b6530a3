import type { Product } from '../shelf/index.js';
import { relaxed, solve, type LinearModel, type LpSolver, type Solution } from '../solve/index.js';
import { breakRules } from './breach.js';
import { minds, shoppingFor } from './buying.js';
import { asKilogram, toComponents, total, type Blend } from './found.js';
import {
  blendModel,
  buys,
  costing,
  EVEN_WEIGHTS,
  largest,
  nutrientRows,
  WEIGHED_AIMS,
  weightedCosting,
  type Aim,
  type BlendTarget,
  type Brief,
  type Costed,
} from './model.js';
import { nearest, strongest, THIS } from './outOfReach.js';

const STOPPED = {
  failed: 'it stopped with an error',
  unbounded: 'nothing in the model holds the amounts',
  stopped: 'it ran out of time',
} as const;

/** The lightest recipe of all the products, when those that the aim knows nothing of are what the others lack. */
function withLeftOut(
  products: readonly Product[],
  { leftOut, aim }: Costed,
  target: BlendTarget,
  rules: Brief['rules'],
  solver: LpSolver,
): Blend | undefined {
  const outcome = solve(blendModel(costing(products, 'mass'), target, { rules, aim: 'mass' }), solver);
  if (outcome.kind !== 'optimal') return undefined;
  const made = asKilogram(products, target, outcome, LEAST.mass);
  const without = made.mixture.components
    .map((c) => c.product)
    .filter((p) => leftOut.includes(p))
    .map((p) => p.name);
  return {
    kind: 'needsPrices',
    ...made,
    without,
    message: `${THIS[target.kind]} ${target.kind === 'amount' ? 'take' : 'takes'} ${without.join(' and ')}, which ${without.length === 1 ? 'has' : 'have'} ${
      aim === 'salt'
        ? 'no salt index, so the least salty recipe cannot be told. Here is the lightest.'
        : 'no price in the currency of the others, so the cheapest recipe cannot be told. Here is the lightest; enter the price for the cheapest.'
    }`,
  };
}

const LEAST: Readonly<Record<Aim, string>> = {
  cost: 'least cost',
  salt: 'least salt',
  mass: 'least mass',
  fewest: 'fewest materials',
  weighted: 'least of several, as they count',
};

/** What is said where no mix meets the target with all the rules. */
function impossible(
  costed: Costed,
  products: readonly Product[],
  target: BlendTarget,
  brief: Brief,
  solver: LpSolver,
): Blend {
  const { rules } = brief;
  if (rules.length > 0) {
    const free = solve(blendModel(costing(products, 'mass'), target, { rules: [], aim: 'mass' }), solver);
    if (free.kind === 'optimal') {
      const breach = breakRules(costed, target, brief, solver);
      return {
        kind: 'ruledOut',
        ...breach,
        message: `These cannot all hold together: ${breach.between.join('; ')}.`,
      };
    }
  }
  // What prices forbid, materials without a price might still allow: reachability is judged on all of them.
  return target.kind === 'grade' ? strongest(products, target, solver) : nearest(products, target, solver);
}

const asksToBuy = ({ rules }: Brief): boolean => minds(rules).stock || minds(rules).packages;
/** A ratio is bought for at the strength it has without minding what is bought: the amounts of the batch at that strength. */
function atItsStrength(products: readonly Product[], target: BlendTarget, solver: LpSolver, brief: Brief): Blend {
  const rules = brief.rules.filter((r) => r.kind !== 'stock' && r.kind !== 'packages');
  const plain = blend(products, target, solver, { ...brief, rules });
  if (plain.kind !== 'recipe' || !brief.batch) return plain;
  const { components } = plain.mixture;
  const first = target.parts.find((p) => p.amount > 0);
  const [row] = first
    ? nutrientRows(
        components.map((c) => c.product),
        { ...target, parts: [first] },
        brief.hold,
      )
    : [];
  const share = components.reduce((s, { kg }, j) => s + kg * (row?.coefficients[j] ?? 0), 0);
  const per = first ? (share * brief.batch.kg) / first.amount : 0;
  const parts = target.parts.map((p) => ({ ...p, amount: Number((p.amount * per).toPrecision(9)) }));
  const bought = blend(products, { ...target, kind: 'amount', parts }, solver, brief);
  const wanted = parts.find((p) => p.amount > 0)?.amount;
  return bought.kind === 'recipe' && wanted !== undefined && bought.batchKg
    ? { ...bought, wantedPerKg: wanted / bought.batchKg }
    : bought;
}

/** What a batch weighs and what is fetched for it. */
function fetched(
  used: readonly Product[],
  target: BlendTarget,
  { x, objective }: Solution,
  brief: Brief,
): Pick<Extract<Blend, { kind: 'recipe' }>, 'batchKg' | 'shopping' | 'spent'> {
  const { batch, rules } = brief;
  const spent = buys(target, brief) ? objective : undefined;
  const components = toComponents(used, x.slice(0, used.length));
  const mass = components.reduce((sum, c) => sum + c.kg, 0);
  const batchKg = target.kind === 'amount' ? mass : undefined;
  if (!batch) return { batchKg, shopping: undefined, spent };
  const stockKg = minds(rules).stock ? batch.stockKg : {};
  const kg = batchKg ?? batch.kg;
  return { batchKg, spent, shopping: shoppingFor(components, { kg, stockKg }, target.kind === 'grade' ? 1 : mass) };
}

/** What is at hand without a price counts too where what is at hand counts: it costs nothing more. */
function withAtHand(costed: Costed, { rules, batch }: Brief): Costed {
  if (!minds(rules).stock || costed.aim !== 'cost') return costed;
  const atHand = costed.leftOut.filter((p) => (batch?.stockKg[p.id] ?? 0) > 0);
  return {
    ...costed,
    used: [...costed.used, ...atHand],
    costs: [...costed.costs, ...atHand.map(() => 0)],
    leftOut: costed.leftOut.filter((p) => !atHand.includes(p)),
  };
}

/** What each product costs the aim of a brief; of several together, each is measured by the best mix for it alone. */
function costedFor(products: readonly Product[], target: BlendTarget, brief: Brief, solver: LpSolver): Costed {
  if (buys(target, brief)) return withAtHand(costing(products, 'cost'), brief);
  if (brief.aim !== 'weighted') return costing(products, brief.aim);
  const weights = brief.weights ?? EVEN_WEIGHTS;
  const alone = WEIGHED_AIMS.filter((aim) => weights[aim] > 0).map((aim) => {
    const { rules, hold } = brief;
    const plain: Brief = { rules, aim, ...(hold ? { hold } : {}) };
    const best = solve(blendModel(costing(products, aim), target, plain), solver, { seconds: SECONDS });
    return [aim, best.kind === 'optimal' ? best.objective : 0] as const;
  });
  return alone.length === 0 ? costing(products, 'mass') : weightedCosting(products, weights, Object.fromEntries(alone));
}

/** How much better than the best so far a solution could be, as a share of it: what the model gives where whole numbers are not asked is a bound. */
function gapOf({ objective }: Solution, model: LinearModel, solver: LpSolver): number {
  const bound = solve(relaxed(model), solver);
  return bound.kind === 'optimal' && objective > 0 ? Math.max(0, (objective - bound.objective) / objective) : 1;
}

/** kg of its first nutrient that a kg of a ratio's mix counts for; undefined of a grade and of amounts. @param x kg of each product for one unit of the ratio */
const wantedPerKg = ({ kind, parts }: BlendTarget, x: readonly number[]): number | undefined =>
  kind === 'ratio' ? (parts.find((p) => p.amount > 0)?.amount ?? 0) / 100 / total(x) : undefined;

const PLAIN: Brief = { rules: [], aim: 'cost' };
/** Longer than this nobody waits for whole numbers; the best so far is taken, and that is said. */
const SECONDS = 4;

/**
 * The best recipe that meets a target and the rules, per kg of mix, found by linear programming, with whole numbers where bags are counted. Products of
 * which the aim knows nothing are left out and named; when none has a price the lightest recipe is given instead of the cheapest.
 *
 * @param products materials to choose from
 * @param target grade or ratio with its tolerance
 * @param solver an LP solver (HiGHS in the program)
 * @param brief the rules that hold, and what is made small: the cost unless said
 * @returns a recipe; or, at the wrong strength, the strongest reachable; or what is missing; or which rules cannot hold together
 * @example blend(shelf, { kind: 'grade', parts: [{ nutrient: 'N', basis: 'element', amount: 6 }], tolerance: 0.1 }, highs, { rules: [{ kind: 'keep', what: 'noNitrate' }], aim: 'cost' })
 */
export function blend(
  products: readonly Product[],
  target: BlendTarget,
  solver: LpSolver,
  brief: Brief = PLAIN,
): Blend {
  if (products.length === 0) return { kind: 'failed', message: 'No materials are chosen, expected at least one.' };
  if (!(largest(target.parts) > 0))
    return { kind: 'failed', message: 'The target is all zeros, expected at least one nutrient above zero.' };
  const asked = target.parts.reduce((s, p) => s + p.amount, 0);
  if (target.kind === 'ratio' && brief.batch && asksToBuy(brief)) return atItsStrength(products, target, solver, brief);
  const costed = costedFor(products, target, brief, solver);
  const { used, leftOut, aim } = costed;
  const model = blendModel(costed, target, brief);
  const outcome =
    target.kind === 'grade' && asked > 100
      ? ({ kind: 'infeasible' } as const)
      : solve(model, solver, { seconds: SECONDS });
  if (outcome.kind === 'failed' || outcome.kind === 'unbounded' || (outcome.kind === 'stopped' && !outcome.best))
    return { kind: 'failed', message: `The solver gave no recipe: ${STOPPED[outcome.kind]}.` };
  if (outcome.kind === 'infeasible' && leftOut.length > 0 && asked <= 100) {
    const lightest = withLeftOut(products, costed, target, brief.rules, solver);
    if (lightest) return lightest;
  }
  if (outcome.kind === 'infeasible') return impossible(costed, products, target, brief, solver);
  const best = outcome.kind === 'stopped' ? (outcome.best as Solution) : outcome;
  return {
    kind: 'recipe',
    ...asKilogram(used, target, best, LEAST[aim]),
    ...fetched(used, target, best, brief),
    wantedPerKg: wantedPerKg(target, best.x.slice(0, used.length)),
    minimised: aim,
    leftOut: leftOut.map((p) => p.name),
    gap: outcome.kind === 'optimal' ? 0 : gapOf(best, model, solver),
  };
}

import type { Product } from '../shelf/index.js';
import type { LpSolver } from '../solve/index.js';
import { blend } from './blend.js';
import type { Blend } from './found.js';
import type { BlendTarget, Brief } from './model.js';
import { saltOf } from './rules.js';

/** A recipe on the curve of cost against salt. */
export interface SaltStep {
  /** Salt index of the mix, sodium nitrate = 100 by weight. */
  readonly salt: number;
  /** Per kg of mix. */
  readonly cost: number;
  readonly recipe: Extract<Blend, { kind: 'recipe' }>;
}

/**
 * Cost against salt: the cheapest recipe at each of several bounds on the salt index, from the least salt there can be to that of the cheapest recipe
 * (the ε-constraint method, which also finds what lies inside the hull where bags are counted). Bags whose salt nobody knows are left out.
 * @param points recipes on the curve, the ends counted
 * @returns the least salty first; of recipes that are the same one; empty where nothing can be told
 */
export function saltCurve(
  products: readonly Product[],
  target: BlendTarget,
  solver: LpSolver,
  { rules }: Brief,
  points = 8,
): readonly SaltStep[] {
  const cheapest = (most: number | undefined): SaltStep | undefined => {
    const found = blend(products, target, solver, {
      aim: 'cost',
      rules: [...rules, { kind: 'limit', of: 'salt', high: most }],
    });
    const salt = found.kind === 'recipe' ? saltOf(found.mixture) : undefined;
    const cost = found.kind === 'recipe' ? found.mixture.costPerKg?.value.mid : undefined;
    return found.kind === 'recipe' && salt !== undefined && cost !== undefined
      ? { salt, cost, recipe: found }
      : undefined;
  };
  const dearest = cheapest(1000);
  const least = blend(products, target, solver, { aim: 'salt', rules });
  const low = least.kind === 'recipe' ? saltOf(least.mixture) : undefined;
  if (!dearest || low === undefined) return [];
  const steps = Array.from({ length: points }, (_, i) => low + ((dearest.salt - low) * i) / (points - 1));
  const found = steps.flatMap((most) => cheapest(most + 1e-6 * Math.max(1, most)) ?? []);
  return found.filter((step, i) => i === 0 || step.salt - (found[i - 1]?.salt ?? 0) > 1e-4 * Math.max(1, step.salt));
}

import type { LpSolver } from '../solve/index.js';
import { cheapestSupply, type Cheapest, type PricedShelf, type Wanted } from './pricedShelf.js';

/** Less money than this is what the solver rounds. */
const ROUND_OFF = 1e-7;

/** A rule that a grower keeps, as the bags it allows. What is not known of a bag counts against it. */
export interface Preference {
  readonly name: string;
  readonly allowed: readonly string[];
}
/** What a rule costs: the cheapest supply with it, and how much more that is than without. */
export interface PreferencePrice {
  readonly name: string;
  readonly found: Cheapest;
  /** Money more than with no rule; undefined where the rule leaves a nutrient out. */
  readonly extra: number | undefined;
}

/**
 * The price of each preference: what is wanted is bought with and without it. A preference is never scored as quality.
 * @param wanted kg of each element
 * @example preferencePrices(shelf, { N: 9, K: 12 }, [{ name: 'plant only', allowed: ['lucerne'] }], solver).rules[0].extra // 14.2
 */
export function preferencePrices(
  shelf: PricedShelf,
  wanted: Wanted,
  preferences: readonly Preference[],
  solver: LpSolver,
): { readonly without: Cheapest; readonly rules: readonly PreferencePrice[] } {
  const without = cheapestSupply(shelf, wanted, solver);
  const rules = preferences.map(({ name, allowed }): PreferencePrice => {
    const kept = new Set(allowed);
    const found = cheapestSupply(shelf, wanted, solver, { without: (b) => !kept.has(b.product.id) });
    const extra = found.kind === 'supply' && without.kind === 'supply' ? found.cost - without.cost : undefined;
    return { name, found, extra: extra !== undefined && Math.abs(extra) < ROUND_OFF ? 0 : extra };
  });
  return { without, rules };
}

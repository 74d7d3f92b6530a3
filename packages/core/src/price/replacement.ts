import { computed, difference, solved, type Figure } from '../figure/index.js';
import { analyteName, type Nutrient } from '../nutrient/index.js';
import { formatTrimmed, inCurrency, measure, per } from '../quantity/index.js';
import type { LpSolver } from '../solve/index.js';
import { OTHER_END } from './cheapestOfAll.js';
import { cheapestSupply, type Cheapest, type PricedBag, type PricedShelf, type Wanted } from './pricedShelf.js';

/** What a kg of a bag is worth by what else would bring the same. */
export type Replacement =
  | {
      readonly kind: 'value';
      /** Cheapest cost of all the bag brings, from the others, in money per kg of the bag. */
      readonly value: Figure;
      /** Price less value: above 0 it is dearer than what replaces it. */
      readonly premium: Figure;
      /** kg of each other bag that stand in for one kg. */
      readonly bundle: readonly { readonly bag: PricedBag; readonly kg: number }[];
      /** What one kg of each nutrient is worth in that bundle. */
      readonly prices: Readonly<Partial<Record<Nutrient, number>>>;
      /** What no other bag here brings: it is not counted in the value. */
      readonly notReplaceable: readonly Nutrient[];
    }
  /** It brings nothing that counts, or nothing of it can be replaced from here. */
  | { readonly kind: 'none'; readonly why: 'bringsNothing' | 'nobodyElse' | 'failed' };

const wantedOf = (bag: PricedBag, nutrients: readonly Nutrient[], end: 'low' | 'mid' | 'high'): Wanted =>
  Object.fromEntries(nutrients.flatMap((n) => (bag.supply[n] ? [[n, bag.supply[n].value[end]]] : [])));

/**
 * The replacement value of a bag: the cheapest way to bring everything it brings of the nutrients that count from the other bags of the shelf, by linear
 * programme, with what each nutrient is worth there as its dual prices. The range runs from the least the bag can hold, replaced by bags at their most,
 * to the other way round.
 * @example replacementValue(shelf, shelf.bags[0], solver) // value 0.92 EUR/kg, premium 0.31 EUR/kg
 */
export function replacementValue(shelf: PricedShelf, bag: PricedBag, solver: LpSolver): Replacement {
  const brings = shelf.nutrients.filter((n) => (bag.supply[n]?.value.mid ?? 0) > 0);
  if (brings.length === 0) return { kind: 'none', why: 'bringsNothing' };
  const others = shelf.bags.filter((b) => b.product.id !== bag.product.id);
  const replaceable = brings.filter((n) => others.some((b) => (b.supply[n]?.value.low ?? 0) > 0));
  if (replaceable.length === 0) return { kind: 'none', why: 'nobodyElse' };
  const costAt = (end: 'low' | 'mid' | 'high'): Cheapest =>
    cheapestSupply(shelf, wantedOf(bag, replaceable, end), solver, {
      without: (b) => b.product.id === bag.product.id,
      end: OTHER_END[end],
    });
  const mid = costAt('mid');
  if (mid.kind !== 'supply') return { kind: 'none', why: 'failed' };
  const exact = [bag, ...others].every((b) => replaceable.every((n) => isExact(b.supply[n]?.value)));
  const ends = exact ? [mid, mid] : [costAt('low'), costAt('high')];
  const [low, high] = ends.map((e) => (e.kind === 'supply' ? e.cost : mid.cost));
  const perKg = per(inCurrency(shelf.currency), measure('kg'));
  const bundleWords = mid.bundle.map(({ bag: b, kg }) => `${formatTrimmed(kg, 3)} kg ${b.product.name}`).join(' + ');
  const chosen = solved(
    `Cheapest stand-in for a kg of ${bag.product.name}: ${bundleWords}`,
    mid.cost,
    perKg,
    {
      solver: 'HiGHS',
      objective: 'least cost',
      binds: replaceable.filter((n) => (mid.prices[n] ?? 0) > 0).map((n) => `${analyteName(n)} at its least`),
    },
    mid.bundle.map((b) => b.bag.price.figure),
  );
  const value = exact
    ? chosen
    : computed(
        `Replacement value of ${bag.product.name}`,
        { low: Math.min(low ?? mid.cost, mid.cost), mid: mid.cost, high: Math.max(high ?? mid.cost, mid.cost) },
        perKg,
        'range',
        'from the least it can hold to the most, replaced by bags at their most and least',
        [chosen],
      );
  return {
    kind: 'value',
    value,
    premium: difference(`Premium of ${bag.product.name}`, perKg, bag.price.figure, value),
    bundle: mid.bundle,
    prices: mid.prices,
    notReplaceable: brings.filter((n) => !replaceable.includes(n)),
  };
}
const isExact = (range: { readonly low: number; readonly high: number } | undefined): boolean =>
  range === undefined || range.low === range.high;

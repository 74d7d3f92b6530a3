import { expose } from 'comlink';
import {
  cheapestSupply,
  preferencePrices,
  pricedShelf,
  replacementValue,
  type Cheapest,
  type Nutrient,
  type Preference,
  type PreferencePrice,
  type Product,
  type Replacement,
  type Wanted,
} from '@wheat-ledger/core';
import { highs } from './highs';

/** A bag with what it is worth by what else would bring the same. */
export interface BagValue {
  readonly id: string;
  readonly value: Replacement;
}

const priceWorker = {
  /** Replacement values of some bags among all that may stand in. `onShare` hears how far they are. */
  async values(
    shelf: readonly Product[],
    ids: readonly string[],
    currency: string,
    nutrients: readonly Nutrient[],
    onShare: (share: number) => void,
  ): Promise<readonly BagValue[]> {
    const solver = await highs();
    const priced = pricedShelf(shelf, currency, nutrients);
    const asked = priced.bags.filter((b) => ids.includes(b.product.id));
    return asked.map((bag, i) => {
      onShare(i / asked.length);
      return { id: bag.product.id, value: replacementValue(priced, bag, solver) };
    });
  },
  /** What would bring what is wanted at the least cost, once for each of several wants; nothing wanted costs nothing. */
  async addOns(
    shelf: readonly Product[],
    currency: string,
    wanted: readonly Wanted[],
    nutrients: readonly Nutrient[],
  ): Promise<readonly Cheapest[]> {
    const solver = await highs();
    const priced = pricedShelf(shelf, currency, nutrients);
    return wanted.map((want) =>
      Object.keys(want).length === 0
        ? { kind: 'supply', cost: 0, bundle: [], prices: {} }
        : cheapestSupply(priced, want, solver),
    );
  },
  /** What a need costs from a shelf, without rules and with each of them. */
  async preferences(
    shelf: readonly Product[],
    currency: string,
    wanted: Wanted,
    rules: readonly Preference[],
  ): Promise<{ readonly without: Cheapest; readonly rules: readonly PreferencePrice[] }> {
    const priced = pricedShelf(shelf, currency, Object.keys(wanted) as Nutrient[]);
    return preferencePrices(priced, wanted, rules, await highs());
  },
};

export type PriceWorker = typeof priceWorker;
expose(priceWorker);

import { expose } from 'comlink';
import type { CataloguePackaged, CatalogueProduct, Problem } from '@wheat-ledger/contract';
import {
  cheapestOfAll,
  RANKED_NUTRIENTS,
  replacementOfAll,
  wholeOfAll,
  type Amounts,
  type CatalogueColumn,
  type CheapestOfAll,
  type HeldEnd,
  type MoreOfAll,
  type NutrientPrices,
  type RankedNutrient,
  type ReplacementOfAll,
  type ToReplace,
  type Restricted,
  type WantedOfAll,
  type WholeOfAll,
} from '@wheat-ledger/core';
import { highs } from './highs';

/** The catalogue of a ledger, and what of it counts. */
export interface Everything {
  /** Where it answers. */
  readonly address: string;
  /** Conditions every product has to meet, its currency among them. */
  readonly conditions: Readonly<Record<string, string>>;
}
/** What is wanted of everything in the lists. */
export interface AllQuestion {
  readonly of: Everything;
  readonly wanted: WantedOfAll;
  readonly rules: Restricted;
}
export type AllAnswer =
  | {
      readonly kind: 'found';
      /** By the kg, of any number of products. */
      readonly linear: CheapestOfAll;
      /** Within the rules; undefined where there are none, 'none' where nothing was found. */
      readonly whole: WholeOfAll | 'none' | undefined;
    }
  | { readonly kind: 'none'; readonly missing: readonly RankedNutrient[] };
/** Which products are worth what by everything in the lists. */
export interface WorthQuestion {
  readonly of: Everything;
  readonly products: readonly ToReplace[];
  readonly currency: string;
  readonly nutrients: readonly RankedNutrient[];
}
export interface WorthAnswer {
  readonly id: string;
  readonly value: ReplacementOfAll;
}
/** Rounds that are usual: nobody knows beforehand how many it takes. */
const USUAL_ROUNDS = 12;

const listed = (amounts: Amounts): string =>
  RANKED_NUTRIENTS.flatMap((n) => (amounts[n] === undefined ? [] : [`${n}:${amounts[n].toFixed(9)}`])).join(',');

async function asked<Answer>(
  { address, conditions }: Everything,
  what: 'priced' | 'packages' | 'alone',
  more: Readonly<Record<string, string>>,
): Promise<Answer> {
  const answer = await fetch(`${address}/${what}?${new URLSearchParams({ ...conditions, ...more }).toString()}`);
  if (!answer.ok) throw new Error(((await answer.json()) as Problem).detail);
  return (await answer.json()) as Answer;
}
const atPrices = ({ worth, burden }: NutrientPrices, held: HeldEnd): Readonly<Record<string, string>> => ({
  worth: listed(worth),
  held,
  ...(Object.keys(burden).length > 0 ? { burden: listed(burden) } : {}),
});
const columnOf = ({ id, name, seller, pricePerKg, fractions }: CatalogueProduct): CatalogueColumn => ({
  ...{ id, name, seller, fractions },
  pricePerKg: pricePerKg ?? 0,
});

const pricedIn =
  (all: Everything, held: HeldEnd) =>
  async (prices: NutrientPrices): Promise<readonly CatalogueColumn[]> =>
    (await asked<CatalogueProduct[]>(all, 'priced', atPrices(prices, held))).map(columnOf);

/** What recipes under rules ask of the catalogue besides. */
const moreOf = (all: Everything, held: HeldEnd): MoreOfAll => ({
  packages: async (prices, most, within) =>
    (
      await asked<CataloguePackaged[]>(all, 'packages', {
        ...atPrices(prices, held),
        most: String(most),
        ...(within === undefined ? {} : { within: within.toFixed(9) }),
      })
    ).map(({ product, kg, price }) => ({ product: columnOf(product), kg, price })),
  alone: async ({ atLeast }) =>
    (await asked<CatalogueProduct[]>(all, 'alone', { wanted: listed(atLeast), held })).map(columnOf),
});

const api = {
  /** The cheapest recipe of everything. */
  async cheapest({ of, wanted, rules }: AllQuestion, onShare: (share: number) => void): Promise<AllAnswer> {
    const solver = await highs();
    const held = wanted.held ?? 'low';
    const ruled = rules.packages || rules.kinds !== undefined;
    const linear = await cheapestOfAll(wanted, solver, pricedIn(of, held), (round) => {
      onShare((1 - USUAL_ROUNDS / (USUAL_ROUNDS + round)) * (ruled ? 0.5 : 1));
      return true;
    });
    if (linear.kind === 'none') return linear;
    if (!ruled) return { kind: 'found', linear, whole: undefined };
    onShare(0.5);
    return {
      kind: 'found',
      linear,
      whole: (await wholeOfAll(wanted, linear, rules, solver, moreOf(of, held))) ?? 'none',
    };
  },
  /** What some products are worth by everything in the lists. `onShare` hears how far they are. */
  async worth(
    { of, products, currency, nutrients }: WorthQuestion,
    onShare: (share: number) => void,
  ): Promise<readonly WorthAnswer[]> {
    const solver = await highs();
    const found: WorthAnswer[] = [];
    for (const product of products) {
      onShare(found.length / products.length);
      const value = await replacementOfAll(product, currency, nutrients, solver, (prices, held) =>
        pricedIn(of, held)(prices),
      );
      found.push({ id: product.id, value });
    }
    return found;
  },
};
export type CatalogueWorker = typeof api;
expose(api);

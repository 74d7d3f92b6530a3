import { expose } from 'comlink';
import type { CatalogueProduct, Problem } from '@wheat-ledger/contract';
import {
  cheapestOfAll,
  RANKED_NUTRIENTS,
  type CatalogueColumn,
  type CheapestOfAll,
  type NutrientPrices,
  type WantedOfAll,
} from '@wheat-ledger/core';
import { highs } from './highs';

/** What is wanted of everything in the lists. */
export interface AllQuestion {
  readonly wanted: WantedOfAll;
  /** Where this ledger's catalogue answers. */
  readonly address: string;
  /** Conditions every product has to meet, its currency among them. */
  readonly conditions: Readonly<Record<string, string>>;
}
/** Rounds that are usual: nobody knows beforehand how many it takes. */
const USUAL_ROUNDS = 12;

const listed = (amounts: NutrientPrices['worth']): string =>
  RANKED_NUTRIENTS.flatMap((n) => (amounts[n] === undefined ? [] : [`${n}:${amounts[n].toFixed(9)}`])).join(',');

async function asked(
  { address, conditions }: AllQuestion,
  { worth, burden }: NutrientPrices,
): Promise<readonly CatalogueColumn[]> {
  const query = new URLSearchParams({ ...conditions, worth: listed(worth) });
  if (Object.keys(burden).length > 0) query.set('burden', listed(burden));
  const answer = await fetch(`${address}?${query.toString()}`);
  if (!answer.ok) throw new Error(((await answer.json()) as Problem).detail);
  return ((await answer.json()) as CatalogueProduct[]).flatMap(({ id, name, pricePerKg, fractions }) =>
    pricePerKg === null ? [] : [{ id, name, pricePerKg, fractions }],
  );
}

const api = {
  /** The cheapest recipe of everything; undefined where there is none. */
  async cheapest(question: AllQuestion, onShare: (share: number) => void): Promise<CheapestOfAll | undefined> {
    return cheapestOfAll(
      question.wanted,
      await highs(),
      (prices) => asked(question, prices),
      (round) => {
        onShare(1 - USUAL_ROUNDS / (USUAL_ROUNDS + round));
        return true;
      },
    );
  },
};
export type CatalogueWorker = typeof api;
expose(api);

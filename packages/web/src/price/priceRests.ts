import { currentOffers, printDay, type Product } from '@wheat-ledger/core';
import type { Missing } from '../ui/RestsOn';

/** What a comparison of prices takes for granted, and which bags lack what it asks for. */
export function priceRests(compared: readonly Product[]): {
  readonly assumed: readonly string[];
  readonly missing: readonly Missing[];
} {
  const seen = compared.flatMap((p) => currentOffers(p).flatMap((o) => (o.price && o.seenOn ? [o.seenOn] : []))).sort();
  const [oldest] = seen;
  const undated = compared.filter((p) => p.offers.some((o) => o.price && !o.seenOn));
  const to = (p: Product): string => `/shelf/${p.id}`;
  return {
    assumed: [
      'Each price is the newest that was seen for its size and seller.',
      ...(oldest ? [`The oldest price used is from ${printDay(oldest)}.`] : []),
      ...(undated.length > 0 ? [`No date is given for the price of ${undated.map((p) => p.name).join(', ')}.`] : []),
      'Phosphate and potash count what is available, not the total.',
    ],
    missing: compared
      .filter((p) => !p.offers.some((o) => o.price))
      .map((p) => ({ what: `What ${p.name} costs`, why: 'it is left off the ladder, not taken for free', to: to(p) })),
  };
}

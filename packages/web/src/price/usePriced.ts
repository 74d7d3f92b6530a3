import { useMemo } from 'react';
import { commonestCurrency, pricesPerKg, type Product } from '@wheat-ledger/core';

/** The currency most of some bags are priced in, and the bags that have no price in it. */
export function usePriced(products: readonly Product[]): {
  readonly currency: string | undefined;
  readonly unpriced: readonly Product[];
} {
  return useMemo(() => {
    const currency = commonestCurrency(products);
    const unpriced = products.filter((p) => !pricesPerKg(p).some((found) => found.currency === currency));
    return { currency, unpriced };
  }, [products]);
}

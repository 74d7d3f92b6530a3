import { useMemo } from 'react';
import { asCounted, type Counting, type Product } from '@wheat-ledger/core';
import { useAppSelector } from './store';

/** What counts besides the price asked: what an hour is worth, and the rates that were typed. */
export function useCounting(): Counting {
  const hour = useAppSelector((s) => s.settings.hour);
  const rates = useAppSelector((s) => s.settings.rates);
  return useMemo(() => ({ hour, rates }), [hour, rates]);
}

/** Products as their prices count. @param hours whether work and haulage are put on top */
export function useCounted(products: readonly Product[], hours = true): readonly Product[] {
  const counting = useCounting();
  return useMemo(() => {
    const counted = products.map((p) => asCounted(p, counting, hours));
    return counted.some((p, i) => p !== products[i]) ? counted : products;
  }, [products, counting, hours]);
}

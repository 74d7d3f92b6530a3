import { useMemo } from 'react';
import { leavesRoom, type Product } from '@wheat-ledger/core';
import { useTask, type Job } from '../ui/useTask';
import type { MixWorker } from '../workers/mix.worker';

const INSIDES: Job<MixWorker, readonly Product[], readonly Product[]> = {
  what: 'what is in the bags',
  start: () => new Worker(new URL('../workers/mix.worker.ts', import.meta.url), { type: 'module' }),
  run: (remote, products) => remote.insides(products),
};

/** Worked out once for each bag, as long as it stays the same. */
const known = new WeakMap<Product, Product>();

/** Bags with what their labels leave room for of each ingredient; until that is worked out, as they are. */
export function useInside(products: readonly Product[]): readonly Product[] {
  const open = useMemo(() => {
    const asked = products.filter((p) => leavesRoom(p) && !known.has(p));
    return asked.length > 0 ? asked : undefined;
  }, [products]);
  const found = useTask(INSIDES, open).result;
  return useMemo(() => {
    open?.forEach((product, i) => {
      const worked = found?.[i];
      if (worked) known.set(product, worked);
    });
    return products.some((p) => known.has(p)) ? products.map((p) => known.get(p) ?? p) : products;
  }, [products, open, found]);
}

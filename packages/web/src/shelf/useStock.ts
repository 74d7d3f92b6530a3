import { useMemo } from 'react';
import { toMovement, type MovementRecord, type ProductRecord } from '@wheat-ledger/contract';
import { stockOnHand, type StockOnHand } from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { useStocks } from '../app/stock';
import type { ShelfProduct } from '../app/workspace';

const NOBODY: ReadonlySet<string> = new Set();

/** Ids of the bags something is left of; asked for only where it matters. */
export function useOnHand(shelf: readonly ShelfProduct[], wanted: boolean): ReadonlySet<string> {
  const stocks = useStocks(shelf, wanted);
  return useMemo(() => {
    if (!wanted) return NOBODY;
    const left = [...stocks].filter(
      ([, stock]) => stock.kind === 'needsDensity' || (stock.kind === 'figure' && stock.figure.value.high > 0),
    );
    return new Set(left.map(([id]) => id));
  }, [stocks, wanted]);
}

/** A bag's movements, the newest first, and what they leave. */
export function useStockOf(product: ProductRecord): {
  readonly movements: readonly MovementRecord[];
  readonly stock: StockOnHand;
} {
  const { records } = useRecords('movement', { of: { product: product.id } });
  return useMemo(
    () => ({
      movements: [...records].reverse(),
      stock: stockOnHand({ name: product.name, densityKgPerL: product.densityKgPerL }, records.map(toMovement)),
    }),
    [records, product],
  );
}

import { useMemo } from 'react';
import { toMovement, type MovementRecord, type ProductRecord } from '@wheat-ledger/contract';
import { stockOnHand, type StockOnHand } from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import type { ShelfProduct } from '../app/workspace';

const NOBODY: ReadonlySet<string> = new Set();

/** Ids of the bags something is left of; asked for only where it matters. */
export function useOnHand(shelf: readonly ShelfProduct[], wanted: boolean): ReadonlySet<string> {
  const { records } = useRecords('movement', { skip: !wanted });
  return useMemo(() => {
    if (!wanted) return NOBODY;
    const byProduct = new Map<string, MovementRecord[]>();
    for (const m of records) byProduct.set(m.productId, [...(byProduct.get(m.productId) ?? []), m]);
    const left = shelf.filter(({ record, product }) => {
      const stock = stockOnHand(product, (byProduct.get(record.id) ?? []).map(toMovement));
      return stock.kind === 'needsDensity' || (stock.kind === 'figure' && stock.figure.value.high > 0);
    });
    return new Set(left.map(({ record }) => record.id));
  }, [records, shelf, wanted]);
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

import { useMemo } from 'react';
import { toMovement, type MovementRecord } from '@wheat-ledger/contract';
import { densityMid, stockOnHand, type StockOnHand } from '@wheat-ledger/core';
import { useRecords } from './api';
import type { ShelfProduct } from './workspace';

const NOTHING: ReadonlyMap<string, StockOnHand> = new Map();
/** What is left of each bag, by its id; asked for only where it matters. */
export function useStocks(shelf: readonly ShelfProduct[], wanted: boolean): ReadonlyMap<string, StockOnHand> {
  const { records } = useRecords('movement', { skip: !wanted });
  return useMemo(() => {
    if (!wanted) return NOTHING;
    const byProduct = new Map<string, MovementRecord[]>();
    for (const m of records) byProduct.set(m.productId, [...(byProduct.get(m.productId) ?? []), m]);
    return new Map(
      shelf.map(({ record, product }) => [
        record.id,
        stockOnHand(product, (byProduct.get(record.id) ?? []).map(toMovement)),
      ]),
    );
  }, [records, shelf, wanted]);
}

/** The same in kg, of those where that can be told and anything is left. */
export function useStockKg(shelf: readonly ShelfProduct[]): Readonly<Record<string, number>> {
  const stocks = useStocks(shelf, true);
  return useMemo(
    () =>
      Object.fromEntries(
        shelf.flatMap(({ record, product }): readonly (readonly [string, number])[] => {
          const stock = stocks.get(record.id);
          if (stock?.kind !== 'figure') return [];
          const perUnit = stock.figure.unit.text === 'kg' ? 1 : densityMid(product);
          const kg = perUnit === undefined ? 0 : stock.figure.value.mid * perUnit;
          return kg > 0 ? [[record.id, kg]] : [];
        }),
      ),
    [stocks, shelf],
  );
}

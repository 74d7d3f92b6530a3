import { useMemo } from 'react';
import { toProduct, type PlotRecord, type ProductRecord, type SeasonRecord } from '@wheat-ledger/contract';
import type { Product } from '@wheat-ledger/core';
import { useRecords } from './api';
import { useAppSelector } from './store';

export interface ShelfProduct {
  readonly record: ProductRecord;
  readonly product: Product;
}

/** Turned once for all that show it, and again only where a record changed. */
const turned = new WeakMap<ProductRecord, ShelfProduct>();
function onShelf(record: ProductRecord): ShelfProduct {
  const known = turned.get(record);
  if (known) return known;
  const shelved = { record, product: toProduct(record, record.id) };
  turned.set(record, shelved);
  return shelved;
}

/** Everything on the shelf, as records and as the core computes with them. */
export function useShelf() {
  const { records, isLoading, error } = useRecords('product');
  const shelf = useMemo(() => records.map(onShelf), [records]);
  return { shelf, isLoading, error };
}

/** How a bag that was taken off the shelf is called by what still uses it. */
export const goneName = (name: string): string => `${name} (taken off the shelf)`;

/**
 * Everything on the shelf, and those of some bags that were taken off it: what uses them keeps their names and numbers.
 * @param ids bags that are used, present or not
 */
export function useShelfWith(ids: readonly string[]) {
  const { shelf, isLoading } = useShelf();
  const lost = ids.filter((id) => id !== '' && !isLoading && !shelf.some((s) => s.record.id === id)).join();
  const { records, isLoading: lostLoading } = useRecords('product', lost === '' ? { skip: true } : { removed: true });
  return useMemo(() => {
    const gone = records
      .filter((r) => lost.includes(r.id))
      .map((record): ShelfProduct => {
        const { product } = onShelf(record);
        return { record, product: { ...product, name: goneName(product.name) } };
      });
    return { shelf: gone.length === 0 ? shelf : [...shelf, ...gone], isLoading: isLoading || lostLoading };
  }, [shelf, records, lost, isLoading, lostLoading]);
}

/** The plot chosen in the plot line, or the first one. */
export function usePlot(): { readonly plot: PlotRecord | undefined; readonly plots: readonly PlotRecord[] } {
  const { records: plots } = useRecords('plot');
  const plotId = useAppSelector((s) => s.settings.plotId);
  return useMemo(() => ({ plots, plot: plots.find((p) => p.id === plotId) ?? plots[0] }), [plots, plotId]);
}

/** A plot's season records, the newest first, and the one that is looked at: that chosen, or the newest. */
export function useSeasonRecords(plotId: string | undefined): {
  readonly records: readonly SeasonRecord[];
  readonly chosen: SeasonRecord | undefined;
  readonly isLoading: boolean;
} {
  const { records: kept, isLoading } = useRecords('season', ofPlot(plotId));
  const seasonId = useAppSelector((s) => s.settings.seasonId);
  return useMemo(() => {
    const records = [...kept].sort((a, b) => (a.from < b.from ? 1 : -1));
    return { records, chosen: records.find((s) => s.id === seasonId) ?? records[0], isLoading };
  }, [kept, seasonId, isLoading]);
}

/** Asks for what belongs to a plot, once it is known which. */
export const ofPlot = (id: string | undefined) => (id === undefined ? { skip: true } : { of: { plot: id } });

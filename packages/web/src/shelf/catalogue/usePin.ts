import { MOST_ON_BENCH, type CatalogueProduct } from '@wheat-ledger/contract';
import { problemOf } from '../../app/api';
import { useBenchChanges, useBenchPlaces } from '../../app/bench';
import { deskSlice } from '../../app/slices';
import { useAppDispatch } from '../../app/store';
import { useKeep } from '../../ui/useKeep';
import { useLazyCatalogueRecordQuery } from '../../app/catalogueApi';

export interface Pinning {
  readonly pin: (product: Pick<CatalogueProduct, 'id' | 'name'>, bench: boolean) => Promise<void>;
  readonly busy: boolean;
  /** Whether the bench has no room left. */
  readonly full: boolean;
}

/** Puts a product of a list on the shelf, and on the bench where that is wanted. Once for a page: a list of rows would pay for it at each row. */
export function usePin(): Pinning {
  const [fetchRecord, { isFetching }] = useLazyCatalogueRecordQuery();
  const { keep, saving } = useKeep('product');
  const { places } = useBenchPlaces();
  const { toggle } = useBenchChanges();
  const dispatch = useAppDispatch();
  const pin = async (product: Pick<CatalogueProduct, 'id' | 'name'>, bench: boolean): Promise<void> => {
    const found = await fetchRecord(product.id);
    if (!found.data) {
      if (found.error)
        dispatch(deskSlice.actions.noticed({ text: problemOf(found.error).detail, recordId: undefined }));
      return;
    }
    const kept = await keep(
      found.data.record,
      undefined,
      `“${product.name}” stands on the shelf${bench ? ' and the bench' : ''}.`,
    );
    if (kept && bench) toggle('product', kept.id);
  };
  return { pin, busy: saving || isFetching, full: places.length >= MOST_ON_BENCH };
}

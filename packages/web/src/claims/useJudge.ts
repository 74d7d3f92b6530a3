import { useCallback, useMemo } from 'react';
import { toClaim, type ClaimInput } from '@wheat-ledger/contract';
import { judge, type Judgement, type Product } from '@wheat-ledger/core';
import { useRecords } from '../app/api';
import { usePlotKnown } from '../app/plotKnown';
import { useWindowShares } from '../app/useWindowShares';
import { usePlot, type ShelfProduct } from '../app/workspace';

const NONE: readonly Product[] = [];

/**
 * Judges claims on the plot that is looked at, beside the bags of the shelf; the bags they are of are followed once, however many claims there are.
 * @param ids of the bags that claims are of
 * @returns a judge, which has no answer for a claim whose bag is not here
 */
export function useJudge(
  ids: readonly string[],
  shelf: readonly ShelfProduct[],
): (input: ClaimInput) => Judgement | undefined {
  const wanted = ids.join();
  const followed = useMemo(() => {
    const found = shelf.filter((s) => wanted.split(',').includes(s.record.id)).map((s) => s.product);
    return found.length > 0 ? found : NONE;
  }, [shelf, wanted]);
  const { plot } = usePlot();
  const known = usePlotKnown(plot);
  const { shares, early, settled } = useWindowShares(followed);
  const { records } = useRecords('study');
  const studies = useMemo(() => new Map(records.map((s) => [s.id, s])), [records]);
  const bags = useMemo(() => shelf.map((s) => s.product), [shelf]);
  return useCallback(
    (input) => {
      const product = followed.find((p) => p.id === input.productId);
      if (!product) return undefined;
      const [inAll, soon] = [shares.get(product.id), early.get(product.id)];
      const arrives = inAll && soon ? { early: soon, inAll } : settled ? undefined : 'underway';
      return judge(toClaim(input, product, studies), { plot: known, arrives, shelf: bags });
    },
    [followed, known, shares, early, settled, bags, studies],
  );
}

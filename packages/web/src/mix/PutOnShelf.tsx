import { mixedProduct } from '@wheat-ledger/contract';
import type { Mixture } from '@wheat-ledger/core';
import { today } from '../app/today';
import { useKeep } from '../ui/useKeep';

/** A recipe as a bag of its own, without anything being weighed: for one that is bought ready mixed, or to compare it. */
export function PutOnShelf({ name, mix }: { name: string; mix: Mixture }) {
  const { keep, saving } = useKeep('product');
  const called = name.trim();
  return (
    <p className="no-print mt-4">
      <button
        type="button"
        className="action"
        disabled={saving || called === ''}
        onClick={() =>
          void keep(
            mixedProduct(called, mix, { on: today(), note: 'Worked out from a recipe; nothing was weighed.' }),
            undefined,
            `“${called}” is on the shelf as a bag.`,
          )
        }
      >
        Put it on the shelf as a bag
      </button>{' '}
      {called === '' && <span className="text-sm text-faint">Give the recipe a name first.</span>}
    </p>
  );
}

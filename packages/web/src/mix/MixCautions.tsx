import { cautionsOf, conflictsIn, type Product } from '@wheat-ledger/core';
import { Remark } from '../ui/Sheet';

/** What to mind before some materials meet in one tub. */
export const MixCautions = ({ products }: { products: readonly Product[] }) => (
  <div className="flex flex-col gap-1">
    {conflictsIn(products)
      .filter((c) => !c.inSolution)
      .map((c) => (
        <Remark key={c.between.join() + c.reason} tone="caution">
          <b>{c.between.join(' and ')}</b> do not belong in one heap: {c.reason}.
        </Remark>
      ))}
    {cautionsOf(products).map((words) => (
      <Remark key={words} tone="caution">
        {words}
      </Remark>
    ))}
  </div>
);

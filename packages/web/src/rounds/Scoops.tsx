import { inOwnScoop, type Product } from '@wheat-ledger/core';

/** A weight in the scoop that was weighed once for this bag; nothing where none was. */
export function Scoops({ product, kg }: { product: Product | undefined; kg: number }) {
  const found = product && inOwnScoop(product, kg);
  return found ? <span className="text-sm text-faint">= {found.words}</span> : null;
}

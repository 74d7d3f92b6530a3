import type { Product } from '@wheat-ledger/core';

/** The bags that a list in one currency leaves out. */
export const Unpriced = ({ products, currency }: { products: readonly Product[]; currency: string }) =>
  products.length === 0 ? null : (
    <p className="mt-2 text-[0.9375rem] text-faint">
      Without a price by weight in {currency}, and not counted: {products.map((p) => p.name).join(', ')}.
    </p>
  );

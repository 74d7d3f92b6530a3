import type { ClaimInput, ReadText } from '@wheat-ledger/contract';
import type { Nutrient } from '@wheat-ledger/core';

/** A claim as a person types it; `needs` are the boxes ticked. */
export interface ClaimText {
  statement: string;
  saidBy: string;
  productId: string;
  crop: string;
  needs: string[];
}

export const claimText = (c: ClaimInput): ClaimText => ({
  statement: c.statement,
  saidBy: c.saidBy,
  productId: c.productId,
  crop: c.crop,
  needs: [...c.needs],
});

export function readClaim(text: ClaimText): ReadText & { readonly plain: ClaimInput } {
  const plain: ClaimInput = {
    statement: text.statement.trim(),
    saidBy: text.saidBy.trim(),
    productId: text.productId,
    crop: text.crop,
    needs: text.needs as Nutrient[],
  };
  return {
    plain,
    problems: text.productId === '' ? [{ path: 'productId', message: 'Expected the bag this is said of.' }] : [],
  };
}

import type { Claim, Product } from '@wheat-ledger/core';
import type { ClaimInput } from './claim.js';
import { cropOfSeason } from './seasonToCore.js';

/** A claim as the core judges it, with its product in full. */
export const toClaim = (input: Pick<ClaimInput, 'statement' | 'crop' | 'needs'>, product: Product): Claim => ({
  statement: input.statement,
  product,
  needs: input.needs,
  crop: cropOfSeason({ crop: input.crop }, []),
});

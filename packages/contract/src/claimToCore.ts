import type { Claim, Product } from '@wheat-ledger/core';
import type { ClaimInput } from './claim.js';
import { toDirection } from './toCore.js';
import { cropOfSeason } from './seasonToCore.js';
import { toStudy, type StudyInput } from './study.js';

type Judged = Omit<ClaimInput, 'productId' | 'saidBy' | 'history' | 'stake'>;
/** A product with the rate that a claim judges it at. */
export const dosed = (product: Product, { rate }: Pick<ClaimInput, 'rate'>): Product =>
  rate ? { ...product, directions: [toDirection(rate)] } : product;

/**
 * A claim as the core judges it, with its product and its studies in full.
 * @param studies those of the ledger, by id; one that is not there does not count
 */
export function toClaim(input: Judged, product: Product, studies: ReadonlyMap<string, StudyInput> = new Map()): Claim {
  const { statement, needs, kind, gain, less, interest, conditions, searches, notes, rate, slips, tolerance } = input;
  return {
    statement,
    product: dosed(product, input),
    ownDose: rate !== undefined,
    notes,
    slips: slips && { slips, tolerance },
    needs,
    crop: cropOfSeason({ crop: input.crop }, []),
    kind,
    conditions,
    promise: { gain, less: less ?? false },
    interest,
    searches,
    studies: (input.studies ?? []).flatMap(({ studyId, leftOut }) => {
      const study = studies.get(studyId);
      return study ? [toStudy(study, studyId, leftOut)] : [];
    }),
  };
}

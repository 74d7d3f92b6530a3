import {
  analyteName,
  compoundPerElement,
  declaredNutrients,
  labelBasis,
  massFraction,
  symbolIn,
  type Nutrient,
  type Product,
} from '@wheat-ledger/core';

/** One nutrient in the bag: its share of the whole by mass, in the basis asked for. */
export interface BagShare {
  readonly nutrient: Nutrient;
  readonly symbol: string;
  readonly name: string;
  readonly share: number;
  readonly uncertain: boolean;
}

/**
 * What a bag is seen to hold, largest first. Shares below a fiftieth of a per cent are left to "everything else", as they could not be
 * seen; a bag declared by volume without a density has nothing that can be drawn.
 */
export function bagContents(product: Product, basis: 'oxide' | 'element'): readonly BagShare[] {
  return declaredNutrients(product)
    .flatMap((nutrient): BagShare[] => {
      const reading = massFraction(product, nutrient);
      if (reading.kind !== 'figure') return [];
      const shown = basis === 'oxide' ? labelBasis(nutrient) : 'element';
      const { low, mid, high } = reading.figure.value;
      return [
        {
          nutrient,
          symbol: symbolIn(nutrient, shown),
          name: analyteName(nutrient),
          share: mid * compoundPerElement(shown),
          uncertain: low !== high,
        },
      ];
    })
    .filter((s) => s.share >= 0.0002)
    .sort((a, b) => b.share - a.share);
}

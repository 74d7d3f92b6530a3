import { exact, scaleRange } from '../quantity/index.js';
import type { Crop } from './crop.js';

/** How long a crop is fed. */
export const FED_UNTIL = ['end', 'fruitSet'] as const;
export type FedUntil = (typeof FED_UNTIL)[number];

/** Fruit sets when about half of the nitrogen is in. */
export const FRUIT_SET_SHARE = 0.5;

/**
 * A crop as it is fed this season: with the grower's own figure of the nitrogen it takes up, and only until fruit set where feeding stops there. What
 * comes after is not asked of the ground, of no element; a crop without a course by warmth has no such day.
 * @example asFed(tomato, { until: 'fruitSet' }).uptakeKgPerHa.N?.mid // half of tomato's
 */
export function asFed(
  crop: Crop,
  { until, nitrogenKgPerHa }: { readonly until: FedUntil; readonly nitrogenKgPerHa?: number | undefined },
): Crop {
  const own: Crop =
    nitrogenKgPerHa === undefined
      ? crop
      : {
          ...crop,
          uptakeKgPerHa: { ...crop.uptakeKgPerHa, N: exact(nitrogenKgPerHa) },
          ownNitrogenKgPerHa: nitrogenKgPerHa,
        };
  if (until === 'end' || crop.course?.kind !== 'warmth') return own;
  return {
    ...own,
    uptakeKgPerHa: Object.fromEntries(
      Object.entries(own.uptakeKgPerHa).map(([nutrient, range]) => [nutrient, scaleRange(range, FRUIT_SET_SHARE)]),
    ),
    fedTo: FRUIT_SET_SHARE,
  };
}

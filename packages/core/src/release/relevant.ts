import type { Figure } from '../figure/index.js';
import type { NitrogenPools } from './nitrogenPools.js';
import type { ParameterFigures } from './parameters.js';
import type { ReleaseParameters, Surroundings } from './simulate.js';

/** The assumptions that actually move this product's curve: a nitrate salt has no decomposers to suppose. */
export function relevantParameters(
  pools: NitrogenPools,
  figures: ParameterFigures,
  { daysOnSurface, waterFilled }: Pick<Surroundings, 'daysOnSurface' | 'waterFilled'>,
): readonly Figure[] {
  const keys: (keyof ReleaseParameters)[] = [];
  const hasUrea = pools.urea + pools.coated > 0;
  if (pools.organic > 0)
    keys.push(
      'fastShare',
      'kFastPerDay',
      'kSlowPerDay',
      'carbonToNitrogen',
      'carbonUse',
      'microbialCN',
      'microbialDeathPerDay',
      'humified',
      'biology',
    );
  if (pools.coated > 0) keys.push('weibullShape');
  if (hasUrea) keys.push('ureaHydrolysisPerDay');
  if (hasUrea && daysOnSurface > 0) keys.push('volatileShare');
  if (hasUrea || pools.organic > 0) keys.push('q10', ...(waterFilled ? [] : (['waterFilled'] as const)));
  return keys.map((key) => figures[key]);
}

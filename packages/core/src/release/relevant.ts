import type { Figure } from '../figure/index.js';
import type { NitrogenPools } from './nitrogenPools.js';
import type { ParameterFigures } from './parameters.js';
import type { Surroundings } from './simulate.js';

/** The assumptions that actually move this product's curve: a nitrate salt has no decomposers to suppose. */
export function relevantParameters(
  pools: NitrogenPools,
  { shared, organic, listing, own, notOrganic, longevityDays }: ParameterFigures,
  { daysOnSurface, water }: Pick<Surroundings, 'daysOnSurface' | 'water'>,
): readonly Figure[] {
  const figures: Figure[] = [];
  const hasUrea = pools.urea + pools.coated * pools.coatedForms.urea > 0;
  if (own) figures.push(own.share, own.kPerDay, shared.biology);
  if (organic.length > 0) {
    const several = organic.length > 1;
    for (const { name, nitrogenPercent, massShare, ...rest } of organic) {
      const own = Object.values(rest).map((f) => (several ? { ...f, label: `${f.label}, ${name}` } : f));
      figures.push(...own.filter((f) => f.how.kind === 'assumption'));
      if (several) figures.push(nitrogenPercent, ...(massShare ? [massShare] : []));
    }
    if (several && !organic.every((o) => o.massShare)) figures.push(listing);
    figures.push(shared.criticalCN, shared.microbialDeathPerDay, shared.humified, shared.biology);
    if (organic.some((o) => o.carbonToNitrogen.value.high > shared.criticalCN.value.low))
      figures.push(shared.soilMineralKgPerHa);
  }
  figures.push(...[notOrganic, longevityDays].filter((f) => f !== undefined));
  if (pools.coated > 0) figures.push(shared.weibullShape, shared.coatingQ10);
  if (hasUrea) figures.push(shared.ureaHydrolysisPerDay);
  if (hasUrea && daysOnSurface > 0) figures.push(shared.volatileShare);
  if (pools.ammonium > 0 && daysOnSurface > 0) figures.push(shared.volatileAmmonium);
  if (hasUrea || organic.length > 0 || own) figures.push(shared.q10, ...(water ? [] : [shared.wetness]));
  if (water) figures.push(shared.denitrificationPerDay, shared.rootingM);
  return figures;
}

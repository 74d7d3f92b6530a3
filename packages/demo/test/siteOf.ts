import { toSeason, toSite, type PlotInput } from '@wheat-ledger/contract';
import type { SiteInSeason } from '@wheat-ledger/core';
import { CROPS, SEASONS } from '../src/index.js';

/** A plot of the sample in its newest season. */
export function siteOf(plot: PlotInput): SiteInSeason {
  const [newest] = SEASONS.filter((s) => s.plot === plot.name).sort((a, b) => (a.from < b.from ? 1 : -1));
  if (!newest) throw new Error(`Nothing grows in ${plot.name}.`);
  const { own, ...season } = newest;
  const crops = CROPS.map((crop) => ({ ...crop, id: crop.name }));
  return { ...toSite(plot), season: toSeason({ ...season, ...(own === undefined ? {} : { cropId: own }) }, crops) };
}

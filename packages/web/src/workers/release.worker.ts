import { expose } from 'comlink';
import {
  productRelease,
  programmeRelease,
  computeProgramme,
  releaseBand,
  siteDays,
  type Band,
  type Doing,
  type DosedPlot,
  type Placement,
  type Product,
  type ProductRelease,
  type ProgrammeRelease,
  type SiteInSeason,
} from '@wheat-ledger/core';

const SEED = 20260315;
const DRAWS = 2000;

const releaseWorker = {
  /** Every product's course on one site, at the middle of each assumption. */
  run(products: readonly Product[], site: SiteInSeason, placement: Placement): readonly ProductRelease[] {
    const days = siteDays(site);
    return products.map((product) => productRelease(product, site, placement, days));
  },
  /** A programme's nitrogen on one site, its doses together. */
  programme(doings: readonly Doing[], plot: DosedPlot, site: SiteInSeason): ProgrammeRelease {
    const days = siteDays(site);
    return programmeRelease(computeProgramme(doings, plot, site.season, days.temperatureC), site, days);
  },
  /** The bands of all that can be followed, by product; `onShare` hears how far they are. */
  bands(releases: readonly ProductRelease[], onShare: (share: number) => void): Readonly<Record<string, Band>> {
    const cases = releases.filter((r) => r.kind === 'release');
    const bands: Record<string, Band> = {};
    cases.forEach(({ product, setup }, i) => {
      const band = releaseBand(setup, DRAWS, SEED, (share) => {
        onShare((i + share) / cases.length);
        return true;
      });
      if (band) bands[product.id] = band;
    });
    return bands;
  },
};

export type ReleaseWorker = typeof releaseWorker;
expose(releaseWorker);

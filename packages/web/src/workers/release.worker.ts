import { expose } from 'comlink';
import {
  classCourses,
  inEachMedium,
  productRelease,
  computeProgramme,
  findSplits,
  programmeBand,
  programmeCase,
  RELEASE_DAYS,
  releaseBand,
  replay,
  siteDays,
  weatherYears,
  type Band,
  type ComparedCourse,
  type Doing,
  type DosedPlot,
  type SoilNitrogen,
  type Placement,
  type Product,
  type ProductRelease,
  type ProgrammeBand,
  type ProgrammeCase,
  type ReplayedYear,
  type SiteInSeason,
  type Split,
  type SplitQuestion,
} from '@wheat-ledger/core';

const SEED = 20260315;
const DRAWS = 2000;

/** A bag in every medium, and meals of every class. */
export interface Comparisons {
  readonly media: readonly ComparedCourse[] | undefined;
  readonly classes: ReturnType<typeof classCourses>;
}

/** A programme on its ground, as it is followed here. */
export interface Planned {
  readonly doings: readonly Doing[];
  readonly plot: DosedPlot;
  readonly site: SiteInSeason;
  readonly soil: SoilNitrogen | undefined;
}

/** A programme made ready to be followed. */
function caseOf({ doings, plot, site, soil }: Planned): ProgrammeCase {
  const days = siteDays(site);
  return programmeCase(computeProgramme(doings, plot, site.season, days.temperatureC), site, days, soil);
}

const releaseWorker = {
  /** Every product's course on one site, at the middle of each assumption. */
  run(products: readonly Product[], site: SiteInSeason, placement: Placement): readonly ProductRelease[] {
    const days = siteDays(site);
    return products.map((product) => productRelease(product, site, placement, days));
  },
  /** One bag in each medium, and class averages of meals on the same ground. */
  comparisons(product: Product | undefined, site: SiteInSeason, placement: Placement): Comparisons {
    return {
      media: product && inEachMedium(product, site, placement),
      classes: classCourses(site, placement),
    };
  },
  /** The band of a programme over so many draws. */
  programmeBand(planned: Planned, draws: number, onShare: (share: number) => void): ProgrammeBand | undefined {
    return programmeBand(caseOf(planned), draws, SEED, (_soFar, share) => {
      onShare(share);
      return true;
    });
  },
  /** Each programme through every year of the plot's own weather; undefined where what the crop takes up is not known. */
  replays(
    programmes: readonly Planned[],
    onShare: (share: number) => void,
  ): readonly (readonly ReplayedYear[] | undefined)[] {
    return programmes.map(({ doings, plot, site, soil }, p) => {
      const years = weatherYears(site.logged, site.season.from, RELEASE_DAYS);
      return replay(doings, plot, site, soil, years, (done) => {
        onShare((p + done / years.length) / programmes.length);
        return true;
      });
    });
  },
  /** The best days to split a bag's nitrogen, for one dose and more. */
  splits(planned: Planned, question: SplitQuestion, onShare: (share: number) => void): readonly Split[] | undefined {
    return findSplits(caseOf(planned), question, (share) => {
      onShare(share);
      return true;
    });
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

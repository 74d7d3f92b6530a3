import { useMemo } from 'react';
import { computed, windowWeeks, type Figure, type Product, type ProductRelease } from '@wheat-ledger/core';
import { useSite } from './seasons';
import { useAppSelector } from './store';
import { useReleases, type Bands, type Releases } from './useReleases';

type Followed = Extract<ProductRelease, { kind: 'release' }>;

/** The share of a bag's nitrogen that is available by a week, with its band where that is drawn already. */
function shareBy({ product, run, assumptions }: Followed, week: number, bands: Bands): Figure {
  const mid = run.available[week * 7] ?? 0;
  const band = bands[product.id];
  const [low, high] = [band?.low[week] ?? mid, band?.high[week] ?? mid];
  return computed(
    `Share of the nitrogen of ${product.name} available by week ${week}`,
    { low: Math.min(low, mid), mid, high: Math.max(high, mid) },
    'kg/kg',
    'release',
    'followed day by day on this plot, the range being eight draws in ten',
    assumptions,
  );
}

/** What is set free by then comes soon. */
const SOON_WEEKS = 4;

export interface WindowShares extends Releases {
  /** The week by whose end the crop has taken up what it takes. */
  readonly week: number;
  /** By the id of the bag; without those of which it is not known. */
  readonly shares: ReadonlyMap<string, Figure>;
  /** The same after four weeks. */
  readonly early: ReadonlyMap<string, Figure>;
  /** Whether a bag without a share stays without: until then nobody can say that it is not known. */
  readonly settled: boolean;
}
/** How much of each bag's nitrogen the crop on the plot can have in time. */
export function useWindowShares(products: readonly Product[]): WindowShares & ReturnType<typeof useSite> {
  const here = useSite();
  const { site, crop } = here;
  const { daysOnSurface, nitrogenKgPerHa } = useAppSelector((s) => s.settings);
  const dose = nitrogenKgPerHa ?? crop?.uptakeKgPerHa.N?.mid;
  const placement = useMemo(
    () => ({ daysOnSurface, ...(dose === undefined ? {} : { doseKgPerHa: dose }) }),
    [daysOnSurface, dose],
  );
  const { courses, bands } = useReleases(products, site, placement);
  const week = useMemo(() => (site ? windowWeeks(site) : 0), [site]);
  const [shares, early] = useMemo(() => {
    const followed = (courses.latest ?? []).filter((r): r is Followed => r.kind === 'release');
    const by = (at: number): ReadonlyMap<string, Figure> =>
      new Map(followed.map((r) => [r.product.id, shareBy(r, at, bands.result ?? {})]));
    return [by(week), by(SOON_WEEKS)] as const;
  }, [courses.latest, bands.result, week]);
  return { ...here, courses, bands, week, shares, early, settled: !here.isLoading && courses.settled };
}

import { useMemo } from 'react';
import type { Band, Placement, Product, ProductRelease, SiteInSeason } from '@wheat-ledger/core';
import { useTask, type Job, type Task } from '../ui/useTask';
import { useInside } from './useInside';
import type { ReleaseWorker } from '../workers/release.worker';

export type Bands = Readonly<Record<string, Band>>;
interface Asked {
  readonly products: readonly Product[];
  readonly site: SiteInSeason;
  readonly placement: Placement;
}

const start = (): Worker => new Worker(new URL('../workers/release.worker.ts', import.meta.url), { type: 'module' });
const COURSES: Job<ReleaseWorker, Asked, readonly ProductRelease[]> = {
  what: 'the release',
  start,
  run: (remote, { products, site, placement }) => remote.run(products, site, placement),
};
const BANDS: Job<ReleaseWorker, readonly ProductRelease[], Bands> = {
  what: 'the bands',
  start,
  run: (remote, releases, onShare) => remote.bands(releases, onShare),
  pauseMs: 250,
};

export interface Releases {
  readonly courses: Task<readonly ProductRelease[]>;
  /** Bands by product, all at once. */
  readonly bands: Task<Bands>;
}

/** Follows some products' nitrogen on a site in workers: the courses first, then a band around each. */
export function useReleases(
  products: readonly Product[],
  site: SiteInSeason | undefined,
  placement: Placement,
): Releases {
  const known = useInside(products);
  const asked = useMemo(() => site && { products: known, site, placement }, [known, site, placement]);
  const courses = useTask(COURSES, asked);
  return { courses, bands: useTask(BANDS, courses.result) };
}

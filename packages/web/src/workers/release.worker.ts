import { expose } from 'comlink';
import {
  productRelease,
  releaseBand,
  siteDays,
  type Band,
  type Placement,
  type Product,
  type ProductRelease,
  type ReleaseCase,
  type Site,
} from '@wheat-ledger/core';

const SEED = 20260315;
const DRAWS = 2000;

const releaseWorker = {
  /** Every product's course on one site, at the middle of each assumption. */
  run(products: readonly Product[], site: Site, placement: Placement): readonly ProductRelease[] {
    const days = siteDays(site);
    return products.map((product) => productRelease(product, site, placement, days));
  },
  /** The band of one case; `onShare` hears how far it is. */
  band(setup: ReleaseCase, onShare: (share: number) => void): Band | undefined {
    return releaseBand(setup, DRAWS, SEED, (share) => {
      onShare(share);
      return true;
    });
  },
};

export type ReleaseWorker = typeof releaseWorker;
expose(releaseWorker);

import { useEffect, useState } from 'react';
import { proxy, wrap } from 'comlink';
import type { Band, Placement, Product, ProductRelease, Site } from '@wheat-ledger/core';
import type { ReleaseWorker } from '../workers/release.worker';

export interface Releases {
  readonly releases: readonly ProductRelease[] | undefined;
  /** Bands by product, as they come in. */
  readonly bands: Readonly<Record<string, Band>>;
  /** Share of the bands done, 1 when all are; undefined when they were called off. */
  readonly progress: number | undefined;
  readonly cancelBands: () => void;
}

/** Runs the release model for some products in a worker, curves first, then their bands one by one. */
export function useReleases(products: readonly Product[], site: Site | undefined, placement: Placement): Releases {
  const [releases, setReleases] = useState<readonly ProductRelease[]>();
  const [bands, setBands] = useState<Readonly<Record<string, Band>>>({});
  const [progress, setProgress] = useState<number | undefined>(0);
  const [running, setRunning] = useState<Worker>();

  useEffect(() => {
    setBands({});
    if (!site || products.length === 0) {
      setReleases(products.length === 0 ? [] : undefined);
      return undefined;
    }
    setProgress(0);
    const worker = new Worker(new URL('../workers/release.worker.ts', import.meta.url), { type: 'module' });
    const remote = wrap<ReleaseWorker>(worker);
    let live = true;
    setRunning(worker);
    const work = async (): Promise<void> => {
      const found = await remote.run(products, site, placement);
      if (!live) return;
      setReleases(found);
      const cases = found.filter((r) => r.kind === 'release');
      for (const [i, r] of cases.entries()) {
        // Shares come over a port of their own and may arrive after the band they belong to: progress never goes back.
        const onShare = proxy((share: number) => {
          if (live) setProgress((now) => (now === undefined ? now : Math.max(now, (i + share) / cases.length)));
        });
        const band = await remote.band(r.setup, onShare);
        if (!live) return;
        if (band) setBands((all) => ({ ...all, [r.product.id]: band }));
      }
      setProgress(1);
    };
    void work();
    return () => {
      live = false;
      worker.terminate();
    };
  }, [products, site, placement]);

  return {
    releases,
    bands,
    progress,
    cancelBands: () => {
      running?.terminate();
      setProgress(undefined);
    },
  };
}

import { useEffect, useRef, useState } from 'react';
import { wrap, type Remote } from 'comlink';
import type { Blend, BlendTarget, Product } from '@wheat-ledger/core';
import type { MixWorker } from '../workers/mix.worker';

const PAUSE_MS = 120;

/** The best mix for a target, worked out in a worker a moment after typing pauses; undefined while there is no target or no answer yet. */
export function useBlend(
  products: readonly Product[],
  target: BlendTarget | undefined,
): { readonly blend: Blend | undefined; readonly working: boolean } {
  const remote = useRef<Remote<MixWorker>>(undefined);
  const [blend, setBlend] = useState<Blend>();
  const [working, setWorking] = useState(false);

  useEffect(() => {
    const worker = new Worker(new URL('../workers/mix.worker.ts', import.meta.url), { type: 'module' });
    remote.current = wrap<MixWorker>(worker);
    return () => worker.terminate();
  }, []);

  useEffect(() => {
    if (!target) {
      setBlend(undefined);
      setWorking(false);
      return undefined;
    }
    let live = true;
    setWorking(true);
    const timer = setTimeout(() => {
      const failed = (error: unknown): Blend => ({
        kind: 'failed',
        message: `The solver could not be started: ${String(error)}`,
      });
      void (remote.current?.blend(products, target) ?? Promise.reject(new Error('no worker')))
        .catch(failed)
        .then((found) => {
          if (!live) return;
          setBlend(found);
          setWorking(false);
        });
    }, PAUSE_MS);
    return () => {
      live = false;
      clearTimeout(timer);
    };
  }, [products, target]);

  return { blend, working };
}

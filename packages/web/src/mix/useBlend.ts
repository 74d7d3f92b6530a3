import { useMemo } from 'react';
import type { Blend, BlendTarget, Product } from '@wheat-ledger/core';
import { useTask, type Job, type Task } from '../ui/useTask';
import type { MixWorker } from '../workers/mix.worker';

interface Wanted {
  readonly products: readonly Product[];
  readonly target: BlendTarget;
}

const BLEND: Job<MixWorker, Wanted, Blend> = {
  what: 'the mix',
  start: () => new Worker(new URL('../workers/mix.worker.ts', import.meta.url), { type: 'module' }),
  run: (remote, { products, target }) => remote.blend(products, target),
  pauseMs: 120,
};

/** The best mix for a target, worked out in a worker a moment after typing pauses; nothing while there is no target. */
export function useBlend(products: readonly Product[], target: BlendTarget | undefined): Task<Blend> {
  const wanted = useMemo(() => target && { products, target }, [products, target]);
  return useTask(BLEND, wanted);
}

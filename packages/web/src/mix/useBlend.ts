import { useMemo } from 'react';
import type { Around, Blend, BlendTarget, Brief, Product, SaltStep } from '@wheat-ledger/core';
import { useTask, type Job, type Task } from '../ui/useTask';
import type { MixWorker } from '../workers/mix.worker';

interface Wanted {
  readonly products: readonly Product[];
  readonly target: BlendTarget;
  readonly brief: Brief;
}
/** What lies around a recipe, and cost against salt. */
export interface Surrounds {
  readonly around: Around;
  readonly curve: readonly SaltStep[];
}

const start = (): Worker => new Worker(new URL('../workers/mix.worker.ts', import.meta.url), { type: 'module' });
const BLEND: Job<MixWorker, Wanted, Blend> = {
  what: 'the mix',
  start,
  run: (remote, { products, target, brief }) => remote.blend(products, target, brief),
  pauseMs: 120,
};
const AROUND: Job<MixWorker, Wanted, Surrounds | undefined> = {
  what: 'what the rules cost',
  start,
  run: (remote, { products, target, brief }) => remote.around(products, target, brief),
  pauseMs: 400,
};

/** The best mix for a target, worked out in a worker a moment after typing pauses, and then what lies around it; nothing while there is no target. */
export function useBlend(
  products: readonly Product[],
  target: BlendTarget | undefined,
  brief: Brief,
): { readonly blend: Task<Blend>; readonly around: Task<Surrounds | undefined> } {
  const wanted = useMemo(() => target && { products, target, brief }, [products, target, brief]);
  const blend = useTask(BLEND, wanted);
  // Nobody needs to know what lies around a mix that there is not.
  const around = useTask(AROUND, blend.result?.kind === 'recipe' ? wanted : undefined);
  return { blend, around };
}

import type { CheapestOfAll } from '@wheat-ledger/core';
import type { Job } from '../../ui/useTask';
import type { AllQuestion, CatalogueWorker } from '../../workers/catalogue.worker';

/** The cheapest recipe of everything in the lists, in a worker; nothing is told apart from undefined, which is no answer yet. */
export const CHEAPEST: Job<CatalogueWorker, AllQuestion, CheapestOfAll | 'none'> = {
  what: 'the cheapest of all',
  start: () => new Worker(new URL('../../workers/catalogue.worker.ts', import.meta.url), { type: 'module' }),
  run: async (remote, question, onShare) => (await remote.cheapest(question, onShare)) ?? 'none',
  pauseMs: 250,
};

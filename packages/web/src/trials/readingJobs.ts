import type { Permuted } from '@wheat-ledger/core';
import type { Job } from '../ui/useTask';
import type { TrialQuestion, TrialWorker } from '../workers/trial.worker';

/** The permutation test of a trial, in a worker. */
export const PERMUTE: Job<TrialWorker, TrialQuestion, Permuted | undefined> = {
  what: 'the chance of it',
  start: () => new Worker(new URL('../workers/trial.worker.ts', import.meta.url), { type: 'module' }),
  run: (remote, question, onShare) => remote.permute(question, onShare),
};

import { expose } from 'comlink';
import { permute, type Permuted, type PermuteOptions, type Placed } from '@wheat-ledger/core';

/** What is asked of the worker: units with their values, and how they were laid out. */
export interface TrialQuestion {
  readonly units: readonly Placed[];
  readonly options: PermuteOptions;
}

const api = {
  permute: ({ units, options }: TrialQuestion, onShare: (share: number) => void): Permuted | undefined =>
    permute(units, {
      ...options,
      onProgress: (share) => {
        onShare(share);
        return true;
      },
    }),
};
export type TrialWorker = typeof api;
expose(api);

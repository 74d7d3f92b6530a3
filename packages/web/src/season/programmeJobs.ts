import type {
  Cheapest,
  Nutrient,
  Product,
  ReplayedYear,
  Wanted,
  ProgrammeBand,
  Split,
  SplitQuestion,
} from '@wheat-ledger/core';
import type { Job } from '../ui/useTask';
import type { PriceWorker } from '../workers/price.worker';
import type { Planned, ReleaseWorker } from '../workers/release.worker';

const start = (): Worker => new Worker(new URL('../workers/release.worker.ts', import.meta.url), { type: 'module' });

const [FEW, ALL] = [60, 2000];
/** A band of a few draws, to have one at once. */
export const FIRST_BAND: Job<ReleaseWorker, Planned, ProgrammeBand | undefined> = {
  what: 'the band',
  start,
  run: (remote, planned, onShare) => remote.programmeBand(planned, FEW, onShare),
  pauseMs: 120,
};
/** The band of two thousand draws. */
export const WHOLE_BAND: Job<ReleaseWorker, Planned, ProgrammeBand | undefined> = {
  what: 'the band',
  start,
  run: (remote, planned, onShare) => remote.programmeBand(planned, ALL, onShare),
  pauseMs: 600,
};

/** Programmes through the years of their plot's own weather. */
export const REPLAYS: Job<ReleaseWorker, readonly Planned[], readonly (readonly ReplayedYear[] | undefined)[]> = {
  what: 'the years',
  start,
  run: (remote, programmes, onShare) => remote.replays(programmes, onShare),
  pauseMs: 400,
};

/** What the best days are asked for. */
export interface SplitAsked {
  readonly planned: Planned;
  readonly question: SplitQuestion;
}
export const SPLITS: Job<ReleaseWorker, SplitAsked, readonly Split[] | undefined> = {
  what: 'the best days',
  start,
  run: (remote, { planned, question }, onShare) => remote.splits(planned, question, onShare),
  pauseMs: 300,
};

/** What several programmes lack, to be priced from a shelf. */
export interface AddOnAsked {
  readonly shelf: readonly Product[];
  readonly currency: string;
  readonly wanted: readonly Wanted[];
}
const COUNTED: readonly Nutrient[] = ['N', 'P', 'K'];
export const ADD_ONS: Job<PriceWorker, AddOnAsked, readonly Cheapest[]> = {
  what: 'the missing pieces',
  start: () => new Worker(new URL('../workers/price.worker.ts', import.meta.url), { type: 'module' }),
  run: (remote, { shelf, currency, wanted }) => remote.addOns(shelf, currency, wanted, COUNTED),
  pauseMs: 150,
};

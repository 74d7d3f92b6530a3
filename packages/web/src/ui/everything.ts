import { dataAt } from '../app/ledger';
import type { Job } from './useTask';
import type {
  AllAnswer,
  AllQuestion,
  CatalogueWorker,
  Everything,
  WorthAnswer,
  WorthQuestion,
} from '../workers/catalogue.worker';

const start = (): Worker => new Worker(new URL('../workers/catalogue.worker.ts', import.meta.url), { type: 'module' });

/** The cheapest recipe of everything in the lists, in a worker. */
export const CHEAPEST: Job<CatalogueWorker, AllQuestion, AllAnswer> = {
  what: 'the cheapest of all',
  start,
  run: (remote, question, onShare) => remote.cheapest(question, onShare),
  pauseMs: 250,
};
/** What products are worth by everything in the lists, in a worker. */
export const WORTH: Job<CatalogueWorker, WorthQuestion, readonly WorthAnswer[]> = {
  what: 'what they are worth by the lists',
  start,
  run: (remote, question, onShare) => remote.worth(question, onShare),
};

/** Everything in the lists of this ledger that meets some conditions. */
export const everything = (conditions: Readonly<Record<string, string>>): Everything => ({
  address: new URL(dataAt('catalogue'), globalThis.location.origin).toString(),
  conditions,
});

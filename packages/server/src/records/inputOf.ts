import type { Kept } from '@wheat-ledger/contract';

const ADDED = ['id', 'version', 'updatedAt', 'deletedAt'] satisfies readonly (keyof Kept)[] as readonly string[];

/** A record without what the server adds to an input. */
export const inputOf = (record: Kept): object =>
  Object.fromEntries(Object.entries(record).filter(([field]) => !ADDED.includes(field)));

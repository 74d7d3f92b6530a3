import type { CatalogueChangeKind } from '@wheat-ledger/contract';

/** What a change of a list is called. */
export const KIND_WORDS: Readonly<Record<CatalogueChangeKind, string>> = {
  new: 'new',
  dearer: 'dearer',
  cheaper: 'cheaper',
  reformulated: 'reformulated',
  changed: 'changed otherwise',
  gone: 'gone',
};

import { plugins } from '@citation-js/core';
import '@citation-js/plugin-bibtex';
import '@citation-js/plugin-ris';
import type { StudyInput } from '@wheat-ledger/contract';
import { toCsl } from './citations';
import type { ReferenceFormat } from './formats';

/** Studies as a reference file. @param studies each with its id */
export function writeReferences(
  studies: readonly (StudyInput & { readonly id: string })[],
  format: ReferenceFormat,
): string {
  const items = studies.map((s) => toCsl(s, s.id));
  return format === 'csl' ? JSON.stringify(items, null, 2) : plugins.output.format(format, items, { format: 'text' });
}

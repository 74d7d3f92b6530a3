import { expose } from 'comlink';
import type { StudyInput } from '@wheat-ledger/contract';
import type { ReadReferences } from '../references/citations';
import { readReferences } from '../references/readReferences';
import type { ReferenceFormat } from '../references/formats';
import { writeReferences } from '../references/writeReferences';

const referencesWorker = {
  /** Every entry of a reference file that can be read, and those that cannot. */
  read: (text: string): ReadReferences => readReferences(text),
  /** Studies as a reference file. */
  write: (studies: readonly (StudyInput & { readonly id: string })[], format: ReferenceFormat): string =>
    writeReferences(studies, format),
};

export type ReferencesWorker = typeof referencesWorker;
expose(referencesWorker);

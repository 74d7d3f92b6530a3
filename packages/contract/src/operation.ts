import { ArrayMinSize, IsInt, IsObject, IsUUID, Min } from 'class-validator';
import { Maybe, OneOf, Parts, Text } from './decorators.js';
import { RECORD_KINDS, type RecordKind } from './kinds.js';
import type { JournalAction, Kept } from './records.js';

/** One change of several. */
export class ChangeInput {
  @OneOf(RECORD_KINDS, 'a kind of record')
  kind!: RecordKind;

  @OneOf(['create', 'update', 'remove', 'restore'], 'what to do')
  action!: JournalAction;

  /** The record to change; for a new one the id that later changes may refer to. */
  @Maybe()
  @IsUUID('all', { message: 'Expected an id such as 3f2b8c1e-….' })
  id?: string;

  @Maybe()
  @IsInt({ message: 'Expected the version you saw.' })
  @Min(1, { message: 'Expected the version you saw.' })
  version?: number;

  /** What the kind’s own routes take. */
  @Maybe()
  @IsObject({ message: 'Expected the input of the record.' })
  input?: object;
}

/** Several changes for one reason: all of them or none. */
export class OperationInput {
  @Text(1, 200, 'what it is for')
  why!: string;

  @ArrayMinSize(1, { message: 'Expected one change at least.' })
  @Parts(() => ChangeInput, 100, 'changes')
  changes!: ChangeInput[];
}

/** The records as they stand now, in the order of the changes. */
export interface OperationDone {
  readonly operation: string;
  readonly records: readonly Kept[];
}

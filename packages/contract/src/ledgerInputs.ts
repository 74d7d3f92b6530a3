import { IsUUID, Matches } from 'class-validator';
import { OneOf, Text } from './decorators.js';
import { RECORD_KINDS, type RecordKind } from './kinds.js';

/** What a ledger is called. */
export class LedgerInput {
  @Text(1, 80, 'a name')
  name!: string;
}

/** A record of another ledger to be copied into this one, with what it refers to. */
export class CopyInput {
  @Matches(/^[a-z0-9-]{1,60}$/, { message: 'Expected the ledger to copy from.' })
  from!: string;

  @OneOf(RECORD_KINDS, 'a kind of record')
  kind!: RecordKind;

  @IsUUID('all', { message: 'Expected the record to copy.' })
  id!: string;
}

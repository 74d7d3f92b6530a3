import 'reflect-metadata';
import { IsUUID, Matches } from 'class-validator';
import { OneOf, Text } from './decorators.js';
import { RECORD_KINDS, type RecordKind } from './kinds.js';

/** The ledger that an address without one means. */
export const HOME_LEDGER = 'home';

/** What a ledger is called. */
export class LedgerInput {
  @Text(1, 80, 'a name')
  name!: string;
}

/** A ledger of this installation. */
export interface Ledger {
  /** Its part of an address: `/l/rosewood` of a page, `/api/v1/ledgers/rosewood` before any route. */
  readonly slug: string;
  readonly name: string;
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

/** What a copy brought. */
export interface CopyDone {
  readonly operation: string | null;
  /** The copy's own id in this ledger. */
  readonly id: string;
  /** Records new here, the copy and what it refers to. */
  readonly added: number;
  readonly alreadyHere: number;
}

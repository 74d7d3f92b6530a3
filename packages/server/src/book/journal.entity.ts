import { BigIntType, Entity, PrimaryKey, Property } from '@mikro-orm/core';
import type { JournalAction, RecordKind } from '@wheat-ledger/contract';

/** One change, written in the same transaction as the change itself and never altered. */
@Entity({ tableName: 'journal' })
export class JournalEntry {
  @PrimaryKey({ type: new BigIntType('string'), autoincrement: true })
  id!: string;

  @Property({ type: 'uuid', fieldName: 'workspace_id' })
  workspace!: string;

  @Property({ type: 'timestamptz' })
  at!: Date;

  @Property({ type: 'text' })
  who!: string;

  @Property({ type: 'text' })
  kind!: RecordKind;

  @Property({ type: 'uuid', fieldName: 'record_id' })
  recordId!: string;

  @Property({ type: 'text' })
  name!: string;

  @Property({ type: 'text' })
  action!: JournalAction;

  /** What it was a part of. */
  @Property({ type: 'uuid' })
  operation!: string;

  @Property({ type: 'json', nullable: true })
  before: unknown = null;

  @Property({ type: 'json', nullable: true })
  after: unknown = null;
}

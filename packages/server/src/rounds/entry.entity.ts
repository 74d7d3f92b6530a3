import { BigIntType, Entity, PrimaryKey, Property } from '@mikro-orm/core';
import type { EntryInput } from '@wheat-ledger/contract';
import { OnGround } from './onGround.entity.js';

/** What is said of an entry beside what it went on, when, and with what. */
export type EntryDetails = Pick<
  EntryInput,
  'areaM2' | 'waterL' | 'where' | 'minutes' | 'by' | 'weather' | 'note' | 'beyondStock'
>;

/** What was really done on a day; what was done is its name. */
@Entity({ tableName: 'log_entry' })
export class EntryEntity extends OnGround {
  @Property({ type: 'text', nullable: true })
  task: string | null = null;

  @Property({ type: 'uuid', nullable: true })
  corrects: string | null = null;

  @Property({ type: 'json' })
  details!: EntryDetails;
}

/** How much of one bag went on. */
@Entity({ tableName: 'log_item' })
export class EntryItem {
  @PrimaryKey({ type: new BigIntType('string'), autoincrement: true })
  id!: string;

  @Property({ type: 'uuid', fieldName: 'workspace_id' })
  workspace!: string;

  @Property({ type: 'uuid', fieldName: 'entry_id' })
  entry!: string;

  @Property({ type: 'integer' })
  position!: number;

  @Property({ type: 'uuid', fieldName: 'product_id' })
  productId!: string;

  @Property({ type: 'double' })
  amount!: number;

  @Property({ type: 'text' })
  unit!: string;

  @Property({ type: 'text' })
  lot!: string;
}

/** An entry with its bags. */
export interface EntryRow extends EntryEntity {
  readonly items: readonly EntryItem[];
}

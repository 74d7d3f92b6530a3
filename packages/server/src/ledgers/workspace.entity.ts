import { Entity, PrimaryKey, Property } from '@mikro-orm/core';

/** A ledger: whose records they are. Every row belongs to one. */
@Entity({ tableName: 'workspace' })
export class Workspace {
  @PrimaryKey({ type: 'uuid' })
  id!: string;

  @Property({ type: 'text' })
  name!: string;

  /** Its part of an address; it stays when the name changes, so that links hold. */
  @Property({ type: 'text' })
  slug!: string;
}

/** The ledger the first migration creates, and that an address without a ledger means. */
export const HOME_WORKSPACE = '00000000-0000-4000-8000-000000000001';

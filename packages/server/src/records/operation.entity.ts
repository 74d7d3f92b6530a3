import { Entity, PrimaryKey, Property } from '@mikro-orm/core';

/** Everything that was changed for one reason, across kinds, in one transaction; its changes are the journal's entries that name it. */
@Entity({ tableName: 'operation' })
export class Operation {
  @PrimaryKey({ type: 'uuid' })
  id!: string;

  @Property({ type: 'uuid', fieldName: 'workspace_id' })
  workspace!: string;

  @Property({ type: 'timestamptz' })
  at!: Date;

  @Property({ type: 'text' })
  who!: string;

  /** What it was for; empty for a single change, which says so itself. */
  @Property({ type: 'text' })
  why!: string;

  /** The operation it takes back. */
  @Property({ type: 'uuid', nullable: true })
  undoes: string | null = null;
}

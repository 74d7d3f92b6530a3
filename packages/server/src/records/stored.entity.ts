import { PrimaryKey, Property } from '@mikro-orm/core';

/** What every kept record has. */
export abstract class Stored {
  @PrimaryKey({ type: 'uuid' })
  id!: string;

  @Property({ type: 'uuid', fieldName: 'workspace_id' })
  workspace!: string;

  @Property({ type: 'text' })
  name!: string;

  @Property({ type: 'integer', version: true })
  version!: number;

  @Property({ type: 'timestamptz', fieldName: 'updated_at' })
  updatedAt!: Date;

  @Property({ type: 'timestamptz', fieldName: 'deleted_at', nullable: true })
  deletedAt: Date | null = null;
}

import { Entity, PrimaryKey, Property } from '@mikro-orm/core';

/** Whose records they are. One for now; every query is scoped by it, so more can be added without a rewrite. */
@Entity({ tableName: 'workspace' })
export class Workspace {
  @PrimaryKey({ type: 'uuid' })
  id!: string;

  @Property({ type: 'text' })
  name!: string;
}

/** The workspace the first migration creates. */
export const HOME_WORKSPACE = '00000000-0000-4000-8000-000000000001';

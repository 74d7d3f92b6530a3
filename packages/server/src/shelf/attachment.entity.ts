import { BlobType, Entity, PrimaryKey, Property } from '@mikro-orm/core';
import type { AttachmentType } from '@wheat-ledger/contract';
import { Stored } from '../records/stored.entity.js';

@Entity({ tableName: 'attachment' })
export class AttachmentEntity extends Stored {
  @Property({ type: 'uuid', fieldName: 'product_id', nullable: true })
  productId: string | null = null;

  @Property({ type: 'uuid', fieldName: 'entry_id', nullable: true })
  entryId: string | null = null;

  @Property({ type: 'uuid', fieldName: 'trial_id', nullable: true })
  trialId: string | null = null;

  @Property({ type: 'integer', nullable: true })
  unit: number | null = null;

  @Property({ type: 'text' })
  sha256!: string;

  @Property({ type: 'text' })
  type!: AttachmentType;

  @Property({ type: 'integer' })
  bytes!: number;
}

/** A file's bytes, kept once however often they are attached. */
@Entity({ tableName: 'attachment_content' })
export class AttachmentContent {
  @PrimaryKey({ type: 'uuid', fieldName: 'workspace_id' })
  workspace!: string;

  @PrimaryKey({ type: 'text' })
  sha256!: string;

  @Property({ type: 'text' })
  type!: AttachmentType;

  @Property({ type: 'integer' })
  bytes!: number;

  @Property({ type: BlobType, lazy: true })
  data!: Buffer;
}

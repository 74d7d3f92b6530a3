import { IsInt, IsUUID, Matches } from 'class-validator';
import { MOST_UNITS } from '@wheat-ledger/core';
import { Maybe, NumberBetween, OneOf, Text, When } from './decorators.js';

/** What may be attached: a photo or a PDF, told by its bytes and not by its name. */
export const ATTACHMENT_TYPES = ['image/jpeg', 'image/png', 'image/webp', 'application/pdf'] as const;
export type AttachmentType = (typeof ATTACHMENT_TYPES)[number];
/** Largest attachment. */
export const MOST_ATTACHMENT_BYTES = 5_000_000;
/** All attachments of a workspace together, so that it still fits one file. */
export const MOST_ATTACHED_BYTES = 60_000_000;

/** A photo or PDF of a product's label, of what was done, or of a unit of a trial. Its bytes are kept apart and named by their SHA-256. */
export class AttachmentInput {
  @When<AttachmentInput>((a) => (a.entryId ?? a.trialId ?? null) === null)
  @IsUUID('all', { message: 'Expected a product of this workspace.' })
  productId?: string;

  /** The log entry it shows, where it is not of a product. */
  @Maybe()
  @IsUUID('all', { message: 'Expected an entry of this workspace.' })
  entryId?: string;

  /** The trial it shows a unit of. */
  @Maybe()
  @IsUUID('all', { message: 'Expected a trial of this workspace.' })
  trialId?: string;

  /** Of a trial: the number of the unit it shows. */
  @Maybe()
  @IsInt({ message: 'Expected the number of a unit.' })
  @NumberBetween(1, MOST_UNITS, 'the number of a unit')
  unit?: number;

  @Text(1, 200, 'a file name')
  name!: string;

  @Matches(/^[0-9a-f]{64}$/, { message: 'Expected the SHA-256 of the file.' })
  sha256!: string;

  @OneOf(ATTACHMENT_TYPES, 'a photo or a PDF')
  type!: AttachmentType;

  @NumberBetween(1, MOST_ATTACHMENT_BYTES, 'a size in bytes')
  bytes!: number;
}

/** What the server says of bytes it took. */
export type AttachedContent = Pick<AttachmentInput, 'sha256' | 'type' | 'bytes'>;

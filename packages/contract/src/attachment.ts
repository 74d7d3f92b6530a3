import { IsUUID, Matches } from 'class-validator';
import { Maybe, NumberBetween, OneOf, Text, When } from './decorators.js';

/** What may be attached: a photo or a PDF, told by its bytes and not by its name. */
export const ATTACHMENT_TYPES = ['image/jpeg', 'image/png', 'image/webp', 'application/pdf'] as const;
export type AttachmentType = (typeof ATTACHMENT_TYPES)[number];
/** Largest attachment. */
export const MOST_ATTACHMENT_BYTES = 5_000_000;
/** All attachments of a workspace together, so that it still fits one file. */
export const MOST_ATTACHED_BYTES = 60_000_000;

/** A photo or PDF of a product's label, or of what was done. Its bytes are kept apart and named by their SHA-256. */
export class AttachmentInput {
  @When<AttachmentInput>((a) => a.entryId === undefined || a.entryId === null)
  @IsUUID('all', { message: 'Expected a product of this workspace.' })
  productId?: string;

  /** The log entry it shows, where it is not of a product. */
  @Maybe()
  @IsUUID('all', { message: 'Expected an entry of this workspace.' })
  entryId?: string;

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

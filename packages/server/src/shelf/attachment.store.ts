import { createHash } from 'node:crypto';
import { EntityManager } from '@mikro-orm/postgresql';
import { HttpStatus, Injectable } from '@nestjs/common';
import { fileTypeFromBuffer } from 'file-type/core';
import {
  ATTACHMENT_TYPES,
  MOST_ATTACHED_BYTES,
  MOST_ATTACHMENT_BYTES,
  type AttachedContent,
  type AttachmentInput,
  type AttachmentType,
  type FieldProblem,
} from '@wheat-ledger/contract';
import { notFound, ProblemException } from '../common/problems.js';
import { missingRecords } from '../records/missing.js';
import { Operations } from '../records/operations.js';
import { RecordStore } from '../records/recordStore.js';
import type { Columns } from '../records/shapes.js';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { EntryEntity } from '../rounds/entry.entity.js';
import { TrialEntity } from '../trials/trial.store.js';
import { AttachmentContent, AttachmentEntity } from './attachment.entity.js';
import { missingProducts } from './knownProducts.js';

const megabytes = (bytes: number): string => `${Math.round(bytes / 1e6)} MB`;
const refused = (code: string, status: HttpStatus, detail: string): ProblemException =>
  new ProblemException(code, status, detail);

@Injectable()
export class AttachmentStore extends RecordStore<AttachmentEntity, AttachmentInput> {
  readonly kind = 'attachment';
  protected readonly entity = AttachmentEntity;

  constructor(em: EntityManager, scope: WorkspaceScope, operations: Operations) {
    super(em, scope, operations);
  }

  /** An attachment speaks of bytes that are here, and says of them what they are. */
  protected override async problems(input: AttachmentInput, em: EntityManager): Promise<readonly FieldProblem[]> {
    const { sha256, type, bytes } = input;
    const missing = await this.missingOwner(em, input);
    const content = await em.findOne(AttachmentContent, { workspace: this.scope.id, sha256 });
    const wrong = !content
      ? [{ path: 'sha256', message: 'There are no such bytes here. Send the file first.' }]
      : content.type !== type || content.bytes !== bytes
        ? [{ path: 'type', message: `Read ${type} of ${bytes} bytes, expected ${content.type} of ${content.bytes}.` }]
        : [];
    return [...missing, ...wrong];
  }

  /** It is of a bag, of what was done or of a trial, of one that is here and of no other. */
  private async missingOwner(
    em: EntityManager,
    { productId, entryId, trialId, unit }: AttachmentInput,
  ): Promise<readonly FieldProblem[]> {
    const owners = [productId, entryId, trialId].filter((id) => id).length;
    if (owners !== 1)
      return [{ path: 'productId', message: `Expected a bag, an entry or a trial, read ${owners} of them.` }];
    if (unit !== undefined && unit !== null && !trialId)
      return [{ path: 'unit', message: 'Expected the number of a unit with a trial only.' }];
    const of = (path: string, id: string | undefined): readonly { path: string; id: string }[] =>
      id ? [{ path, id }] : [];
    const ledger = this.scope.id;
    return [
      ...(await missingProducts(em, ledger, of('productId', productId))),
      ...(await missingRecords(em, EntryEntity, ledger, of('entryId', entryId), 'That entry is not in this log.')),
      ...(await missingRecords(em, TrialEntity, ledger, of('trialId', trialId), 'That trial is not in this ledger.')),
    ];
  }

  protected columns({ productId, entryId, trialId, unit, ...file }: AttachmentInput): Columns {
    const { name, sha256, type, bytes } = file;
    const of = { productId: productId ?? null, entryId: entryId ?? null, trialId: trialId ?? null, unit: unit ?? null };
    return { own: { ...of, name, sha256, type, bytes } };
  }

  protected toInput({
    productId,
    entryId,
    trialId,
    unit,
    name,
    sha256,
    type,
    bytes,
  }: AttachmentEntity): AttachmentInput {
    return {
      ...(productId === null ? {} : { productId }),
      ...(entryId === null ? {} : { entryId }),
      ...(trialId === null ? {} : { trialId }),
      ...(unit === null ? {} : { unit }),
      name,
      sha256,
      type,
      bytes,
    };
  }

  /**
   * Keeps a file's bytes, once, by what they are and not by what they are called.
   * @throws ProblemException 413 when they are too many, 415 when they are neither a photo nor a PDF
   */
  async keep(data: Buffer): Promise<AttachedContent> {
    if (data.length > MOST_ATTACHMENT_BYTES)
      throw refused(
        'too-large',
        HttpStatus.PAYLOAD_TOO_LARGE,
        `Read a file of ${megabytes(data.length)}, expected at most ${megabytes(MOST_ATTACHMENT_BYTES)}.`,
      );
    const found = await fileTypeFromBuffer(data);
    const type = ATTACHMENT_TYPES.find((t) => t === found?.mime);
    if (!type)
      throw refused(
        'no-picture',
        HttpStatus.UNSUPPORTED_MEDIA_TYPE,
        `Read ${found ? `a file of the kind ${found.mime}` : 'bytes of no kind that is known'}, expected a photo (JPEG, PNG, WebP) or a PDF.`,
      );
    return this.em.transactional(async (em) => {
      const sha256 = createHash('sha256').update(data).digest('hex');
      // One upload of a workspace at a time, so that two neither keep the same bytes twice nor fill the same last room.
      await em.execute('select pg_advisory_xact_lock(hashtextextended(?, 0))', [`attachments of ${this.scope.id}`]);
      const known = await em.findOne(AttachmentContent, { workspace: this.scope.id, sha256 });
      if (!known) {
        const [{ total }] = await em.execute<[{ total: string }]>(
          'select coalesce(sum(bytes), 0) as total from attachment_content where workspace_id = ?',
          [this.scope.id],
        );
        if (Number(total) + data.length > MOST_ATTACHED_BYTES)
          throw refused(
            'full',
            HttpStatus.PAYLOAD_TOO_LARGE,
            `All attachments together would be more than ${megabytes(MOST_ATTACHED_BYTES)}. Attach smaller photos.`,
          );
        em.persist(em.create(AttachmentContent, { workspace: this.scope.id, sha256, type, bytes: data.length, data }));
      }
      return { sha256, type, bytes: data.length };
    });
  }

  /** Keeps what somebody sends; where there is no room left, bytes that were sent before and never attached make it. */
  async keepSent(data: Buffer): Promise<AttachedContent> {
    try {
      return await this.keep(data);
    } catch (error) {
      if (!(error instanceof ProblemException && error.code === 'full')) throw error;
      await this.em.execute(
        'delete from attachment_content c where workspace_id = ? and not exists (select 1 from attachment a where a.workspace_id = c.workspace_id and a.sha256 = c.sha256)',
        [this.scope.id],
      );
      return this.keep(data);
    }
  }

  /** The bytes of an attachment, with its name and kind. @throws ProblemException 404 */
  async content(id: string): Promise<{ readonly data: Buffer; readonly name: string; readonly type: AttachmentType }> {
    const { sha256, name, type } = await this.get(id);
    return { data: await this.bytesOf(sha256), name, type };
  }

  /** @throws ProblemException 404 */
  async bytesOf(sha256: string): Promise<Buffer> {
    const content = await this.em.findOne(
      AttachmentContent,
      { workspace: this.scope.id, sha256 },
      { populate: ['data'], disableIdentityMap: true },
    );
    if (!content) throw notFound('file');
    return content.data;
  }
}

import { randomUUID } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { rm, stat } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { IsolationLevel, type EntityManager } from '@mikro-orm/postgresql';
import { StreamableFile } from '@nestjs/common';
import { Gate } from './gate.js';

const exports = new Gate('exports');

/**
 * Everything some reading yields, as it stood at one moment: read in one transaction that sees no later change, into a temporary file, and only
 * then sent, with its length. A failure comes before the first byte; a slow reader holds no connection.
 * @param pieces what to write, reading through `em`
 */
export async function snapshot(
  em: EntityManager,
  pieces: () => AsyncIterable<string>,
  { type, name }: { readonly type: string; readonly name: string },
): Promise<StreamableFile> {
  const path = join(tmpdir(), `wheat-ledger-${randomUUID()}`);
  try {
    await exports.run(() =>
      em.transactional(() => pipeline(Readable.from(pieces()), createWriteStream(path, { mode: 0o600 })), {
        isolationLevel: IsolationLevel.REPEATABLE_READ,
        readOnly: true,
      }),
    );
    const { size } = await stat(path);
    const stream = createReadStream(path);
    stream.once('close', () => void rm(path, { force: true }));
    return new StreamableFile(stream, { type, length: size, disposition: `attachment; filename="${name}"` });
  } catch (error) {
    await rm(path, { force: true });
    throw error;
  }
}

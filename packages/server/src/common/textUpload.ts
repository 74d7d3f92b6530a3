import type { Readable } from 'node:stream';
import { HttpStatus } from '@nestjs/common';
import type { Request, Response } from 'express';
import { ProblemException } from './problems.js';

const tooLarge = (most: number): ProblemException =>
  new ProblemException(
    'too-large',
    HttpStatus.PAYLOAD_TOO_LARGE,
    `The file is larger than the ${Math.round(most / 1e6)} MB that are taken.`,
  );
const noText = (what: string): ProblemException =>
  new ProblemException('no-text', HttpStatus.UNSUPPORTED_MEDIA_TYPE, `Read ${what}, expected CSV text saved as UTF-8.`);

/** How a file begins that only calls itself text. */
const MAGIC: readonly (readonly [string, string])[] = [
  ['PK', 'a ZIP or spreadsheet file'],
  ['MZ', 'a program'],
  ['\x7fELF', 'a program'],
  ['%PDF', 'a PDF'],
  ['\x1f\x8b', 'a compressed file'],
];

function refuseHead(head: Buffer): void {
  const start = head.toString('latin1', 0, 4);
  const found = MAGIC.find(([magic]) => start.startsWith(magic));
  if (found) throw noText(found[1]);
}

/** Tells that whoever waits for an answer has gone. */
export function goneFrom(response: Response): AbortSignal {
  const gone = new AbortController();
  response.once('close', () => {
    if (!response.writableFinished) gone.abort();
  });
  return gone.signal;
}

/** Refuses by the headers alone what need not be received: packed, no text, or announced as too large. */
export function refuseByHeaders(request: Request, most: number): void {
  if (Number(request.headers['content-length'] ?? 0) > most) throw tooLarge(most);
  const packed = request.headers['content-encoding'];
  if (packed && packed !== 'identity')
    throw new ProblemException(
      'packed',
      HttpStatus.UNSUPPORTED_MEDIA_TYPE,
      `Read a file packed by ${packed.slice(0, 20)}, expected it unpacked.`,
    );
  const type = (request.headers['content-type'] ?? '').split(';')[0]?.trim().toLowerCase() ?? '';
  if (!['text/csv', 'text/plain', 'text/tab-separated-values'].includes(type))
    throw noText(`a body of the kind “${type.slice(0, 60) || 'none'}”`);
}

/**
 * The text of an upload piece by piece, by what it holds and not by what it is called: more bytes than allowed, a program, a packed
 * file, or bytes that are not UTF-8 end it at once.
 * @param onBytes told the bytes received so far
 * @throws ProblemException 413 or 415
 */
export async function* textOf(
  request: Readable,
  most: number,
  onBytes: (received: number) => void = () => undefined,
): AsyncGenerator<string> {
  const decoder = new TextDecoder('utf-8', { fatal: true });
  const decode = (piece?: Buffer): string => {
    try {
      return decoder.decode(piece, { stream: piece !== undefined });
    } catch {
      throw noText('bytes that are not UTF-8');
    }
  };
  let received = 0;
  // The refusal still has to be answered over the connection, so leaving the loop must not destroy it.
  for await (const piece of request.iterator({ destroyOnReturn: false }) as AsyncIterable<Buffer>) {
    if (received === 0) refuseHead(piece);
    received += piece.length;
    if (received > most) throw tooLarge(most);
    if (piece.includes(0)) throw noText('bytes that no text has');
    onBytes(received);
    yield decode(piece);
  }
  yield decode();
}

/**
 * Does some work with an upload. When it is refused on the way, the rest is read and thrown away, since a browser listens to the answer only after it has sent
 * everything; the server's own time limit ends an upload that never does.
 */
export async function withUpload<T>(request: Request, work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    request.resume();
    throw error;
  }
}

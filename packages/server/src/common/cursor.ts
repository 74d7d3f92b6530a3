import { HttpStatus } from '@nestjs/common';
import { ProblemException } from './problems.js';

/** Place in a list sorted by name, then id. */
export interface Cursor {
  readonly name: string;
  readonly id: string;
}

/** What a name can be: no NUL, no half of a character. */
const KEEPABLE = /^[^\0\p{Cs}]{0,500}$/u;
const UUID = /^[0-9a-f]{8}-(?:[0-9a-f]{4}-){3}[0-9a-f]{12}$/;

export const encodeCursor = ({ name, id }: Cursor): string =>
  Buffer.from(JSON.stringify([name, id])).toString('base64url');

export function decodeCursor(text: string): Cursor {
  try {
    const [name, id] = JSON.parse(Buffer.from(text, 'base64url').toString('utf8')) as unknown[];
    if (typeof name === 'string' && KEEPABLE.test(name) && typeof id === 'string' && UUID.test(id)) return { name, id };
  } catch {
    // falls through to the refusal below
  }
  throw new ProblemException(
    'bad-cursor',
    HttpStatus.BAD_REQUEST,
    'The place to go on from could not be read. Start the list again.',
  );
}

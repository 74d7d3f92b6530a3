import { HttpStatus } from '@nestjs/common';
import { ProblemException } from './problems.js';

/** Place in a list sorted by name, then id. */
export interface Cursor {
  readonly name: string;
  readonly id: string;
}

export const encodeCursor = ({ name, id }: Cursor): string =>
  Buffer.from(JSON.stringify([name, id])).toString('base64url');

export function decodeCursor(text: string): Cursor {
  try {
    const [name, id] = JSON.parse(Buffer.from(text, 'base64url').toString('utf8')) as unknown[];
    if (typeof name === 'string' && typeof id === 'string' && /^[0-9a-f-]{36}$/.test(id)) return { name, id };
  } catch {
    // falls through to the refusal below
  }
  throw new ProblemException(
    'bad-cursor',
    HttpStatus.BAD_REQUEST,
    'The place to go on from could not be read. Start the list again.',
  );
}

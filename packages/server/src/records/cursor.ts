import { HttpStatus } from '@nestjs/common';
import { isISO8601 } from 'class-validator';
import { ProblemException } from '../common/problems.js';

/** Place in a list sorted by a field that is never missing, then by id. */
export interface Cursor {
  readonly key: string;
  readonly id: string;
}

const DAY = /^\d{4}-\d\d-\d\d$/;
/** What a name can be: no NUL, no half of a character. */
const KEEPABLE = /^[^\0\p{Cs}]{0,500}$/u;
const UUID = /^[0-9a-f]{8}-(?:[0-9a-f]{4}-){3}[0-9a-f]{12}$/;

export const encodeCursor = ({ key, id }: Cursor): string =>
  Buffer.from(JSON.stringify([key, id])).toString('base64url');

/** What is said of a place in a list that cannot be read. */
export const badCursor = (): ProblemException =>
  new ProblemException(
    'bad-cursor',
    HttpStatus.BAD_REQUEST,
    'The place to go on from could not be read. Start the list again.',
  );

/** @param byDay whether the list is sorted by a day */
export function decodeCursor(text: string, byDay: boolean): Cursor {
  try {
    const [key, id] = JSON.parse(Buffer.from(text, 'base64url').toString('utf8')) as unknown[];
    const fits = byDay ? isISO8601(key, { strict: true }) && DAY.test(String(key)) : KEEPABLE.test(String(key));
    if (typeof key === 'string' && fits && typeof id === 'string' && UUID.test(id)) return { key, id };
  } catch {
    // falls through to the refusal below
  }
  throw badCursor();
}

import { DriverException } from '@mikro-orm/core';

/** What a socket or PostgreSQL says when the server behind it is gone, going, or not yet there. */
const AWAY = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ENOTFOUND',
  'ETIMEDOUT',
  // PostgreSQL: shut down by its keeper, crashed, starting up; connection lost.
  '57P01',
  '57P02',
  '57P03',
  '08000',
  '08003',
  '08006',
  '08001',
]);
const AWAY_WORDS =
  /Connection terminated|Client has encountered a connection error|server closed the connection|Timeout acquiring a connection|not queryable/i;

/** What PostgreSQL says when the disk it writes to has no room left. */
const DISK_FULL = '53100';

const codeOf = (error: Error): string => ('code' in error && typeof error.code === 'string' ? error.code : '');

/** An error and what it wraps, a few deep. */
function withWrapped(error: unknown, depth = 0): readonly Error[] {
  if (!(error instanceof Error) || depth > 4) return [];
  const inner =
    error instanceof AggregateError
      ? (error.errors as unknown[])
      : [error.cause, 'previous' in error ? error.previous : undefined];
  return [error, ...inner.flatMap((e) => withWrapped(e, depth + 1))];
}

/** Whether an error means that the database does not answer, whatever wraps it. */
export const isDatabaseAway = (error: unknown): boolean =>
  withWrapped(error).some(
    (e) =>
      AWAY.has(codeOf(e)) ||
      AWAY_WORDS.test(e.message) ||
      // Whatever PostgreSQL itself refuses has a code of its own; without one, the connection broke.
      (e instanceof DriverException && codeOf(e) === ''),
  );

/** Whether an error means that the database has no room to write. */
export const isDiskFull = (error: unknown): boolean => withWrapped(error).some((e) => codeOf(e) === DISK_FULL);
/** Two transactions waited for each other, or saw each other's changes too late: the one that was ended may be done again. */
const LOST_TO_ANOTHER = new Set(['40P01', '40001']);
export const isDeadlock = (error: unknown): boolean => withWrapped(error).some((e) => LOST_TO_ANOTHER.has(codeOf(e)));

/** What PostgreSQL says to who writes while a backup is being restored: the database takes no writes then. */
const READ_ONLY = '25006';
export const isBeingRestored = (error: unknown): boolean => withWrapped(error).some((e) => codeOf(e) === READ_ONLY);

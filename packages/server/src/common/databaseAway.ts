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

/** Whether an error means that the database does not answer, whatever wraps it. */
export function isDatabaseAway(error: unknown, depth = 0): boolean {
  if (!(error instanceof Error) || depth > 4) return false;
  const code = 'code' in error && typeof error.code === 'string' ? error.code : '';
  if (AWAY.has(code) || AWAY_WORDS.test(error.message)) return true;
  // Whatever PostgreSQL itself refuses has a code of its own; without one, the connection broke.
  if (error instanceof DriverException && code === '') return true;
  const inner =
    error instanceof AggregateError
      ? (error.errors as unknown[])
      : [error.cause, 'previous' in error ? error.previous : undefined];
  return inner.some((e) => isDatabaseAway(e, depth + 1));
}

import { UnfitDatabase } from './database/orm.js';

/** What PostgreSQL, and the network before it, say when nobody can be let in, each with what to do. */
const CODES: Readonly<Record<string, string>> = {
  '28P01': 'PostgreSQL does not know this user and password. Correct them in DATABASE_URL.',
  '28000': 'PostgreSQL does not let this user in. Correct DATABASE_URL, or allow the user in pg_hba.conf.',
  '3D000': 'There is no database of that name. Create it, or correct the name at the end of DATABASE_URL.',
  '42501':
    'The user in DATABASE_URL may not create tables there. Make it the owner of the database: alter database NAME owner to USER',
  '53300': 'PostgreSQL has no connection left. Close others, or raise max_connections.',
  '53100': 'The disk of the database is full. Make room on it, then start again.',
  '25006': 'The database takes no changes now: a backup is being restored. Start again when that has ended.',
  ECONNREFUSED: 'Nothing answers at the address in DATABASE_URL. Start PostgreSQL there, or correct the address.',
  ENOTFOUND: 'There is no such host as in DATABASE_URL. Correct its name.',
  EAI_AGAIN: 'There is no such host as in DATABASE_URL. Correct its name.',
  ETIMEDOUT: 'Nothing answers at the address in DATABASE_URL. Start PostgreSQL there, or correct the address.',
  EADDRINUSE: 'The port is taken. Stop what uses it, or choose another with PORT.',
  EACCES: 'This port may not be opened by this user. Choose one above 1023 with PORT.',
};
interface Failure {
  readonly message: string;
  readonly code?: unknown;
  readonly cause?: unknown;
  readonly previous?: unknown;
  readonly errors?: readonly unknown[];
}
const isFailure = (error: unknown): error is Failure =>
  typeof error === 'object' && error !== null && 'message' in error && typeof error.message === 'string';
/** An error with what it wraps, a few deep. */
const all = (error: unknown, depth = 0): readonly Failure[] =>
  isFailure(error) && depth < 5
    ? [error, ...[error.cause, error.previous, ...(error.errors ?? [])].flatMap((e) => all(e, depth + 1))]
    : [];

/** Why the server did not start, in a sentence that says what to do; undefined where nobody can tell. @example startWords(refused) // 'Nothing answers at …' */
export function startWords(error: unknown): string | undefined {
  const found = all(error);
  const unfit = found.find((e) => e instanceof UnfitDatabase);
  if (unfit) return unfit.message;
  const code = found.map((e) => String(e.code)).find((c) => Object.hasOwn(CODES, c));
  if (code !== undefined) return CODES[code];
  return found.some((e) =>
    /DATABASE_URL|PORT|PUBLIC_ORIGIN|PRICE_FEED|SCALE|Invalid URL|connectionString/.test(e.message),
  )
    ? found[0]?.message
    : undefined;
}

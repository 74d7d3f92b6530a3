import { HttpException, HttpStatus } from '@nestjs/common';
import type { FieldProblem } from '@wheat-ledger/contract';

interface Extra {
  readonly errors?: readonly FieldProblem[];
  readonly current?: unknown;
}

/** An error that reaches the client as problem+json, with its code as the problem's type. */
export class ProblemException extends HttpException {
  constructor(
    readonly code: string,
    status: HttpStatus,
    readonly detail: string,
    readonly extra: Extra = {},
  ) {
    super(detail, status);
  }
}

export const notFound = (kind: string): ProblemException =>
  new ProblemException('not-found', HttpStatus.NOT_FOUND, `There is no such ${kind} here.`);

export const invalid = (errors: readonly FieldProblem[], status = HttpStatus.UNPROCESSABLE_ENTITY): ProblemException =>
  new ProblemException('invalid', status, errors.map((e) => e.message).join(' ') || 'The input does not fit.', {
    errors,
  });

export const conflict = (current: unknown): ProblemException =>
  new ProblemException(
    'changed-elsewhere',
    HttpStatus.CONFLICT,
    'It was changed elsewhere since you opened it. Both versions are kept: look at the newer one before saving yours.',
    { current },
  );

/** A new record comes with an id that another has. */
export const alreadyThere = (): ProblemException =>
  new ProblemException(
    'already-there',
    HttpStatus.CONFLICT,
    'A record with this id is there already; nothing was saved. Send it with another id, or none.',
  );

/** What is present cannot be put back. */
export const notInTheBin = (kind: string): ProblemException =>
  new ProblemException('not-removed', HttpStatus.CONFLICT, `This ${kind} was not taken out, so it cannot be put back.`);

/** The disk that the database writes to is full: what was asked was not done. */
export const diskFull = (): ProblemException =>
  new ProblemException(
    'disk-full',
    HttpStatus.INSUFFICIENT_STORAGE,
    'The disk of the ledger is full; nothing was saved. Make room on it, then save again.',
  );

export const tooMany = (): ProblemException =>
  new ProblemException('too-many', HttpStatus.TOO_MANY_REQUESTS, 'Too many requests in a minute. Wait a little.');

/** A backup is being restored: what was asked was not done. */
export const beingRestored = (): ProblemException =>
  new ProblemException(
    'being-restored',
    HttpStatus.SERVICE_UNAVAILABLE,
    'The ledger is being restored from a backup; nothing was saved. Reload in a minute and look at what is there.',
  );

/** The database is away: what was asked was not done, and asking again later will do it. */
export const databaseAway = (): ProblemException =>
  new ProblemException(
    'database-away',
    HttpStatus.SERVICE_UNAVAILABLE,
    'The database does not answer; nothing was saved. Try again in a moment.',
  );

import { Catch, HttpException, HttpStatus, Logger, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import { OptimisticLockError, UniqueConstraintViolationException } from '@mikro-orm/core';
import type { Response } from 'express';
import type { Problem } from '@wheat-ledger/contract';
import { DomainError } from '@wheat-ledger/core';
import { ThrottlerException } from '@nestjs/throttler';
import {
  alreadyThere,
  beingRestored,
  conflict,
  databaseAway,
  diskFull,
  invalid,
  ProblemException,
  tooMany,
} from './problems.js';
import { isBeingRestored, isDatabaseAway, isDiskFull } from './databaseAway.js';
import { traceOf } from './traceOf.js';

const TITLES: Readonly<Record<number, string>> = {
  400: 'The request could not be read',
  403: 'Not allowed from there',
  404: 'Not found',
  409: 'Changed elsewhere',
  413: 'Too large',
  415: 'Wrong kind of content',
  422: 'The input does not fit',
  428: 'Say which version you saw',
  429: 'Too many requests',
  503: 'Not ready',
  507: 'No room left',
};

/** A body parser's own errors carry a status and are safe to name; everything else unknown is hidden. */
const parserStatus = (error: unknown): number | undefined =>
  error instanceof Error &&
  'status' in error &&
  'expose' in error &&
  error.expose === true &&
  typeof error.status === 'number' &&
  error.status < 500
    ? error.status
    : undefined;

const PARSER_WORDS: Readonly<Record<number, string>> = {
  400: 'The body is not JSON that can be read.',
  413: 'The body is larger than allowed.',
  415: 'Expected a JSON body.',
};

/** What the database and others say, as a problem of ours; undefined for what nobody knows. */
function knownOf(error: unknown): ProblemException | undefined {
  if (error instanceof OptimisticLockError) return conflict(undefined);
  if (error instanceof UniqueConstraintViolationException) return alreadyThere();
  if (error instanceof DomainError) return invalid([{ path: error.path, message: error.message }]);
  if (isBeingRestored(error)) return beingRestored();
  if (isDatabaseAway(error)) return databaseAway();
  if (isDiskFull(error)) return diskFull();
  return error instanceof ThrottlerException ? tooMany() : undefined;
}

/** Every error leaves the server as RFC 9457 problem+json; what is not ours says nothing of its insides. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  private readonly logger = new Logger('Problem');

  catch(error: unknown, host: ArgumentsHost): void {
    const response = host.switchToHttp().getResponse<Response>();
    const problem = this.toProblem(error);
    if (problem.status === 503) response.setHeader('Retry-After', '2');
    if (problem.status >= 500 && !response.destroyed) this.logger.error(traceOf(error));
    // Half an answer must not pass for a whole one.
    if (response.headersSent) return void response.destroy();
    response.status(problem.status).type('application/problem+json').send(JSON.stringify(problem));
  }

  private toProblem(error: unknown): Problem {
    const known = knownOf(error) ?? error;
    if (known instanceof ProblemException) return problemOf(known.code, known.getStatus(), known.detail, known.extra);
    const status = known instanceof HttpException ? known.getStatus() : parserStatus(known);
    if (status === undefined)
      return problemOf('internal', HttpStatus.INTERNAL_SERVER_ERROR, 'Something went wrong here. Nothing was saved.');
    return problemOf(
      `http-${status}`,
      status,
      known instanceof HttpException ? known.message : (PARSER_WORDS[status] ?? 'The request could not be read.'),
    );
  }
}

const problemOf = (code: string, status: number, detail: string, extra: object = {}): Problem => ({
  type: `/problems/${code}`,
  title: TITLES[status] ?? 'Something went wrong',
  status,
  detail,
  ...extra,
});

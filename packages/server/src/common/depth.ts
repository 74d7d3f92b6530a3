import type { NextFunction, Request, Response } from 'express';
import { HttpStatus } from '@nestjs/common';
import { ProblemException } from './problems.js';

/** No input of this ledger is nested deeper; a body of thousands of brackets would exhaust whatever walks through it. */
const MOST_DEPTH = 32;

/** Whether a value is nested deeper than so many levels, told without recursion. */
export function deeperThan(value: unknown, most: number): boolean {
  let level: unknown[] = [value];
  for (let depth = 0; depth <= most; depth++) {
    level = level.flatMap((v) => (typeof v === 'object' && v !== null ? (Object.values(v) as unknown[]) : []));
    if (level.length === 0) return false;
  }
  return true;
}

/** Refuses a parsed body that is nested too deep. */
export function shallowOnly(request: Request, _response: Response, next: NextFunction): void {
  const body: unknown = request.body;
  if (Buffer.isBuffer(body) || !deeperThan(body, MOST_DEPTH)) return next();
  next(
    new ProblemException(
      'too-deep',
      HttpStatus.BAD_REQUEST,
      `The body is nested deeper than ${MOST_DEPTH} levels, which no input of this ledger is.`,
    ),
  );
}

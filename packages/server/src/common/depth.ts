import type { NextFunction, Request, Response } from 'express';
import { HttpStatus } from '@nestjs/common';
import { ProblemException } from './problems.js';

/** No input of this ledger is nested deeper; a body of thousands of brackets would exhaust whatever walks through it. */
const MOST_DEPTH = 32;

/** More values than 50 000 records with all their lines have. */
const MOST_VALUES = 8_000_000;
const [QUOTE, BACKSLASH, COMMA, BRACE, BRACKET] = Buffer.from('"\\,{[');

/** How many values JSON text holds, told without reading it into memory: nothing, twenty million times, would take gigabytes. */
export function countValues(json: Buffer): number {
  let count = 1;
  let inText = false;
  for (let i = 0; i < json.length; i++) {
    const byte = json[i];
    if (byte === QUOTE) inText = !inText;
    else if (inText) i += byte === BACKSLASH ? 1 : 0;
    else if (byte === COMMA || byte === BRACE || byte === BRACKET) count += 1;
  }
  return count;
}

/** Refuses a body of more values than any workspace has, before it is read. */
export function fewEnough(_request: unknown, _response: unknown, body: Buffer): void {
  if (countValues(body) > MOST_VALUES)
    throw new ProblemException(
      'too-many-values',
      HttpStatus.PAYLOAD_TOO_LARGE,
      `The file holds more than ${MOST_VALUES / 1e6} million values, which no workspace does.`,
    );
}

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

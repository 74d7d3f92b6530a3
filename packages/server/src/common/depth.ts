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

/** What no input may be: nested too deep, or with a name that means something to the program's language and to nobody else. */
export type Trouble = 'tooDeep' | 'foreignName';
/** Looks through a value level by level, without recursion. @param most levels that are allowed */
export function troubleIn(value: unknown, most: number): Trouble | undefined {
  let level: unknown[] = [value];
  for (let depth = 0; depth <= most; depth++) {
    const objects = level.filter((v): v is object => typeof v === 'object' && v !== null);
    if (objects.some((v) => Object.hasOwn(v, '__proto__'))) return 'foreignName';
    level = objects.flatMap((v) => Object.values(v) as unknown[]);
    if (level.length === 0) return undefined;
  }
  return 'tooDeep';
}

const REFUSED: Readonly<Record<Trouble, readonly [code: string, detail: string]>> = {
  tooDeep: ['too-deep', `The body is nested deeper than ${MOST_DEPTH} levels, which no input of this ledger is.`],
  foreignName: ['unknown-name', 'The body names a field “__proto__”, which no input of this ledger has. Remove it.'],
};

/** Refuses a parsed body that is nested too deep or names what no input has. */
export function plainOnly(request: Request, _response: Response, next: NextFunction): void {
  const body: unknown = request.body;
  const trouble = Buffer.isBuffer(body) ? undefined : troubleIn(body, MOST_DEPTH);
  if (!trouble) return next();
  const [code, detail] = REFUSED[trouble];
  next(new ProblemException(code, HttpStatus.BAD_REQUEST, detail));
}

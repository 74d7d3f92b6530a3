import type { NextFunction, Request, Response } from 'express';
import { HttpStatus } from '@nestjs/common';
import { ProblemException } from './problems.js';

/** Refuses an address that asks for a byte of zero: no database keeps it, and nothing is called so. */
export function plainAddress(request: Request, _response: Response, next: NextFunction): void {
  if (!request.originalUrl.includes('%00')) return next();
  next(new ProblemException('bad-address', HttpStatus.BAD_REQUEST, 'Read a byte in the address that no text has.'));
}

import type { NextFunction, Request, Response } from 'express';
import type { Problem } from '@wheat-ledger/contract';

const LOOPBACK = new Set(['127.0.0.1', 'localhost', '[::1]']);

const hostName = (host: string): string => host.replace(/:\d+$/, '');

function originAllowed(origin: string | undefined): boolean {
  if (origin === undefined) return true;
  try {
    return LOOPBACK.has(new URL(origin).hostname);
  } catch {
    return false;
  }
}

/**
 * A web page elsewhere must not reach a server on this machine: the Host has to be a loopback name (against rebinding
 * of names) and a browser's Origin, when sent, has to be one too.
 */
export function loopbackOnly(request: Request, response: Response, next: NextFunction): void {
  const host = hostName(request.headers.host ?? '');
  if (LOOPBACK.has(host) && originAllowed(request.headers.origin)) return next();
  const problem: Problem = {
    type: '/problems/foreign-origin',
    title: 'Not allowed from there',
    status: 403,
    detail: 'This server answers only to pages it served itself.',
  };
  response.status(403).type('application/problem+json').send(JSON.stringify(problem));
}

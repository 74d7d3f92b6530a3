import type { NextFunction, Request, Response } from 'express';
import type { Problem } from '@wheat-ledger/contract';

const LOOPBACK = new Set(['127.0.0.1', 'localhost', '[::1]']);
const WRITES = new Set(['POST', 'PUT', 'PATCH', 'DELETE']);

const hostName = (host: string): string => host.replace(/:\d+$/, '');

/** Whether a page of this origin was served by this server: scheme, host and port are the same. */
function sameOrigin(origin: string | undefined, host: string, publicOrigin: string | undefined): boolean {
  if (origin === undefined) return true;
  if (!URL.canParse(origin)) return false;
  const own = publicOrigin ?? `http://${host}`;
  return URL.canParse(own) && new URL(origin).origin === new URL(own).origin;
}

/**
 * A page elsewhere must not reach a server on this machine. The Host has to be a loopback name (against rebinding of names), a browser's Origin,
 * when sent, has to be this very server's, port included, and nothing is written for a page that the browser says is another site's: a page on
 * another port of this machine is one.
 * @param publicOrigin where the server stands behind another name, that name's origin
 */
export const ownPagesOnly =
  (publicOrigin: string | undefined) =>
  (request: Request, response: Response, next: NextFunction): void => {
    const host = request.headers.host ?? '';
    const known = LOOPBACK.has(hostName(host)) || (publicOrigin !== undefined && new URL(publicOrigin).host === host);
    const site = request.headers['sec-fetch-site'];
    const fromElsewhere = WRITES.has(request.method) && site !== undefined && site !== 'same-origin' && site !== 'none';
    if (known && !fromElsewhere && sameOrigin(request.headers.origin, host, publicOrigin)) return next();
    const problem: Problem = {
      type: '/problems/foreign-origin',
      title: 'Not allowed from there',
      status: 403,
      detail: 'This server answers only to pages it served itself.',
    };
    response.status(403).type('application/problem+json').send(JSON.stringify(problem));
  };

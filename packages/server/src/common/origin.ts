import type { NextFunction, Request, Response } from 'express';
import type { Problem } from '@wheat-ledger/contract';

const LOOPBACK = new Set(['127.0.0.1', 'localhost', '[::1]']);

const hostName = (host: string): string => host.replace(/:\d+$/, '');

/** Whether a page of this origin was served by this server: scheme, host and port are the same. */
function sameOrigin(origin: string | undefined, host: string, publicOrigin: string | undefined): boolean {
  if (origin === undefined) return true;
  if (!URL.canParse(origin)) return false;
  const own = publicOrigin ?? `http://${host}`;
  return URL.canParse(own) && new URL(origin).origin === new URL(own).origin;
}

/** Whether a browser opens an address as a page, from wherever the link to it stood. */
const opensPage = ({ method, headers, path }: Request): boolean =>
  method === 'GET' && headers['sec-fetch-mode'] === 'navigate' && !path.startsWith('/api/');

/** Why a request is refused; undefined where it is not. */
function refusal(request: Request, publicOrigin: string | undefined): string | undefined {
  const host = request.headers.host ?? '';
  const isPublic = publicOrigin !== undefined && new URL(publicOrigin).host === host;
  if (!isPublic && !LOOPBACK.has(hostName(host))) return OWN_PAGES;
  const site = request.headers['sec-fetch-site'];
  const fromElsewhere = site !== undefined && site !== 'same-origin' && site !== 'none';
  if (fromElsewhere && !opensPage(request)) return OWN_PAGES;
  if (sameOrigin(request.headers.origin, host, publicOrigin)) return undefined;
  return publicOrigin !== undefined && !isPublic ? elsewhere(publicOrigin) : OWN_PAGES;
}
const OWN_PAGES = 'This server answers only to pages it served itself.';
const elsewhere = (publicOrigin: string): string =>
  `This ledger is opened at ${publicOrigin} (PUBLIC_ORIGIN), not at this address.`;

/**
 * A page elsewhere must not reach a server on this machine. The Host has to be a loopback name (against rebinding of names), a browser's Origin,
 * when sent, has to be this very server's, port included, and nothing is read or written for a page that the browser says is another site's: a page on
 * another port of this machine is one. A link to a page may stand anywhere.
 * @param publicOrigin where the server stands behind another name, that name's origin: who opens a page at another address is told so at once
 */
export const ownPagesOnly =
  (publicOrigin: string | undefined) =>
  (request: Request, response: Response, next: NextFunction): void => {
    const detail = refusal(request, publicOrigin);
    if (detail === undefined) {
      const elsewhereOpened = publicOrigin !== undefined && new URL(publicOrigin).host !== request.headers.host;
      if (!elsewhereOpened || !opensPage(request)) return next();
      return void response.status(403).type('text/plain').send(elsewhere(publicOrigin));
    }
    const problem: Problem = { type: '/problems/foreign-origin', title: 'Not allowed from there', status: 403, detail };
    response.status(403).type('application/problem+json').send(JSON.stringify(problem));
  };

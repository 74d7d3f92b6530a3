import type { NestExpressApplication } from '@nestjs/platform-express';
import type { NextFunction, Request, Response } from 'express';
import { WHO_HEADER } from '@wheat-ledger/contract';
import { SOMEBODY, WorkspaceScope } from '../common/workspaceScope.js';
import { LedgersService } from './ledgers.service.js';
import { HOME_WORKSPACE } from './workspace.entity.js';

/** `/api/v1/ledgers/rosewood/products` is `/api/v1/products` of that ledger. */
const IN_LEDGER = /^\/api\/v1\/ledgers\/([a-z0-9-]{1,60})(\/.+)$/;
const named = new WeakMap<Request, string>();

/** Takes the ledger out of an address, so that every route is there for every ledger. To come before whatever reads addresses. */
export function takeLedgerFromAddress(request: Request, _response: Response, next: NextFunction): void {
  const [, slug, rest] = IN_LEDGER.exec(request.url) ?? [];
  if (slug !== undefined && rest !== undefined) {
    named.set(request, slug);
    request.url = `/api/v1${rest}`;
  }
  next();
}

/** Who writes, as the page says it; whoever does not say is the gardener. A header holds plain letters only, so that the name comes encoded. */
function whoWrites(request: Request): string {
  const said = request.get(WHO_HEADER);
  if (said === undefined) return SOMEBODY;
  try {
    const name = decodeURIComponent(said).trim();
    return /^[^\p{Cc}\p{Cs}]{1,80}$/u.test(name) ? name : SOMEBODY;
  } catch {
    return SOMEBODY;
  }
}

/** Runs what answers a request inside the ledger its address names, in the name of who writes. To come after the body is read, which would lose it. */
export function withinLedger(app: NestExpressApplication) {
  const ledgers = app.get(LedgersService);
  const scope = app.get(WorkspaceScope);
  return (request: Request, _response: Response, next: NextFunction): void => {
    const slug = named.get(request);
    const who = whoWrites(request);
    const id = slug === undefined ? Promise.resolve(HOME_WORKSPACE) : ledgers.idOf(slug);
    id.then((found) => scope.run({ id: found, who }, () => next()), next);
  };
}

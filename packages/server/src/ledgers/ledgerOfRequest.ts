import type { NestExpressApplication } from '@nestjs/platform-express';
import type { NextFunction, Request, Response } from 'express';
import { WorkspaceScope } from '../common/workspaceScope.js';
import { LedgersService } from './ledgers.service.js';

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

/** Runs what answers a request inside the ledger its address names. To come after the body is read, which would lose it. */
export function withinLedger(app: NestExpressApplication) {
  const ledgers = app.get(LedgersService);
  const scope = app.get(WorkspaceScope);
  return (request: Request, _response: Response, next: NextFunction): void => {
    const slug = named.get(request);
    if (slug === undefined) return next();
    ledgers.idOf(slug).then((id) => scope.run({ id, who: 'gardener' }, () => next()), next);
  };
}

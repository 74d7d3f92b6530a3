import { join } from 'node:path';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { static as folder, type NextFunction, type Request, type Response } from 'express';

/** Hashed assets never change; the page itself is always asked for anew. */
const cacheHeaders =
  (webRoot: string) =>
  (response: Response, path: string): void => {
    response.setHeader(
      'Cache-Control',
      path.startsWith(join(webRoot, 'assets')) ? 'public, max-age=31536000, immutable' : 'no-cache',
    );
  };

/** Serves the web app's folder, and its page for every address that is a view; what begins with /api is left to the routes. */
export function servePages(app: NestExpressApplication, webRoot: string): void {
  const files = folder(webRoot, { setHeaders: cacheHeaders(webRoot) });
  const ours = (request: Request): boolean =>
    !/^\/api(?:\/|$)/.test(request.path) && (request.method === 'GET' || request.method === 'HEAD');
  app.use((request: Request, response: Response, next: NextFunction): void => {
    if (ours(request)) void files(request, response, next);
    else next();
  });
  app.use((request: Request, response: Response, next: NextFunction) => {
    // A missing asset is missing; only an address of a view gets the page.
    if (!ours(request) || /\.\w{1,8}$/.test(request.path)) return next();
    response.setHeader('Cache-Control', 'no-cache');
    response.sendFile(join(webRoot, 'index.html'), (error) => error && next(error));
  });
}

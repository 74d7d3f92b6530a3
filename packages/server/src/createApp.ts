import 'reflect-metadata';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { MikroORM } from '@mikro-orm/postgresql';
import compression from 'compression';
import { json, raw } from 'express';
import helmet from 'helmet';
import { Logger } from 'nestjs-pino';
import { AppModule } from './app.module.js';
import { MOST_ATTACHMENT_BYTES } from '@wheat-ledger/contract';
import { migrate } from './database/orm.js';
import { fewEnough, plainOnly } from './common/depth.js';
import { plainAddress } from './common/plainAddress.js';
import { ownPagesOnly } from './common/origin.js';
import { servePages } from './common/pages.js';
import { serveOpenApi } from './common/openapi.js';
import { takeLedgerFromAddress, withinLedger } from './ledgers/ledgerOfRequest.js';
import { ProblemFilter } from './common/problem.filter.js';
import type { Config } from './config.js';

/** Largest JSON body; a product with everything filled in is a few kB. */
const BODY_LIMIT = '256kb';
/** A whole workspace of ten thousand bags is some 15 MB, and its photos and PDFs at most 80 MB as text. */
const IMPORT_LIMIT = '120mb';

const IDLE_MS = 120_000;
/** A list of a million products takes minutes to read as it is sent; who falls silent is let go long before. */
const LONGEST_REQUEST_MS = 3_600_000;

/** The application, migrated and ready to listen. */
export async function createApp(config: Config): Promise<NestExpressApplication> {
  const app = await NestFactory.create<NestExpressApplication>(AppModule.with(config), {
    bodyParser: false,
    bufferLogs: true,
  });
  app.useLogger(app.get(Logger));
  app.use(ownPagesOnly(config.publicOrigin));
  app.use(takeLedgerFromAddress);
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          'script-src': ["'self'", "'wasm-unsafe-eval'"],
          'worker-src': ["'self'"],
          // A picture somebody opens is shown from memory.
          'img-src': ["'self'", 'data:', 'blob:'],
          'font-src': ["'self'"],
          'style-src': ["'self'", "'unsafe-inline'"],
          'upgrade-insecure-requests': null,
        },
      },
      strictTransportSecurity: false,
    }),
  );
  app.use(compression());
  if (config.webRoot) servePages(app, config.webRoot);
  app.use('/api/v1/attachments/content', raw({ type: 'application/octet-stream', limit: MOST_ATTACHMENT_BYTES }));
  app.use('/api/v1/workspace/import', json({ limit: IMPORT_LIMIT, verify: fewEnough }));
  app.useBodyParser('json', { limit: BODY_LIMIT });
  app.use(plainAddress);
  app.use(plainOnly);
  app.use(withinLedger(app));
  app.setGlobalPrefix('api/v1');
  app.useGlobalFilters(new ProblemFilter());
  await migrate(app.get(MikroORM));
  serveOpenApi(app);
  app.enableShutdownHooks();
  // A sender or reader that falls silent for two minutes is let go.
  const server = app.getHttpServer();
  server.setTimeout(config.idleMs ?? IDLE_MS);
  server.requestTimeout = LONGEST_REQUEST_MS;
  return app;
}

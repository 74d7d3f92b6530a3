import { join } from 'node:path';
import { Module, type DynamicModule } from '@nestjs/common';
import { APP_GUARD } from '@nestjs/core';
import { MikroOrmModule } from '@mikro-orm/nestjs';
import { ServeStaticModule } from '@nestjs/serve-static';
import { ThrottlerGuard, ThrottlerModule } from '@nestjs/throttler';
import { LoggerModule } from 'nestjs-pino';
import { BookModule } from './book/book.module.js';
import { CommonModule } from './common/common.module.js';
import { HealthModule } from './health/health.module.js';
import { ormConfig } from './database/orm.js';
import type { Config } from './config.js';

/** Requests a minute from one address; generous for a person, a wall for a loop. */
const REQUESTS_PER_MINUTE = 3000;

@Module({})
export class AppModule {
  static with({ databaseUrl, webRoot }: Config, logLevel = 'warn'): DynamicModule {
    const web = webRoot
      ? [
          ServeStaticModule.forRoot({
            rootPath: webRoot,
            exclude: ['/api/{*path}'],
            serveStaticOptions: { setHeaders: cacheHeaders(webRoot) },
          }),
        ]
      : [];
    return {
      module: AppModule,
      imports: [
        // Method, path, status and time only: contents and headers stay out of the log.
        LoggerModule.forRoot({
          forRoutes: ['{*path}'],
          pinoHttp: {
            level: logLevel,
            serializers: {
              req: ({ method, url }: { method: string; url: string }) => ({ method, url: url.split('?')[0] }),
              res: ({ statusCode }: { statusCode: number }) => ({ statusCode }),
            },
          },
        }),
        MikroOrmModule.forRoot(ormConfig(databaseUrl)),
        ThrottlerModule.forRoot([{ ttl: 60_000, limit: REQUESTS_PER_MINUTE }]),
        CommonModule,
        BookModule,
        HealthModule,
        ...web,
      ],
      providers: [{ provide: APP_GUARD, useClass: ThrottlerGuard }],
    };
  }
}

/** Hashed assets never change; the page itself is always asked for anew. */
const cacheHeaders =
  (webRoot: string) =>
  (response: { setHeader(name: string, value: string): void }, path: string): void => {
    response.setHeader(
      'Cache-Control',
      path.startsWith(join(webRoot, 'assets')) ? 'public, max-age=31536000, immutable' : 'no-cache',
    );
  };

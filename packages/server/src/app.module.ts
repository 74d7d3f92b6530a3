import { EntityManager } from '@mikro-orm/postgresql';
import { Module, type DynamicModule } from '@nestjs/common';
import { APP_GUARD } from '@nestjs/core';
import { MikroOrmModule } from '@mikro-orm/nestjs';
import { ThrottlerGuard, ThrottlerModule } from '@nestjs/throttler';
import { LoggerModule } from 'nestjs-pino';
import { BookModule } from './book/book.module.js';
import { CatalogueModule } from './catalogue/catalogue.module.js';
import { CommonModule } from './common/common.module.js';
import { RequestCounts } from './common/requestCounts.js';
import { GroundModule } from './ground/ground.module.js';
import { HealthModule } from './health/health.module.js';
import { LedgersModule } from './ledgers/ledgers.module.js';
import { PriceModule } from './price/price.module.js';
import { ScaleModule } from './mix/scale.module.js';
import { RoundsModule } from './rounds/rounds.module.js';
import { RecordsModule } from './records/records.module.js';
import { ShelfModule } from './shelf/shelf.module.js';
import { ormConfig } from './database/orm.js';
import type { Config } from './config.js';

/** As many as a person ever makes; unless it is set. */
const REQUESTS_PER_MINUTE = 3000;

@Module({})
export class AppModule {
  static with(
    { databaseUrl, priceFeed, scale, requestsPerMinute = REQUESTS_PER_MINUTE }: Config,
    logLevel = 'warn',
  ): DynamicModule {
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
        ThrottlerModule.forRootAsync({
          inject: [EntityManager],
          useFactory: (em: EntityManager) => ({
            throttlers: [{ ttl: 60_000, limit: requestsPerMinute }],
            storage: new RequestCounts(em),
          }),
        }),
        CommonModule,
        LedgersModule,
        RecordsModule,
        GroundModule,
        ShelfModule,
        CatalogueModule,
        PriceModule.with(priceFeed),
        ScaleModule.with(scale),
        RoundsModule,
        BookModule,
        HealthModule,
      ],
      providers: [{ provide: APP_GUARD, useClass: ThrottlerGuard }],
    };
  }
}

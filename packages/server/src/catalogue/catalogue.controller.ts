import {
  Body,
  Controller,
  Get,
  HttpCode,
  HttpStatus,
  Param,
  ParseUUIDPipe,
  Post,
  Query,
  Req,
  Res,
  UseInterceptors,
  type Type,
  type ValidationPipe,
} from '@nestjs/common';
import { ApiBody, ApiConsumes } from '@nestjs/swagger';
import { Throttle } from '@nestjs/throttler';
import {
  CatalogueAloneQuery,
  CataloguePackagedQuery,
  CataloguePricedQuery,
  CatalogueQuery,
  CatalogueSinceQuery,
  Text,
  type CatalogueChange,
  type CatalogueCount,
  type CatalogueDifferences,
  type CatalogueList,
  type CataloguePackaged,
  type CataloguePage,
  type CataloguePreview,
  type CatalogueProduct,
  type CatalogueRecord,
} from '@wheat-ledger/contract';
import { Transform } from 'class-transformer';
import type { Request, Response } from 'express';
import { inputPipe } from '../common/inputPipe.js';
import { invalid, notFound, type ProblemException } from '../common/problems.js';
import { RouteTime } from '../common/routeTime.js';
import { goneFrom, refuseByHeaders, withUpload } from '../common/textUpload.js';
import { CsvReadingDto } from '../shelf/csvReading.dto.js';
import { CatalogueStore } from './catalogue.store.js';
import { SellersFeed } from '../price/sellersFeed.js';
import { CatalogueFeed } from './catalogueFeed.service.js';
import { CatalogueRecipes } from './catalogueRecipes.js';
import { CatalogueImports, MOST_LIST_BYTES } from './catalogueImport.service.js';
import { CatalogueRevisions } from './catalogueRevisions.js';

/** What is typed around a name is none of it. */
const Trimmed = (): PropertyDecorator =>
  Transform(({ value }: { value: unknown }) => (typeof value === 'string' ? value.trim() : value));

class ListReadDto extends CsvReadingDto {
  @Trimmed()
  @Text(1, 120, 'the name of the list')
  list!: string;
}
class ListTakeDto {
  @Trimmed()
  @Text(1, 120, 'the name of the list')
  list!: string;

  @Trimmed()
  @Text(0, 120, 'a seller')
  seller!: string;
}
const ID = new ParseUUIDPipe();
/** What a catalogue is asked; a question that does not fit is a bad request. */
const asked = (type: Type): ValidationPipe => inputPipe(type, HttpStatus.BAD_REQUEST);
const NO_CURRENCY = (): ProblemException =>
  invalid(
    [{ path: 'currency', message: 'Expected a currency: money of several kinds is never ranked together.' }],
    HttpStatus.BAD_REQUEST,
  );
/** A list of a million products is compared and taken over for minutes, in which nothing is sent. */
const PATIENCE_MS = 3_600_000;

/** Lists of very many products: searched and ranked, read in, taken over and taken back. */
@Controller('catalogue')
@UseInterceptors(RouteTime)
export class CatalogueController {
  constructor(
    private readonly store: CatalogueStore,
    private readonly recipes: CatalogueRecipes,
    private readonly imports: CatalogueImports,
    private readonly feed: CatalogueFeed,
    private readonly sellers: SellersFeed,
    private readonly revisions: CatalogueRevisions,
  ) {}

  @Get('products')
  page(
    @Res({ passthrough: true }) response: Response,
    @Query(asked(CatalogueQuery)) query: CatalogueQuery,
  ): Promise<CataloguePage> {
    if (query.by !== undefined && query.currency === undefined) throw NO_CURRENCY();
    return this.store.page(query, goneFrom(response));
  }

  /** Products that cost least beyond what they are worth to a recipe. */
  @Get('priced')
  @Throttle({ default: { limit: 600, ttl: 60_000 } })
  priced(@Query(asked(CataloguePricedQuery)) query: CataloguePricedQuery): Promise<readonly CatalogueProduct[]> {
    if (query.currency === undefined) throw NO_CURRENCY();
    return this.recipes.priced(query);
  }

  /** The same of whole packages. */
  @Get('packages')
  @Throttle({ default: { limit: 600, ttl: 60_000 } })
  packages(@Query(asked(CataloguePackagedQuery)) query: CataloguePackagedQuery): Promise<readonly CataloguePackaged[]> {
    if (query.currency === undefined) throw NO_CURRENCY();
    return this.recipes.packages(query);
  }

  /** Products that bring everything by themselves. */
  @Get('alone')
  @Throttle({ default: { limit: 600, ttl: 60_000 } })
  alone(@Query(asked(CatalogueAloneQuery)) query: CatalogueAloneQuery): Promise<readonly CatalogueProduct[]> {
    if (query.currency === undefined) throw NO_CURRENCY();
    return this.recipes.alone(query);
  }

  @Get('since')
  since(@Query(asked(CatalogueSinceQuery)) query: CatalogueSinceQuery): Promise<CatalogueDifferences> {
    return this.store.since(query);
  }

  @Get('count')
  count(
    @Res({ passthrough: true }) response: Response,
    @Query(asked(CatalogueQuery)) query: CatalogueQuery,
  ): Promise<CatalogueCount> {
    return this.store.count(query, goneFrom(response));
  }

  @Get('facets')
  facets(
    @Res({ passthrough: true }) response: Response,
    @Query(asked(CatalogueQuery)) query: CatalogueQuery,
  ): Promise<Readonly<Record<string, readonly object[]>>> {
    return this.store.facets(query, goneFrom(response));
  }

  @Get('currencies')
  currencies(): Promise<readonly string[]> {
    return this.store.currencies();
  }

  @Get('products/:id')
  get(@Param('id') id: string): Promise<CatalogueRecord> {
    if (!/^\d{1,18}$/.test(id)) throw notFound('product of a list');
    return this.store.get(id);
  }

  @Get('lists')
  lists(): Promise<readonly CatalogueList[]> {
    return this.store.lists();
  }

  @Get('lists/:id/changes')
  changes(@Param('id', ID) id: string): Promise<readonly CatalogueChange[]> {
    return this.store.changes(id);
  }

  /** Reads a list and says what it would change. */
  @Post('imports')
  @HttpCode(HttpStatus.OK)
  @ApiConsumes('text/csv')
  @ApiBody({ schema: { type: 'string' } })
  @Throttle({ default: { limit: 60, ttl: 60_000 } })
  async read(
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
    @Query(inputPipe(ListReadDto)) { list, currency, decimal }: ListReadDto,
  ): Promise<CataloguePreview> {
    request.setTimeout(PATIENCE_MS);
    const signal = goneFrom(response);
    return withUpload(request, async () => {
      refuseByHeaders(request, MOST_LIST_BYTES);
      return this.imports.read({ body: request, list, currency, decimal, signal });
    });
  }

  /** Reads a price list for a list that is there and says what it would change. */
  @Post('lists/:id/prices')
  @HttpCode(HttpStatus.OK)
  @ApiConsumes('text/csv')
  @ApiBody({ schema: { type: 'string' } })
  @Throttle({ default: { limit: 60, ttl: 60_000 } })
  prices(
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
    @Param('id', ID) id: string,
  ): Promise<CataloguePreview> {
    request.setTimeout(PATIENCE_MS);
    const signal = goneFrom(response);
    return withUpload(request, async () => {
      refuseByHeaders(request, MOST_LIST_BYTES);
      return this.feed.read(id, request, signal);
    });
  }

  /** The same with the price list of the seller's server that this installation names. */
  @Post('lists/:id/prices/feed')
  @HttpCode(HttpStatus.OK)
  @Throttle({ default: { limit: 30, ttl: 60_000 } })
  async pricesOfFeed(
    @Res({ passthrough: true }) response: Response,
    @Param('id', ID) id: string,
  ): Promise<CataloguePreview> {
    const signal = goneFrom(response);
    const body = await this.sellers.open('/catalogue.csv');
    signal.addEventListener('abort', () => body.destroy());
    try {
      return await this.feed.read(id, body, signal);
    } finally {
      body.destroy();
    }
  }

  @Post('imports/:id/take')
  @HttpCode(HttpStatus.OK)
  @ApiBody({ type: ListTakeDto })
  take(
    @Req() request: Request,
    @Param('id', ID) id: string,
    @Body(inputPipe(ListTakeDto)) { list, seller }: ListTakeDto,
  ): Promise<CatalogueList> {
    request.setTimeout(PATIENCE_MS);
    return this.revisions.take(id, list, seller);
  }

  @Post('imports/:id/leave')
  @HttpCode(HttpStatus.NO_CONTENT)
  leave(@Param('id', ID) id: string): Promise<void> {
    return this.revisions.forget(id);
  }

  @Post('lists/:id/take-back')
  @HttpCode(HttpStatus.OK)
  takeBack(@Req() request: Request, @Param('id', ID) id: string): Promise<CatalogueList> {
    request.setTimeout(PATIENCE_MS);
    return this.revisions.takeBack(id);
  }
}

import {
  Body,
  Controller,
  Delete,
  Get,
  Headers,
  HttpCode,
  Inject,
  Param,
  ParseUUIDPipe,
  Post,
  Put,
  Query,
  Res,
  type Type,
} from '@nestjs/common';
import { ApiBody, ApiHeader } from '@nestjs/swagger';
import type { Response } from 'express';
import { KIND_INPUTS, KINDS, type Kept, type Page, type RecordKind, type Use } from '@wheat-ledger/contract';
import { inputPipe } from '../common/inputPipe.js';
import { askedOf, ListQueryDto, listQueryOf } from './listQuery.dto.js';
import { Stores, type AnyStore } from './stores.service.js';
import { etagOf, versionFrom } from './version.js';

const ID = new ParseUUIDPipe();

/** The routes every kind of record has, made from its line in the registry. */
export function kindController<K extends RecordKind>(kind: K): Type<object> {
  const Input: Type<object> = KIND_INPUTS[kind];
  const Query_ = listQueryOf(kind);

  @Controller(KINDS[kind].path)
  class Routes {
    constructor(@Inject(Stores) private readonly stores: Stores) {}

    private get store(): AnyStore {
      return this.stores.of(kind);
    }

    @Get()
    list(@Query(inputPipe(Query_)) query: ListQueryDto): Promise<Page<Kept>> {
      return this.store.list(askedOf(kind, query));
    }

    /** How many records of which kinds speak of it. */
    @Get(':id/uses')
    uses(@Param('id', ID) id: string): Promise<readonly Use[]> {
      return this.stores.usesOf(kind, id);
    }

    @Get(':id')
    async get(@Param('id', ID) id: string, @Res({ passthrough: true }) response: Response): Promise<Kept> {
      return tagged(await this.store.get(id), response);
    }

    @Post()
    @ApiBody({ type: Input })
    async create(@Body(inputPipe(Input)) input: object, @Res({ passthrough: true }) response: Response): Promise<Kept> {
      return tagged(await this.store.create(input), response);
    }

    @Put(':id')
    @ApiBody({ type: Input })
    @ApiHeader({ name: 'If-Match', required: true })
    async update(
      @Param('id', ID) id: string,
      @Headers('if-match') ifMatch: string | undefined,
      @Body(inputPipe(Input)) input: object,
      @Res({ passthrough: true }) response: Response,
    ): Promise<Kept> {
      return tagged(await this.store.update(id, versionFrom(ifMatch), input), response);
    }

    @Delete(':id')
    @ApiHeader({ name: 'If-Match', required: true })
    async remove(
      @Param('id', ID) id: string,
      @Headers('if-match') ifMatch: string | undefined,
      @Res({ passthrough: true }) response: Response,
    ): Promise<Kept> {
      return tagged(await this.store.remove(id, versionFrom(ifMatch)), response);
    }

    @Post(':id/restore')
    @HttpCode(200)
    @ApiHeader({ name: 'If-Match', required: true })
    async restore(
      @Param('id', ID) id: string,
      @Headers('if-match') ifMatch: string | undefined,
      @Res({ passthrough: true }) response: Response,
    ): Promise<Kept> {
      return tagged(await this.store.restore(id, versionFrom(ifMatch)), response);
    }
  }
  return Routes;
}

function tagged<T extends Kept>(record: T, response: Response): T {
  response.setHeader('ETag', etagOf(record.version));
  return record;
}

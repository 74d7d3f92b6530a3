import {
  Body,
  Delete,
  Get,
  Headers,
  HttpCode,
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
import type { Kept, Page } from '@wheat-ledger/contract';
import { inputPipe } from './inputPipe.js';
import { ListQueryDto } from './listQuery.dto.js';
import type { RecordStore } from './recordStore.js';
import type { Stored } from './stored.entity.js';
import { etagOf, versionFrom } from './version.js';

const ID = new ParseUUIDPipe();

/** The routes every kind of record has; a stage's controller extends the class made for its input. */
export function recordController<Input extends object>(Input: Type<Input>): Type<RecordRoutes<Input>> {
  class Routes implements RecordRoutes<Input> {
    constructor(protected readonly store: RecordStore<Stored, Input>) {}

    @Get()
    list(@Query(inputPipe(ListQueryDto)) query: ListQueryDto): Promise<Page<Input & Kept>> {
      return this.store.list(query);
    }

    @Get(':id')
    async get(@Param('id', ID) id: string, @Res({ passthrough: true }) response: Response): Promise<Input & Kept> {
      return tagged(await this.store.get(id), response);
    }

    @Post()
    @ApiBody({ type: Input })
    async create(
      @Body(inputPipe(Input)) input: Input,
      @Res({ passthrough: true }) response: Response,
    ): Promise<Input & Kept> {
      return tagged(await this.store.create(input), response);
    }

    @Put(':id')
    @ApiBody({ type: Input })
    @ApiHeader({ name: 'If-Match', required: true })
    async update(
      @Param('id', ID) id: string,
      @Headers('if-match') ifMatch: string | undefined,
      @Body(inputPipe(Input)) input: Input,
      @Res({ passthrough: true }) response: Response,
    ): Promise<Input & Kept> {
      return tagged(await this.store.update(id, versionFrom(ifMatch), input), response);
    }

    @Delete(':id')
    @ApiHeader({ name: 'If-Match', required: true })
    async remove(
      @Param('id', ID) id: string,
      @Headers('if-match') ifMatch: string | undefined,
      @Res({ passthrough: true }) response: Response,
    ): Promise<Input & Kept> {
      return tagged(await this.store.remove(id, versionFrom(ifMatch)), response);
    }

    @Post(':id/restore')
    @HttpCode(200)
    @ApiHeader({ name: 'If-Match', required: true })
    async restore(
      @Param('id', ID) id: string,
      @Headers('if-match') ifMatch: string | undefined,
      @Res({ passthrough: true }) response: Response,
    ): Promise<Input & Kept> {
      return tagged(await this.store.restore(id, versionFrom(ifMatch)), response);
    }
  }
  return Routes;
}

export interface RecordRoutes<Input extends object> {
  list(query: ListQueryDto): Promise<Page<Input & Kept>>;
}

function tagged<T extends Kept>(record: T, response: Response): T {
  response.setHeader('ETag', etagOf(record.version));
  return record;
}

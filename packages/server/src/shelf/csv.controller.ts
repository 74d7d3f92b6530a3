import {
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
  StreamableFile,
} from '@nestjs/common';
import { ApiBody, ApiConsumes } from '@nestjs/swagger';
import { Throttle } from '@nestjs/throttler';
import { Transform } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsIn, IsOptional, IsString, IsUUID, MaxLength } from 'class-validator';
import type { Request, Response } from 'express';
import { MOST_CSV_BYTES, MOST_CSV_COLUMNS, type CsvProgress, type CsvReport } from '@wheat-ledger/contract';
import { inputPipe } from '../common/inputPipe.js';
import { notFound } from '../common/problems.js';
import { goneFrom, refuseByHeaders, withUpload } from '../common/textUpload.js';
import { CsvReadingDto } from './csvReading.dto.js';
import { CsvService } from './csv.service.js';

const asList = ({ value }: { value: unknown }): unknown => {
  try {
    return typeof value === 'string' ? JSON.parse(value) : value;
  } catch {
    return value;
  }
};

class CsvQueryDto extends CsvReadingDto {
  /** Without it the file is only tried. */
  @IsOptional()
  @IsIn(['yes', 'no'], { message: 'Expected write as yes or no.' })
  write?: 'yes' | 'no';

  /** A JSON list: for each column of the file the heading that says what it means here, '' to leave it out. */
  @IsOptional()
  @Transform(asList)
  @IsArray({ message: 'Expected columns as a JSON list of headings.' })
  @ArrayMaxSize(MOST_CSV_COLUMNS, { message: `Expected at most ${MOST_CSV_COLUMNS} columns.` })
  @IsString({ each: true, message: 'Expected each column as text.' })
  @MaxLength(80, { each: true, message: 'Expected headings of at most 80 characters.' })
  columns?: string[];

  @IsOptional()
  @IsUUID('all', { message: 'Expected job as an id such as 3f2b8c1e-….' })
  job?: string;
}

/** The shelf as a CSV file. */
@Controller('shelf/csv')
export class CsvController {
  constructor(private readonly csv: CsvService) {}

  @Get()
  export(): Promise<StreamableFile> {
    return this.csv.file();
  }

  @Post()
  @HttpCode(HttpStatus.OK)
  @ApiConsumes('text/csv')
  @ApiBody({ schema: { type: 'string' } })
  @Throttle({ default: { limit: 120, ttl: 60_000 } })
  async import(
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
    @Query(inputPipe(CsvQueryDto)) { write, columns, currency, decimal, job }: CsvQueryDto,
  ): Promise<CsvReport> {
    const signal = goneFrom(response);
    const length = request.headers['content-length'];
    return withUpload(request, async () => {
      refuseByHeaders(request, MOST_CSV_BYTES);
      return this.csv.import({
        body: request,
        ofBytes: length === undefined ? undefined : Number(length),
        columns,
        write: write === 'yes',
        currency,
        decimal,
        job,
        signal,
      });
    });
  }

  /** How far a running import is; 404 when it is over. */
  @Get(':job')
  async progress(@Param('job', new ParseUUIDPipe()) job: string): Promise<CsvProgress> {
    const found = await this.csv.progressOf(job);
    if (!found) throw notFound('import');
    return found;
  }
}

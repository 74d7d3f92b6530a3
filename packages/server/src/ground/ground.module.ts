import {
  Controller,
  Get,
  HttpCode,
  HttpStatus,
  Module,
  Param,
  ParseUUIDPipe,
  Post,
  Query,
  Req,
  StreamableFile,
} from '@nestjs/common';
import { ApiBody, ApiConsumes } from '@nestjs/swagger';
import { Transform } from 'class-transformer';
import { IsIn, IsInt, IsOptional, IsString, Length, Max, Min } from 'class-validator';
import type { Request } from 'express';
import { CLIMATES, Day, type ClimateType, type LoggerReport } from '@wheat-ledger/contract';
import { MOST_LOGGED_DAYS } from '@wheat-ledger/core';
import { stationCsv } from '@wheat-ledger/demo';
import { inputPipe } from '../common/inputPipe.js';
import { RecordsModule } from '../records/records.module.js';
import { refuseByHeaders, textOf, withUpload } from '../common/textUpload.js';
import { LoggerStore } from './logger.store.js';

/** A logger's year of ten-minute readings is some 3 MB. */
const MOST_LOGGER_BYTES = 5_000_000;

class LoggerNameDto {
  @IsOptional()
  @IsString()
  @Length(1, 120, { message: 'Expected name as 1 to 120 characters.' })
  name?: string;
}

/** Where a logger or a station hands over its readings as CSV, by file or by itself. */
@Controller('plots/:id/log')
class LogDoorController {
  constructor(private readonly loggers: LoggerStore) {}

  @Post()
  @HttpCode(HttpStatus.CREATED)
  @ApiConsumes('text/csv')
  @ApiBody({ schema: { type: 'string' } })
  async take(
    @Param('id', new ParseUUIDPipe()) plotId: string,
    @Query(inputPipe(LoggerNameDto)) { name }: LoggerNameDto,
    @Req() request: Request,
  ): Promise<LoggerReport> {
    return withUpload(request, async () => {
      refuseByHeaders(request, MOST_LOGGER_BYTES);
      let csv = '';
      for await (const piece of textOf(request, MOST_LOGGER_BYTES)) csv += piece;
      return this.loggers.take(plotId, name ?? 'Logger', csv);
    });
  }
}

const asNumber = ({ value }: { value: unknown }): unknown => (typeof value === 'string' ? Number(value) : value);

class StationQueryDto {
  @IsIn([...CLIMATES], { message: `Read "$value", expected a climate: ${CLIMATES.join(', ')}.` })
  climate!: ClimateType;

  @Day()
  from!: string;

  @Transform(asNumber)
  @IsInt({ message: 'Expected days as a whole number.' })
  @Min(1)
  @Max(MOST_LOGGED_DAYS)
  days!: number;

  @IsOptional()
  @Transform(asNumber)
  @IsInt({ message: 'Expected seed as a whole number.' })
  @Min(0)
  @Max(2 ** 31 - 1)
  seed?: number;
}

/** The simulated weather and soil station: a stand-in, seeded, whose file goes through the same door as a logger's. */
@Controller('station')
class StationController {
  @Get()
  readings(@Query(inputPipe(StationQueryDto)) { climate, from, days, seed = 1 }: StationQueryDto): StreamableFile {
    return new StreamableFile(Buffer.from(stationCsv({ climate, from, days, seed })), {
      type: 'text/csv; charset=utf-8',
      disposition: `attachment; filename="station-${climate}.csv"`,
    });
  }
}

/** What the ground has beside its records. */
@Module({ imports: [RecordsModule], controllers: [LogDoorController, StationController] })
export class GroundModule {}

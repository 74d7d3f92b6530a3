import {
  Body,
  Controller,
  Get,
  HttpCode,
  Module,
  Param,
  ParseUUIDPipe,
  Post,
  Query,
  StreamableFile,
} from '@nestjs/common';
import { Throttle } from '@nestjs/throttler';
import { Transform } from 'class-transformer';
import { IsIn, IsInt, IsOptional, IsUUID, Matches, Max, Min } from 'class-validator';
import type { BatchUndone, ImportReport, JournalRecord, Kept, Page } from '@wheat-ledger/contract';
import { ClaimsModule } from '../claims/claims.module.js';
import { inputPipe } from '../common/inputPipe.js';
import { workspaceSchema } from '../common/openapi.js';
import { notFound } from '../common/problems.js';
import { GroundModule } from '../ground/ground.module.js';
import { MixModule } from '../mix/mix.module.js';
import { ShelfModule } from '../shelf/shelf.module.js';
import { ExchangeService } from './exchange.service.js';
import { JournalService } from './journal.service.js';
import { Stores } from './stores.service.js';

const ENTRY = /^\d{1,18}$/;

class JournalQueryDto {
  @IsOptional()
  @Matches(ENTRY, { message: 'Expected the number of an entry.' })
  before?: string;

  @IsOptional()
  @Transform(({ value }: { value: unknown }) => (typeof value === 'string' ? Number(value) : value))
  @IsInt()
  @Min(1)
  @Max(200)
  limit?: number;

  @IsOptional()
  @IsUUID('all')
  recordId?: string;
}

@Controller('journal')
class JournalController {
  constructor(private readonly journal: JournalService) {}

  @Get()
  list(@Query(inputPipe(JournalQueryDto)) query: JournalQueryDto): Promise<Page<JournalRecord>> {
    return this.journal.list(query);
  }

  @Post(':id/undo')
  @HttpCode(200)
  undo(@Param('id') id: string): Promise<Kept> {
    if (!ENTRY.test(id)) throw notFound('entry');
    return this.journal.undo(id);
  }
}

@Controller('imports')
class ImportsController {
  constructor(private readonly journal: JournalService) {}

  /** Takes out everything an import brought in, but for what was changed since. */
  @Post(':batch/undo')
  @HttpCode(200)
  undo(@Param('batch', new ParseUUIDPipe()) batch: string): Promise<BatchUndone> {
    return this.journal.undoBatch(batch);
  }
}

class ImportQueryDto {
  /** Without it the file is only tried. */
  @IsOptional()
  @IsIn(['yes', 'no'], { message: 'Expected write as yes or no.' })
  write?: 'yes' | 'no';
}

@Controller('workspace')
class WorkspaceController {
  constructor(private readonly exchange: ExchangeService) {}

  @Get('export')
  export(): Promise<StreamableFile> {
    return this.exchange.file();
  }

  @Get('schema')
  schema(): object {
    return workspaceSchema();
  }

  @Post('import')
  @HttpCode(200)
  @Throttle({ default: { limit: 600, ttl: 60_000 } })
  import(@Body() file: unknown, @Query(inputPipe(ImportQueryDto)) { write }: ImportQueryDto): Promise<ImportReport> {
    return this.exchange.import(file, write === 'yes');
  }
}

@Module({
  imports: [GroundModule, ShelfModule, MixModule, ClaimsModule],
  controllers: [JournalController, ImportsController, WorkspaceController],
  providers: [Stores, JournalService, ExchangeService],
})
export class BookModule {}

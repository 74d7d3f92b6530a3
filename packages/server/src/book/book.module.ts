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
import {
  OperationInput,
  type ImportReport,
  type JournalRecord,
  type OperationDone,
  type OperationUndone,
  type Page,
} from '@wheat-ledger/contract';
import { inputPipe } from '../common/inputPipe.js';
import { workspaceSchema } from '../common/openapi.js';
import { LedgersModule } from '../ledgers/ledgers.module.js';
import { RecordsModule } from '../records/records.module.js';
import { ChangesService } from './changes.service.js';
import { ExchangeService } from './exchange.service.js';
import { JournalService } from './journal.service.js';

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
}

class UndoQueryDto {
  /** Leaves what was changed since as it is, instead of refusing to undo any of it. */
  @IsOptional()
  @IsIn(['yes', 'no'], { message: 'Expected leaving as yes or no.' })
  leaving?: 'yes' | 'no';
}

@Controller('operations')
class OperationsController {
  constructor(
    private readonly journal: JournalService,
    private readonly changes: ChangesService,
  ) {}

  /** Several changes for one reason: all of them or none. */
  @Post()
  make(@Body(inputPipe(OperationInput)) input: OperationInput): Promise<OperationDone> {
    return this.changes.make(input);
  }

  /** Takes back everything an operation changed; undoing an undo does it again. */
  @Post(':id/undo')
  @HttpCode(200)
  undo(
    @Param('id', new ParseUUIDPipe()) id: string,
    @Query(inputPipe(UndoQueryDto)) { leaving }: UndoQueryDto,
  ): Promise<OperationUndone> {
    return this.journal.undo(id, leaving === 'yes');
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
  imports: [RecordsModule, LedgersModule],
  controllers: [JournalController, OperationsController, WorkspaceController],
  providers: [JournalService, ExchangeService, ChangesService],
})
export class BookModule {}

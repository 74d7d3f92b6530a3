import { Controller, Get, HttpCode, Module, Param, Post, Query } from '@nestjs/common';
import { Transform } from 'class-transformer';
import { IsInt, IsOptional, IsUUID, Matches, Max, Min } from 'class-validator';
import type { JournalRecord, Kept, Page } from '@wheat-ledger/contract';
import { ClaimsModule } from '../claims/claims.module.js';
import { inputPipe } from '../common/inputPipe.js';
import { notFound } from '../common/problems.js';
import { GroundModule } from '../ground/ground.module.js';
import { MixModule } from '../mix/mix.module.js';
import { ShelfModule } from '../shelf/shelf.module.js';
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
  @IsUUID('4')
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

@Module({ imports: [GroundModule, ShelfModule, MixModule, ClaimsModule], controllers: [JournalController], providers: [JournalService] })
export class BookModule {}

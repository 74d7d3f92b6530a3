import { Body, Controller, Get, Module, Param, Post, Put } from '@nestjs/common';
import { BenchInput, CopyInput, LedgerInput, type Bench, type CopyDone, type Ledger } from '@wheat-ledger/contract';
import { inputPipe } from '../common/inputPipe.js';
import { RecordsModule } from '../records/records.module.js';
import { BenchService } from './bench.service.js';
import { CopiesService } from './copies.service.js';
import { LedgersService } from './ledgers.service.js';

@Controller('ledgers')
class LedgersController {
  constructor(private readonly ledgers: LedgersService) {}

  @Get()
  list(): Promise<readonly Ledger[]> {
    return this.ledgers.list();
  }

  @Post()
  create(@Body(inputPipe(LedgerInput)) input: LedgerInput): Promise<Ledger> {
    return this.ledgers.create(input);
  }

  @Put(':slug')
  rename(@Param('slug') slug: string, @Body(inputPipe(LedgerInput)) input: LedgerInput): Promise<Ledger> {
    return this.ledgers.rename(slug, input);
  }
}

@Controller('copies')
class CopiesController {
  constructor(private readonly copies: CopiesService) {}

  /** Copies a record of another ledger into this one. */
  @Post()
  copy(@Body(inputPipe(CopyInput)) input: CopyInput): Promise<CopyDone> {
    return this.copies.copy(input);
  }
}

/** What lies on the bench: one a ledger. */
@Controller('bench')
class BenchController {
  constructor(private readonly bench: BenchService) {}

  @Get()
  read(): Promise<Bench> {
    return this.bench.read();
  }

  @Put()
  lay(@Body(inputPipe(BenchInput)) input: BenchInput): Promise<Bench> {
    return this.bench.lay(input);
  }
}

@Module({
  imports: [RecordsModule],
  controllers: [LedgersController, CopiesController, BenchController],
  providers: [LedgersService, CopiesService, BenchService],
  exports: [LedgersService, BenchService],
})
export class LedgersModule {}

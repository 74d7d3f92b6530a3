import { Controller, Get, HttpStatus, Inject, Module, StreamableFile, type DynamicModule } from '@nestjs/common';
import { Throttle } from '@nestjs/throttler';
import { ProblemException } from '../common/problems.js';

const FEED = Symbol('the address of a price list');
/** A list of thousands of packages is some hundred kB. */
const MOST_LIST_BYTES = 1_000_000;
const PATIENCE_MS = 10_000;

const unanswered = (why: string): ProblemException =>
  new ProblemException('no-price-list', HttpStatus.BAD_GATEWAY, `The seller’s price list ${why}. Nothing was changed.`);

/** Bytes of an answer up to what is allowed. */
async function limited(answer: Response): Promise<Buffer> {
  const pieces: Uint8Array[] = [];
  let size = 0;
  for await (const piece of answer.body ?? []) {
    const bytes = piece as Uint8Array;
    size += bytes.length;
    if (size > MOST_LIST_BYTES) throw unanswered('is longer than 1 MB');
    pieces.push(bytes);
  }
  return Buffer.concat(pieces);
}

/** A seller's price list, fetched from the one address the installation names: a page cannot ask for any other. */
@Controller('price-list')
class PriceListController {
  constructor(@Inject(FEED) private readonly address: string | undefined) {}

  @Get()
  @Throttle({ default: { limit: 30, ttl: 60_000 } })
  async list(): Promise<StreamableFile> {
    if (!this.address)
      throw new ProblemException('no-price-list', HttpStatus.NOT_FOUND, 'No seller’s price list is set up here.');
    const list = await this.fetched(`${this.address}/prices.csv`);
    return new StreamableFile(list, { type: 'text/csv; charset=utf-8' });
  }

  private async fetched(url: string): Promise<Buffer> {
    let answer: Response;
    try {
      answer = await fetch(url, { signal: AbortSignal.timeout(PATIENCE_MS), redirect: 'error' });
    } catch {
      throw unanswered('does not answer');
    }
    if (!answer.ok) throw unanswered(`answers ${answer.status}`);
    return limited(answer);
  }
}

@Module({})
export class PriceModule {
  /** @param address where a seller's price list is served; none where there is no such server */
  static with(address: string | undefined): DynamicModule {
    return {
      module: PriceModule,
      controllers: [PriceListController],
      providers: [{ provide: FEED, useValue: address }],
    };
  }
}

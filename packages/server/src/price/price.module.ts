import { Controller, Get, Module, StreamableFile, type DynamicModule } from '@nestjs/common';
import { Throttle } from '@nestjs/throttler';
import type { Readable } from 'node:stream';
import { SellersFeed, unanswered } from './sellersFeed.js';

/** A list of thousands of packages is some hundred kB. */
const MOST_LIST_BYTES = 1_000_000;
/** How long it may take in all, ms. */
const PATIENCE_MS = 10_000;

/** Bytes of an answer up to what is allowed. */
async function limited(answer: Readable): Promise<Buffer> {
  const pieces: Uint8Array[] = [];
  let size = 0;
  const slow = setTimeout(() => answer.destroy(unanswered('does not answer')), PATIENCE_MS);
  try {
    for await (const piece of answer) {
      const bytes = piece as Uint8Array;
      size += bytes.length;
      if (size > MOST_LIST_BYTES) throw unanswered('is longer than 1 MB');
      pieces.push(bytes);
    }
  } finally {
    clearTimeout(slow);
  }
  return Buffer.concat(pieces);
}

/** A seller's prices of what stands on the shelf. */
@Controller('price-list')
class PriceListController {
  constructor(private readonly feed: SellersFeed) {}

  @Get()
  @Throttle({ default: { limit: 30, ttl: 60_000 } })
  async list(): Promise<StreamableFile> {
    const list = await limited(await this.feed.open('/prices.csv'));
    return new StreamableFile(list, { type: 'text/csv; charset=utf-8' });
  }
}

@Module({})
export class PriceModule {
  /** @param address where a seller's price list is served; none where there is no such server */
  static with(address: string | undefined): DynamicModule {
    return {
      module: PriceModule,
      global: true,
      controllers: [PriceListController],
      providers: [{ provide: SellersFeed, useValue: new SellersFeed(address) }],
      exports: [SellersFeed],
    };
  }
}

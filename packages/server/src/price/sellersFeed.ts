import { Readable } from 'node:stream';
import type { ReadableStream } from 'node:stream/web';
import { HttpStatus } from '@nestjs/common';
import { ProblemException } from '../common/problems.js';

const PATIENCE_MS = 10_000;

export const unanswered = (why: string): ProblemException =>
  new ProblemException('no-price-list', HttpStatus.BAD_GATEWAY, `The seller’s price list ${why}. Nothing was changed.`);

/** A seller's server, at the one address the installation names: a page cannot ask for any other. */
export class SellersFeed {
  constructor(private readonly address: string | undefined) {}

  /** What it answers, as it comes. @throws ProblemException 404 where none is set up, 502 where it does not answer */
  async open(path: '/prices.csv' | '/catalogue.csv'): Promise<Readable> {
    if (!this.address)
      throw new ProblemException('no-price-list', HttpStatus.NOT_FOUND, 'No seller’s price list is set up here.');
    const silent = new AbortController();
    const timer = setTimeout(() => silent.abort(), PATIENCE_MS);
    try {
      const answer = await fetch(`${this.address}${path}`, { signal: silent.signal, redirect: 'error' }).catch(() => {
        throw unanswered('does not answer');
      });
      if (!answer.ok) throw unanswered(`answers ${answer.status}`);
      const body = answer.body ? Readable.fromWeb(answer.body as ReadableStream) : Readable.from([]);
      // What breaks off is told where it is read, which may be later.
      body.on('error', () => undefined);
      return body;
    } finally {
      clearTimeout(timer);
    }
  }
}

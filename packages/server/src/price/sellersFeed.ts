import { Readable } from 'node:stream';
import { HttpStatus } from '@nestjs/common';
import { ProblemException } from '../common/problems.js';

/** How long a seller's server may be silent, ms. */
const PATIENCE_MS = 10_000;

export const unanswered = (why: string): ProblemException =>
  new ProblemException('no-price-list', HttpStatus.BAD_GATEWAY, `The seller’s price list ${why}. Nothing was changed.`);

/** A seller's server, at the one address the installation names: a page cannot ask for any other. */
export class SellersFeed {
  constructor(
    private readonly address: string | undefined,
    private readonly patienceMs = PATIENCE_MS,
  ) {}

  /**
   * What it answers, as it comes.
   * @throws ProblemException 404 where none is set up, 502 where it does not answer; reading it throws 502 where it falls silent or breaks off
   */
  async open(path: '/prices.csv' | '/catalogue.csv'): Promise<Readable> {
    if (!this.address)
      throw new ProblemException('no-price-list', HttpStatus.NOT_FOUND, 'No seller’s price list is set up here.');
    const silent = new AbortController();
    const url = `${this.address}${path}`;
    const answer = await this.soon(fetch(url, { signal: silent.signal, redirect: 'error' }), silent);
    if (!answer.ok) throw unanswered(`answers ${answer.status}`);
    const body = Readable.from(this.pieces(answer, silent));
    body.once('close', () => silent.abort());
    // What breaks off is told where it is read, which may be later.
    body.on('error', () => undefined);
    return body;
  }

  /** Something of the seller's server, if it comes before patience is up. */
  private async soon<T>(coming: Promise<T>, silent: AbortController): Promise<T> {
    const late = setTimeout(() => silent.abort(), this.patienceMs);
    try {
      return await coming;
    } catch {
      throw unanswered('does not answer');
    } finally {
      clearTimeout(late);
    }
  }

  private async *pieces({ body }: Response, silent: AbortController): AsyncGenerator<Buffer> {
    const reader = body?.getReader();
    for (;;) {
      const next = reader && (await this.soon(reader.read(), silent));
      if (!next?.value) return;
      yield Buffer.from(next.value);
    }
  }
}

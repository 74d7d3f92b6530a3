import { HttpStatus } from '@nestjs/common';
import { ProblemException } from './problems.js';

/** Lets so many pieces of work run at once; a few more wait their turn, and the rest are told to come again. */
export class Gate {
  private running = 0;
  private readonly waiting: (() => void)[] = [];

  constructor(
    private readonly what: string,
    private readonly most = 2,
    private readonly mostWaiting = 6,
  ) {}

  /** @throws ProblemException 429 when too many wait already */
  async run<T>(work: () => Promise<T>): Promise<T> {
    if (this.running >= this.most) {
      if (this.waiting.length >= this.mostWaiting)
        throw new ProblemException(
          'busy',
          HttpStatus.TOO_MANY_REQUESTS,
          `${this.most} ${this.what} are running and ${this.mostWaiting} wait. Try again in a moment.`,
        );
      await new Promise<void>((go) => this.waiting.push(go));
    }
    this.running += 1;
    try {
      return await work();
    } finally {
      this.running -= 1;
      this.waiting.shift()?.();
    }
  }
}

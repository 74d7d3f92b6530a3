import {
  Controller,
  Get,
  HttpCode,
  HttpStatus,
  Inject,
  Module,
  Post,
  Query,
  Sse,
  type DynamicModule,
  type MessageEvent,
} from '@nestjs/common';
import { SkipThrottle } from '@nestjs/throttler';
import { Observable } from 'rxjs';
import { ProblemException } from '../common/problems.js';

const SCALE = Symbol('the address of a bench scale');
const PATIENCE_MS = 5000;
/** More pages than this do not watch one scale. */
const MOST_WATCHING = 16;
const LONGEST_LINE = 200;

const noScale = (): ProblemException =>
  new ProblemException('no-scale', HttpStatus.NOT_FOUND, 'No bench scale is set up here. Type the weights.');
const silent = (): ProblemException =>
  new ProblemException(
    'no-scale',
    HttpStatus.BAD_GATEWAY,
    'The bench scale does not answer. Type the weight, or plug it in.',
  );

/** The lines of a stream of events. */
async function* linesOf(stream: AsyncIterable<Uint8Array>): AsyncGenerator<string> {
  const decoder = new TextDecoder();
  let rest = '';
  for await (const piece of stream) {
    rest += decoder.decode(piece, { stream: true });
    const lines = rest.split('\n');
    rest = (lines.pop() ?? '').slice(-LONGEST_LINE);
    for (const line of lines) if (line.startsWith('data: ')) yield line.slice(6, LONGEST_LINE);
  }
}

/** A bench scale at the one address the installation names: what it shows, and taring it. A practice scale can also be poured on. */
@Controller('scale')
@SkipThrottle()
class ScaleController {
  private watching = 0;
  constructor(@Inject(SCALE) private readonly address: string | undefined) {}

  /** Whether there is one. */
  @Get()
  there(): { readonly there: boolean } {
    return { there: this.address !== undefined };
  }

  /** What it shows, line by line, for as long as the page listens. The stream ends when the scale is gone; a page tries again. */
  @Sse('readings')
  readings(): Observable<MessageEvent> {
    const address = this.reached();
    if (this.watching >= MOST_WATCHING)
      throw new ProblemException('busy', HttpStatus.SERVICE_UNAVAILABLE, 'Too many pages watch the scale already.');
    return new Observable((to) => {
      const stopped = new AbortController();
      this.watching++;
      void (async () => {
        try {
          const answer = await fetch(`${address}/readings`, { signal: stopped.signal, redirect: 'error' });
          if (answer.ok && answer.body) for await (const data of linesOf(answer.body)) to.next({ data });
        } catch {
          // Gone, or nobody listens any more.
        }
        if (!stopped.signal.aborted) to.next({ data: 'gone' });
        to.complete();
      })();
      return () => {
        this.watching--;
        stopped.abort();
      };
    });
  }

  @Post('tare')
  @HttpCode(HttpStatus.NO_CONTENT)
  tare(): Promise<void> {
    return this.order('tare');
  }

  /** Pours so much onto a practice scale; below zero takes it off. */
  @Post('put')
  @HttpCode(HttpStatus.NO_CONTENT)
  put(@Query('kg') kg: string): Promise<void> {
    const amount = Number(kg);
    if (!Number.isFinite(amount) || Math.abs(amount) > 1000)
      throw new ProblemException(
        'invalid',
        HttpStatus.UNPROCESSABLE_ENTITY,
        `Read “${String(kg).slice(0, 40)}”, expected kg such as 0.3.`,
      );
    return this.order(`put?kg=${amount}`);
  }

  @Post('clear')
  @HttpCode(HttpStatus.NO_CONTENT)
  clear(): Promise<void> {
    return this.order('clear');
  }

  private reached(): string {
    if (!this.address) throw noScale();
    return this.address;
  }
  private async order(path: string): Promise<void> {
    const address = this.reached();
    let answer: Response;
    try {
      answer = await fetch(`${address}/${path}`, {
        method: 'POST',
        signal: AbortSignal.timeout(PATIENCE_MS),
        redirect: 'error',
      });
    } catch {
      throw silent();
    }
    if (!answer.ok) throw silent();
  }
}

@Module({})
export class ScaleModule {
  /** @param address where a bench scale is reached; none where there is none */
  static with(address: string | undefined): DynamicModule {
    return {
      module: ScaleModule,
      controllers: [ScaleController],
      providers: [{ provide: SCALE, useValue: address }],
    };
  }
}

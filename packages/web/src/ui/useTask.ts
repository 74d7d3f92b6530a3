import { useCallback, useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { proxy, wrap, type Remote } from 'comlink';

/** Work done in a worker: how to start the worker, and what to ask of it. A constant of its module, so that it is the same at every call. */
export interface Job<Api, Input, Result> {
  /** What the work is, for sentences: "the bands". */
  readonly what: string;
  readonly start: () => Worker;
  readonly run: (remote: Remote<Api>, input: Input, onShare: (share: number) => void) => Promise<Result>;
  /** How long input has to rest before work begins. */
  readonly pauseMs?: number;
}

/** How far a task is, for those who show it and nobody else. */
export interface Progress {
  readonly subscribe: (listener: () => void) => () => void;
  /** 0 to 1; undefined while nothing runs. */
  readonly get: () => number | undefined;
}

export interface Task<Result> {
  /** The answer to the input of now; undefined until it is there. */
  readonly result: Result | undefined;
  /** The last answer there was, so that a picture stands while the next is worked out. */
  readonly latest: Result | undefined;
  /** Why there is none, in words. */
  readonly error: string | undefined;
  readonly running: boolean;
  /** Whether nothing more comes of the input of now by itself: it is answered, failed or called off, or there is none. */
  readonly settled: boolean;
  readonly progress: Progress;
  readonly cancel: () => void;
  /** Runs again what failed or was called off. */
  readonly again: () => void;
}

class ProgressStore implements Progress {
  private share: number | undefined;
  private readonly listeners = new Set<() => void>();
  readonly get = (): number | undefined => this.share;
  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => void this.listeners.delete(listener);
  };
  /** Shares come over a port of their own and may arrive late: progress never goes back while one run lasts. */
  set(share: number | undefined): void {
    this.share = share === undefined || share === 0 ? share : Math.max(this.share ?? 0, share);
    this.listeners.forEach((listener) => listener());
  }
}

interface State<Input, Result> {
  readonly of: Input | undefined;
  readonly result: Result | undefined;
  readonly error: string | undefined;
  readonly running: boolean;
}

/**
 * A worker and the line to it. The line is kept as long as the worker: comlink tells a worker to listen no more once the last line to it has been
 * collected as garbage, and a worker used again over a new line would then never answer.
 */
interface Line<Api> {
  readonly worker: Worker;
  readonly remote: Remote<Api>;
}
const open = <Api>(worker: Worker): Line<Api> => ({ worker, remote: wrap<Api>(worker) });

const words = (what: string, error: unknown): string =>
  `Working out ${what} failed: ${error instanceof Error && error.message ? error.message : 'the worker did not answer'}.`;

/**
 * Runs a job for an input in a worker. A run that is overtaken by newer input, called off or no longer shown is stopped; a worker that failed
 * is started anew. Nothing runs while the input is undefined.
 * @param input the same object as long as it means the same
 */
export function useTask<Api, Input, Result>(job: Job<Api, Input, Result>, input: Input | undefined): Task<Result> {
  const line = useRef<Line<Api>>(undefined);
  const [progress] = useState(() => new ProgressStore());
  const [round, setRound] = useState(0);
  const [state, setState] = useState<State<Input, Result>>({
    of: undefined,
    result: undefined,
    error: undefined,
    running: false,
  });
  const stop = useRef<() => void>(() => undefined);

  useEffect(() => {
    if (input === undefined) {
      setState({ of: undefined, result: undefined, error: undefined, running: false });
      return undefined;
    }
    let live = true;
    let busy = false;
    const drop = (): void => {
      line.current?.worker.terminate();
      line.current = undefined;
    };
    const settle = (result: Result | undefined, error: string | undefined): void => {
      if (!live) return;
      live = false;
      busy = false;
      progress.set(undefined);
      setState({ of: input, result, error, running: false });
    };
    const begin = (): void => {
      busy = true;
      progress.set(0);
      const { worker: running, remote } = (line.current ??= open<Api>(job.start()));
      const fail = (error: unknown): void => {
        // A worker that was stopped may still complain; the one that works now has nothing to do with it.
        if (!live) return;
        drop();
        settle(undefined, words(job.what, error));
      };
      running.onerror = (event) => {
        event.preventDefault();
        fail(new Error(event.message));
      };
      job
        .run(
          remote,
          input,
          proxy((share: number) => {
            if (live) progress.set(share);
          }),
        )
        .then((result) => settle(result, undefined), fail);
    };
    setState((now) => ({ ...now, error: undefined, running: true }));
    const timer = setTimeout(begin, job.pauseMs ?? 0);
    const end = (): void => {
      clearTimeout(timer);
      if (busy) drop();
    };
    stop.current = () => {
      if (!live) return;
      end();
      settle(undefined, undefined);
    };
    return () => {
      live = false;
      end();
      progress.set(undefined);
    };
  }, [job, input, round, progress]);

  useEffect(() => () => line.current?.worker.terminate(), []);

  return {
    result: state.of === input ? state.result : undefined,
    latest: state.result,
    error: state.error,
    running: state.running,
    settled: state.of === input && !state.running,
    progress,
    cancel: useCallback(() => stop.current(), []),
    again: useCallback(() => setRound((n) => n + 1), []),
  };
}

/** How far a task is, as a value that changes. */
export const useProgress = ({ subscribe, get }: Progress): number | undefined => useSyncExternalStore(subscribe, get);

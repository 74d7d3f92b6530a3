import { useCallback, useEffect, useState } from 'react';

/** What the bench scale shows; none where there is no scale, gone where it does not answer. */
export type Shown =
  | { readonly kind: 'reading'; readonly kg: number; readonly steady: boolean }
  | { readonly kind: 'tooMuch' | 'gone' | 'none' | 'waiting' };

const LINE = /^(-?\d+(?:\.\d+)?) kg (steady|moving)$/;
/** A line of the scale's stream. @example readLine('1.200 kg steady') // 1.2 kg, at rest */
export function readLine(line: string): Shown {
  const [, kg, how] = LINE.exec(line.trim()) ?? [];
  if (kg !== undefined) return { kind: 'reading', kg: Number(kg), steady: how === 'steady' };
  return line.trim() === 'too much' ? { kind: 'tooMuch' } : { kind: 'gone' };
}

const SCALE = '/api/v1/scale';
/** Longer than this without a word, the scale is taken to be gone. */
const SILENT_MS = 3000;

/** The bench scale as a page sees it: what it shows, and orders to it. It is asked for again when it went away. */
export function useScale(): { readonly shown: Shown; readonly order: (path: string) => Promise<void> } {
  const [shown, setShown] = useState<Shown>({ kind: 'waiting' });
  useEffect(() => {
    let stream: EventSource | undefined;
    let silent: ReturnType<typeof setTimeout> | undefined;
    const stopped = new AbortController();
    const hear = (next: Shown): void => {
      clearTimeout(silent);
      silent = setTimeout(() => setShown({ kind: 'gone' }), SILENT_MS);
      setShown(next);
    };
    void fetch(SCALE, { signal: stopped.signal })
      .then((answer) => (answer.ok ? (answer.json() as Promise<{ there: boolean }>) : { there: false }))
      .then(({ there }) => {
        if (stopped.signal.aborted) return;
        if (!there) return setShown({ kind: 'none' });
        stream = new EventSource(`${SCALE}/readings`);
        stream.onmessage = (event: MessageEvent<string>) => hear(readLine(event.data));
        stream.onerror = () => setShown({ kind: 'gone' });
      })
      .catch(() => !stopped.signal.aborted && setShown({ kind: 'none' }));
    return () => {
      stopped.abort();
      clearTimeout(silent);
      stream?.close();
    };
  }, []);
  const order = useCallback(async (path: string): Promise<void> => {
    try {
      await fetch(`${SCALE}/${path}`, { method: 'POST' });
    } catch {
      setShown({ kind: 'gone' });
    }
  }, []);
  return { shown, order };
}

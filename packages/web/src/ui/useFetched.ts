import { useEffect, useState } from 'react';

const AGAIN_MS = 2000;

/**
 * A piece of the program that is fetched once it is wanted. Where the way to the server is broken it is tried again, as long as it is waited for.
 * @param load the same function at every call
 * @returns undefined until it is there
 */
export function useFetched<Piece>(load: () => Promise<Piece>, wanted: boolean): Piece | undefined {
  const [fetched, setFetched] = useState<{ readonly piece: Piece }>();
  const missing = wanted && fetched === undefined;
  useEffect(() => {
    if (!missing) return undefined;
    let timer: ReturnType<typeof setTimeout> | undefined;
    let live = true;
    const attempt = (): void =>
      void load().then(
        (piece) => {
          if (live) setFetched({ piece });
        },
        () => {
          if (live) timer = setTimeout(attempt, AGAIN_MS);
        },
      );
    attempt();
    return () => {
      live = false;
      clearTimeout(timer);
    };
  }, [load, missing]);
  return fetched?.piece;
}

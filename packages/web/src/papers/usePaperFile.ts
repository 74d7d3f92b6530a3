import { useEffect, useRef, useState } from 'react';
import { readPaperFile, type PaperFile } from './readPaperFile';

interface Reading {
  readonly name: string;
  /** 0 to 1 of a picture; undefined before it begins. */
  readonly share: number | undefined;
}

/** Takes papers from files: one at a time, with its progress, a way to stop it, and what was wrong in words. */
export function usePaperFile(onPaper: (paper: PaperFile) => void) {
  const [reading, setReading] = useState<Reading>();
  const [refused, setRefused] = useState<string>();
  const stop = useRef<AbortController>(undefined);
  const shown = useRef<string>(undefined);
  /** A picture is held in memory until the next one, or until the page is left. */
  const show = (url: string | undefined): void => {
    if (shown.current) URL.revokeObjectURL(shown.current);
    shown.current = url;
  };
  useEffect(
    () => () => {
      stop.current?.abort();
      if (shown.current) URL.revokeObjectURL(shown.current);
    },
    [],
  );
  const take = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    stop.current?.abort();
    const control = new AbortController();
    stop.current = control;
    setRefused(undefined);
    setReading({ name: file.name, share: undefined });
    try {
      const paper = await readPaperFile(file, (share) => setReading({ name: file.name, share }), control.signal);
      if (control.signal.aborted) return;
      show(paper.picture?.url);
      onPaper(paper);
    } catch (error) {
      if (!control.signal.aborted)
        setRefused(error instanceof Error ? error.message : `“${file.name}” could not be read.`);
    } finally {
      if (stop.current === control) setReading(undefined);
    }
  };
  return { take, reading, refused, cancel: () => stop.current?.abort() };
}

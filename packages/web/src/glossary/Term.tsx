import { memo, useEffect, useId, useRef, useState, type ReactNode } from 'react';
import { usePrinting } from '../ui/usePrinting';
import type { TermKey } from './terms';

const WIDTH = 272;

/** Where a note stands: below its word, or above it where there is no room below. */
const placeBy = (word: DOMRect): React.CSSProperties => ({
  left: Math.max(8, Math.min(word.left, window.innerWidth - WIDTH - 8)),
  width: WIDTH,
  ...(word.bottom + 140 < window.innerHeight
    ? { top: word.bottom + 4 }
    : { bottom: window.innerHeight - word.top + 4 }),
});

/** A word that opens to what it means, in a sentence. The sentences are fetched when the first is asked for. */
export const Term = memo(function Term({ of, children }: { of: TermKey; children: ReactNode }) {
  const [note, setNote] = useState<{ readonly says: string; readonly style: React.CSSProperties }>();
  const word = useRef<HTMLButtonElement>(null);
  const id = useId();
  const printing = usePrinting();
  const open = async (): Promise<void> => {
    if (note) return setNote(undefined);
    const { TERMS } = await import('./terms');
    if (word.current) setNote({ says: TERMS[of][1], style: placeBy(word.current.getBoundingClientRect()) });
  };
  useEffect(() => {
    if (!note) return undefined;
    const close = (): void => setNote(undefined);
    const onKey = (event: KeyboardEvent): void => {
      if (event.key === 'Escape') close();
    };
    const onPress = (event: PointerEvent): void => {
      if (!word.current?.contains(event.target as Node)) close();
    };
    document.addEventListener('keydown', onKey);
    document.addEventListener('pointerdown', onPress);
    document.addEventListener('scroll', close, true);
    return () => {
      document.removeEventListener('keydown', onKey);
      document.removeEventListener('pointerdown', onPress);
      document.removeEventListener('scroll', close, true);
    };
  }, [note]);
  if (printing) return children;
  return (
    <>
      <button
        ref={word}
        type="button"
        className="term"
        title="What is this?"
        aria-expanded={note !== undefined}
        aria-describedby={note ? id : undefined}
        onClick={() => void open()}
      >
        {children}
      </button>
      {note && (
        <span id={id} role="note" className="term-note" style={note.style}>
          {note.says}
        </span>
      )}
    </>
  );
});

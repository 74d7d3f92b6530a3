import { formatTrimmed, parseNumber } from '@wheat-ledger/core';

interface NumberFieldProps {
  readonly label: string;
  readonly text: string;
  readonly onText: (text: string) => void;
  /** What counts while nothing is typed, shown in the empty field. */
  readonly fallback?: number | undefined;
}
const fitsIn = (text: string): boolean => {
  const read = parseNumber(text);
  return text.trim() === '' || (read.ok && read.value >= 0);
};

/** A number of the question, typed as people write it. */
export function NumberField({ label, text, onText, fallback }: NumberFieldProps) {
  const fits = fitsIn(text);
  return (
    <label className="text-sm text-faint">
      {label}
      <input
        className="field block !w-36 text-pine"
        inputMode="decimal"
        value={text}
        placeholder={fallback === undefined ? '' : formatTrimmed(fallback, 4)}
        aria-invalid={!fits}
        onChange={(e) => onText(e.target.value)}
      />
      {!fits && <span className="text-beet">Read “{text}”, expected a number of 0 or more.</span>}
    </label>
  );
}

/** The number such a field holds, or what counts while it holds none. */
export function numberIn<T>(text: string, fallback: T): number | T {
  const read = parseNumber(text);
  return text.trim() !== '' && read.ok && read.value >= 0 ? read.value : fallback;
}

import { useState, type ReactNode } from 'react';
import { parseQuantity, type Dimension } from '@wheat-ledger/core';

/** A typed quantity in canonical units, or why it is none. */
export function useTyped(start: string, dimension: Dimension, assumed: string) {
  const [text, setText] = useState(start);
  const read = parseQuantity(text, dimension, assumed);
  return {
    text,
    setText,
    value: read.ok && read.value > 0 ? read.value * read.unit.factor : undefined,
    why: read.ok ? undefined : read.reason,
  };
}
export type Typed = ReturnType<typeof useTyped>;

/** A field for a quantity, with what is wrong with it below. */
export function Typing({ label, typed, className = 'w-40' }: { label: string; typed: Typed; className?: string }) {
  return (
    <label className={className}>
      <span className="block text-sm text-faint">{label}</span>
      <input
        className="field"
        value={typed.text}
        onChange={(e) => typed.setText(e.target.value)}
        aria-invalid={typed.why !== undefined}
      />
      {typed.why !== undefined && <span className="block text-sm text-beet">{typed.why}</span>}
    </label>
  );
}

/** One question of the hand and its answer, with a picture where there is one. */
export const Desk = ({ title, children, picture }: { title: string; children: ReactNode; picture?: ReactNode }) => (
  <section className="border-b border-rule py-4">
    <h2 className="mb-2 text-lg">{title}</h2>
    <div className="flex flex-wrap items-start gap-6">
      <div className="min-w-0 flex-1 basis-80">{children}</div>
      {picture}
    </div>
  </section>
);
export const Fields = ({ children }: { children: ReactNode }) => (
  <div className="flex flex-wrap items-start gap-3">{children}</div>
);

/** One of several things to choose. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onChoose,
  className = '',
}: {
  label: string;
  value: T;
  options: readonly (readonly [value: T, text: string])[];
  onChoose: (value: T) => void;
  className?: string;
}) {
  return (
    <label className={className}>
      <span className="block text-sm text-faint">{label}</span>
      <select className="field" aria-label={label} value={value} onChange={(e) => onChoose(e.target.value as T)}>
        {options.map(([key, text]) => (
          <option key={key} value={key}>
            {text}
          </option>
        ))}
      </select>
    </label>
  );
}

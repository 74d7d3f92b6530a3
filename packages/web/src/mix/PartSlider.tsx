import { useState } from 'react';
import { parseNumber, typedNumber } from '@wheat-ledger/core';

const TYPED = /^([\d.,/\s½¼¾⅓⅔]+)(.*)$/u;
/** The number a part begins with and what stands behind it. @example splitPart('2 US cup') // { value: 2, rest: ' US cup' } */
export function splitPart(text: string): { readonly value: number; readonly rest: string } | undefined {
  const [, number = '', rest = ''] = TYPED.exec(text.trim()) ?? [];
  const read = parseNumber(number);
  return read.ok && read.value >= 0 ? { value: read.value, rest: rest === '' ? '' : ` ${rest}` } : undefined;
}
const STEPS = 100;
/** Twice what it is leaves room on both sides. */
const roomFor = (value: number): number => (value > 0 ? Number((value * 2).toPrecision(2)) : 10);

interface PartSliderProps {
  readonly label: string;
  readonly text: string;
  readonly onMove: (text: string) => void;
}
/** Moves a part by hand; the answer follows at once. What was typed decides how far it reaches. */
export function PartSlider({ label, text, onMove }: PartSliderProps) {
  const part = splitPart(text);
  const [reach, setReach] = useState(roomFor(part?.value ?? 0));
  if (!part) return null;
  const most = part.value > reach ? roomFor(part.value) : reach;
  return (
    <input
      type="range"
      className="w-28 cursor-pointer accent-wheat"
      aria-label={label}
      min={0}
      max={most}
      step={most / STEPS}
      value={part.value}
      onChange={(e) => onMove(`${typedNumber(Number(Number(e.target.value).toPrecision(3)))}${part.rest}`)}
      onPointerUp={() => setReach(roomFor(part.value))}
    />
  );
}

import { addRanges, divideRanges, exact, multiplyRanges, subtractRanges, type Range } from '../quantity/index.js';
import { computed, spreadOf, unitFrom, type Figure, type Sign, type Unit } from './figure.js';
import { jointly } from './joint.js';

const operation = (label: string, value: Range, unit: Unit, sign: Sign, of: readonly Figure[]): Figure => ({
  label,
  value,
  unit: unitFrom(unit),
  how: { kind: 'operation', sign, of },
  spread: spreadOf(of),
});

/** Sum of figures in one unit. */
export const sum = (label: string, unit: Unit, of: readonly Figure[]): Figure =>
  operation(
    label,
    of.reduce((total, f) => addRanges(total, f.value), exact(0)),
    unit,
    '+',
    of,
  );

/** First figure less the second, what is uncertain in both alike taken as one: a figure less itself is nothing. */
export const difference = (label: string, unit: Unit, from: Figure, take: Figure): Figure =>
  jointly(operation(label, subtractRanges(from.value, take.value), unit, '−', [from, take]), from, take);

/** Product of figures. The caller names the resulting unit; the numbers are not converted. */
export const product = (label: string, unit: Unit, of: readonly Figure[]): Figure =>
  operation(
    label,
    of.reduce((total, f) => multiplyRanges(total, f.value), exact(1)),
    unit,
    '×',
    of,
  );

/** Quotient of two figures, what is uncertain in both alike taken as one; undefined when the divisor may be zero: there is no number to show. */
export function quotient(label: string, unit: Unit, top: Figure, bottom: Figure): Figure | undefined {
  const value = divideRanges(top.value, bottom.value);
  return value && jointly(operation(label, value, unit, '÷', [top, bottom]), top, bottom);
}

/** A share as per cent. @param text says of what */
export const inPercent = (label: string, unit: Unit, text: string, share: Figure): Figure =>
  computed(label, multiplyRanges(share.value, exact(100)), unit, 'percent', text, [share], { scale: 100, of: [1] });

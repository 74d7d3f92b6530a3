import type { DeclaredValue } from '../quantity/index.js';

/** A number as a paper prints it. @example printNumber(0.5, 'comma') // '0,5' */
export function printNumber(value: number, decimal: 'point' | 'comma'): string {
  const text = Number(value.toPrecision(6)).toString();
  return decimal === 'comma' ? text.replace('.', ',') : text;
}
/** A value as a paper prints it: ranges by their ends, below detection as less than. */
export function printValue(value: DeclaredValue, decimal: 'point' | 'comma'): string {
  const number = (n: number): string => printNumber(n, decimal);
  if (value.kind === 'below') return `< ${number(value.limit)}`;
  return value.kind === 'number' ? number(value.value) : `${number(value.low)}–${number(value.high)}`;
}

/** Words of equal width side by side. */
export const inColumns = (rows: readonly (readonly string[])[]): readonly string[] => {
  const widths = (rows[0] ?? []).map((_, i) => Math.max(...rows.map((row) => (row[i] ?? '').length)) + 3);
  return rows.map((row) =>
    row
      .map((cell, i) => cell.padEnd(widths[i] ?? 0))
      .join('')
      .trimEnd(),
  );
};

import { formatGiven, formatGivenRange } from './format.js';
import { parseNumber, typedNumber, type DecimalMark } from './parseNumber.js';
import { exact, type Range } from './range.js';

/** A value as it stands on paper. A figure below the detection limit is censored: neither zero nor the limit. */
export type DeclaredValue =
  | { readonly kind: 'number'; readonly value: number }
  | { readonly kind: 'range'; readonly low: number; readonly mid: number; readonly high: number }
  | { readonly kind: 'below'; readonly limit: number };

export type ParsedDeclared =
  | { readonly ok: true; readonly value: DeclaredValue }
  | { readonly ok: false; readonly reason: string; readonly readings?: readonly [number, number] };

const refusal = (text: string): ParsedDeclared => ({
  ok: false,
  reason: `Read "${text.slice(0, 30)}", expected a value such as 5, a range such as 0.4–0.7, ≤ 20 for at most, or < 20 when below detection.`,
});

/**
 * Reads a declared value: `5`, `0,5`, `0.4–0.7` (middle taken between), `0.4–0.5–0.7`, `≤ 20` (nothing to 20), `< 20` (below detection).
 * @param mark the decimal mark the person writes, once it is known
 * @example parseDeclared('0.4-0.7') // { kind: 'range', low: 0.4, mid: 0.55, high: 0.7 }
 */
export function parseDeclared(input: string, mark?: DecimalMark): ParsedDeclared {
  const text = input.trim();
  const [, bound = '', limited = ''] = /^(<=|[<≤]|max\.?|up to|at most)\s*(.+)$/i.exec(text) ?? [];
  if (bound !== '') {
    const limit = parseNumber(limited, mark);
    if (!limit.ok) return limit.readings ? limit : refusal(text);
    if (limit.value < 0) return refusal(text);
    return bound === '<'
      ? { ok: true, value: { kind: 'below', limit: limit.value } }
      : { ok: true, value: { kind: 'range', low: 0, mid: limit.value / 2, high: limit.value } };
  }
  const ends = text
    .split(/(?<=[\d½¼¾.])\s*(?:[–-]|to)\s*(?=[\d.½¼¾])(?!\d+\s*\/)/)
    .map((end) => parseNumber(end, mark));
  const asked = ends.find((e) => !e.ok && e.readings);
  if (asked && !asked.ok) return asked;
  if (ends.some((e) => !e.ok)) return refusal(text);
  const values = ends.map((e) => (e.ok ? e.value : 0));
  const [first = 0, second = 0, third] = values;
  if (values.length === 1) return { ok: true, value: { kind: 'number', value: first } };
  if (values.length > 3) return refusal(text);
  const [low, mid, high] =
    third === undefined ? [first, Number(((first + second) / 2).toPrecision(6)), second] : [first, second, third];
  return low <= mid && mid <= high ? { ok: true, value: { kind: 'range', low, mid, high } } : refusal(text);
}

/** A range by its ends, its middle taken between. @example rangeValue(2, 3) // { kind: 'range', low: 2, mid: 2.5, high: 3 } */
export const rangeValue = (low: number, high: number): DeclaredValue => ({
  kind: 'range',
  low,
  mid: Number(((low + high) / 2).toPrecision(6)),
  high,
});

/** Prints a declared value so that reading it gives the same value. @example printDeclared({ kind: 'below', limit: 20 }) // '< 20' */
export function printDeclared(value: DeclaredValue): string {
  switch (value.kind) {
    case 'number':
      return typedNumber(value.value);
    case 'range':
      return [value.low, value.mid, value.high].map(typedNumber).join('–');
    case 'below':
      return `< ${typedNumber(value.limit)}`;
  }
}

/** A declared value as it is shown: a range by its ends. @example shownDeclared({ kind: 'range', low: 2, mid: 2.5, high: 3 }) // '2–3' */
export function shownDeclared(value: DeclaredValue): string {
  if (value.kind === 'below') return `< ${formatGiven(value.limit)}`;
  return formatGivenRange(declaredRange(value));
}

/** A declared value times a factor, to so many significant figures. @example scaleDeclared({ kind: 'below', limit: 20 }, 0.5) // { kind: 'below', limit: 10 } */
export function scaleDeclared(value: DeclaredValue, factor: number, figures = 6): DeclaredValue {
  const by = (v: number): number => Number((v * factor).toPrecision(figures));
  switch (value.kind) {
    case 'number':
      return { kind: 'number', value: by(value.value) };
    case 'range':
      return { kind: 'range', low: by(value.low), mid: by(value.mid), high: by(value.high) };
    case 'below':
      return { kind: 'below', limit: by(value.limit) };
  }
}

/** A declared value with its bounds; below detection it may be anything from nothing to the limit. */
export const declaredRange = (value: DeclaredValue): Range => {
  switch (value.kind) {
    case 'number':
      return exact(value.value);
    case 'range':
      return { low: value.low, mid: value.mid, high: value.high };
    case 'below':
      return { low: 0, mid: value.limit / 2, high: value.limit };
  }
};

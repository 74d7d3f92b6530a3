/** A value known within bounds, `low ≤ mid ≤ high`. An exact value has all three equal. */
export interface Range {
  readonly low: number;
  readonly mid: number;
  readonly high: number;
}

/** An exact value as a range. @example exact(3) // { low: 3, mid: 3, high: 3 } */
export const exact = (value: number): Range => ({ low: value, mid: value, high: value });

/** A range from its least over its middle to its most. @example between(2, 3, 5) // { low: 2, mid: 3, high: 5 } */
export const between = (low: number, mid: number, high: number): Range => ({ low, mid, high });

export const isExact = (r: Range): boolean => r.low === r.high;

/** Labels are rounded: values this close, relatively, are one. */
export const ROUNDING = 0.005;

/** Whether two ranges share any value. Ranges that overlap are a tie: neither is shown as the winner. */
export const overlap = (a: Range, b: Range): boolean => a.low <= b.high && b.low <= a.high;

export const addRanges = (a: Range, b: Range): Range => ({
  low: a.low + b.low,
  mid: a.mid + b.mid,
  high: a.high + b.high,
});

export const subtractRanges = (a: Range, b: Range): Range => ({
  low: a.low - b.high,
  mid: a.mid - b.mid,
  high: a.high - b.low,
});

export function multiplyRanges(a: Range, b: Range): Range {
  const corners = [a.low * b.low, a.low * b.high, a.high * b.low, a.high * b.high];
  return { low: Math.min(...corners), mid: a.mid * b.mid, high: Math.max(...corners) };
}

/**
 * Interval quotient a ÷ b. When b can be zero the result has no bound and is not a number to show:
 * the caller gets `undefined` and says so.
 */
export function divideRanges(a: Range, b: Range): Range | undefined {
  if (b.low <= 0 && b.high >= 0) return undefined;
  const corners = [a.low / b.low, a.low / b.high, a.high / b.low, a.high / b.high];
  return { low: Math.min(...corners), mid: a.mid / b.mid, high: Math.max(...corners) };
}

export const scaleRange = (a: Range, factor: number): Range => multiplyRanges(a, exact(factor));

/**
 * (e^−a − e^−b) ÷ (b − a): what a pool that empties at rate a has handed on to one that empties at rate b and still lies there
 * after one unit of time. Holds at a = b, where it is e^−a.
 * @example passedOn(0, 0.5) // (1 − e^−0.5) ÷ 0.5
 */
export function passedOn(a: number, b: number): number {
  const low = Math.min(a, b);
  const gap = Math.abs(b - a);
  return Math.exp(-low) * (gap < 1e-8 ? 1 - gap / 2 : -Math.expm1(-gap) / gap);
}

/**
 * The same through three pools in a row: the second divided difference of e^−x at three rates. Near equal rates its series about
 * their mean is used, so that no digits cancel.
 * @example passedOnTwice(0, 0, 0) // 0.5
 */
export function passedOnTwice(a: number, b: number, c: number): number {
  const low = Math.min(a, b, c);
  const high = Math.max(a, b, c);
  const middle = a + b + c - low - high;
  if (high - low > 1e-4) return (passedOn(low, middle) - passedOn(middle, high)) / (high - low);
  const mean = (a + b + c) / 3;
  const spread = (a - mean) ** 2 + (b - mean) ** 2 + (c - mean) ** 2;
  return Math.exp(-mean) * (0.5 + spread / 48);
}

import { sameKind } from '../quantity/index.js';
import type { Figure, Spread } from './figure.js';
import { difference } from './operations.js';
import { uncertainIn, withNumbers } from './joint.js';

/** How a figure stands to another, with the difference it was judged by. */
export interface Comparison {
  readonly order: 'less' | 'more' | 'tie';
  readonly difference: Figure;
}

const isEstimate = (s: Spread): s is Extract<Spread, { level: number }> =>
  s.kind === 'confidence' || s.kind === 'prediction';

/** The difference of two independent estimates: half-widths add as squares, never as two intervals that overlap or do not. */
function ofEstimates(plain: Figure, a: Figure, b: Figure): Figure {
  const below = Math.hypot(a.value.mid - a.value.low, b.value.high - b.value.mid);
  const above = Math.hypot(a.value.high - a.value.mid, b.value.mid - b.value.low);
  const { mid } = plain.value;
  return { ...plain, value: { low: mid - below, mid, high: mid + above }, spread: a.spread };
}

/**
 * Compares two figures of one unit by their difference, on its own range: what both rest on cancels. A difference that may be nothing is a tie.
 * @throws RangeError when their units are not the same
 * @example compareFigures(costOfA, costOfB).order // 'tie' where the difference may be zero
 */
export function compareFigures(a: Figure, b: Figure): Comparison {
  if (!sameKind(a.unit, b.unit) || a.unit.factor !== b.unit.factor)
    throw new RangeError(`Cannot compare ${a.unit.text || 'a number'} with ${b.unit.text || 'a number'}.`);
  const plain = difference(`${a.label} less ${b.label}`, a.unit, a, b);
  const estimates = isEstimate(a.spread) && isEstimate(b.spread) && a.spread.level === b.spread.level;
  const judged = estimates ? ofEstimates(plain, a, b) : plain;
  const { low, high } = judged.value;
  return { order: high < 0 ? 'less' : low > 0 ? 'more' : 'tie', difference: judged };
}

/** How far a figure moves when one uncertain quantity goes from its least to its most, the others in their middle. */
export interface Mover {
  readonly figure: Figure;
  readonly atLow: number;
  readonly atHigh: number;
}

/** What moves a figure, the most first. @example whatMoves(cost)[0]?.figure.label // 'nitrogen' */
export function whatMoves(figure: Figure): readonly Mover[] {
  const swing = ({ atLow, atHigh }: Mover): number => Math.abs(atHigh - atLow);
  return [...uncertainIn(figure)]
    .map(([id, leaf]): Mover => {
      const at = (value: number): number => withNumbers(figure, new Map([[id, value]]));
      return { figure: leaf, atLow: at(leaf.value.low), atHigh: at(leaf.value.high) };
    })
    .filter((mover) => mover.figure !== figure && swing(mover) > 0)
    .sort((a, b) => swing(b) - swing(a));
}

import { mixture, type Component, type Mixture } from './mixture.js';
import { weighedWords } from './weighable.js';

/** A part of a batch that is weighed out. */
export interface WeighPart {
  readonly name: string;
  /** Of the batch, by mass; the shares of all parts add to one. */
  readonly share: number;
}
/** What a batch may grow to. */
export interface WeighRoom {
  /** kg that the tub holds; undefined where nobody said. */
  readonly tubKg?: number | undefined;
  /** kg of each part that there are, in their order; undefined where that is not known. */
  readonly stockKg?: readonly (number | undefined)[];
}

/** How near a weight is to what was asked. */
export type WeighState = 'under' | 'right' | 'over';
/** A part within this share of what was asked is right, however fine the scale. */
const RIGHT = 0.005;
/**
 * Whether so much on the pan is what was asked.
 * @param divisionKg what the scale can tell apart
 * @example weighState(1.004, 1, 0.001) // 'right'
 */
export function weighState(kg: number, target: number, divisionKg: number): WeighState {
  const near = Math.max(divisionKg, RIGHT * target) * (1 + 1e-9);
  if (kg > target + near) return 'over';
  return kg < target - near ? 'under' : 'right';
}

/** What can be done after too much of a part. */
export type Rebalanced =
  | {
      readonly kind: 'larger';
      /** The batch in which no part is too much. */
      readonly batchKg: number;
      /** kg to put to each part that was weighed, and to weigh of those that were not, in their order. */
      readonly addKg: readonly number[];
    }
  /** The tub or the shelf has no room for it; which, and by how much. */
  | { readonly kind: 'noRoom'; readonly batchKg: number; readonly why: readonly string[] };

/** What is weighed with rounding left: no more than this share of a batch is asked to be added. */
const NOTHING = 1e-9;
/**
 * The smallest batch that has the ratio wanted after what was weighed already: the part that is most too much decides, and all others grow with it.
 * @param parts with their shares of the batch
 * @param weighedKg kg of each part that is in the tub already, 0 where none is
 * @param batchKg what was planned
 * @param room what the tub holds and what there is of each part
 * @param unit what weights are told in
 * @example rebalanced([{ name: 'A', share: 0.5 }, { name: 'B', share: 0.5 }], [1.2, 0], 2) // a batch of 2.4 kg: 1.2 kg of B
 */
export function rebalanced(
  parts: readonly WeighPart[],
  weighedKg: readonly number[],
  batchKg: number,
  { tubKg, stockKg = [] }: WeighRoom = {},
  unit: 'kg' | 'lb' = 'kg',
): Rebalanced {
  const grown = parts.map(({ share }, i) => (share > 0 ? (weighedKg[i] ?? 0) / share : 0));
  const larger = Math.max(batchKg, ...grown);
  const addKg = parts.map(({ share }, i) => {
    const more = share * larger - (weighedKg[i] ?? 0);
    return more > NOTHING * larger ? more : 0;
  });
  const why = [
    ...(tubKg !== undefined && larger > tubKg * (1 + NOTHING)
      ? [`the batch would weigh ${weighedWords(larger, unit)}, and the tub holds ${weighedWords(tubKg, unit)}`]
      : []),
    ...parts.flatMap(({ name, share }, i) => {
      const there = stockKg[i];
      return there !== undefined && share * larger > there * (1 + NOTHING) + NOTHING
        ? [`it would take ${weighedWords(share * larger, unit)} of ${name}, and there are ${weighedWords(there, unit)}`]
        : [];
    }),
  ];
  return why.length > 0 ? { kind: 'noRoom', batchKg: larger, why } : { kind: 'larger', batchKg: larger, addKg };
}

/** What was really mixed. @param fillerKg of it that brings nothing */
export const mixedFrom = (components: readonly Component[], fillerKg: number): Mixture =>
  mixture(
    components.filter((c) => c.kg > 0),
    fillerKg,
  );

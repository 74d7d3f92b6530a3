import { rebalanced, type Rebalanced, type WeighPart } from '@wheat-ledger/core';

/** A batch as it is weighed out, one part after the other. */
export interface Weighing {
  readonly batchKg: number;
  /** kg of each part that was taken, in order; those that come are missing. */
  readonly taken: readonly number[];
  /** kg that were put to parts afterwards, when the batch grew. */
  readonly added: readonly number[];
}
export const begin = (batchKg: number): Weighing => ({ batchKg, taken: [], added: [] });

/** kg of each part that are in the tub. */
export const inTub = (parts: readonly WeighPart[], { taken, added }: Weighing): readonly number[] =>
  parts.map((_, i) => (taken[i] ?? 0) + (added[i] ?? 0));

/** What is put on next: a part for the first time, or more of one since the batch grew; nothing where all is there. */
export interface Step {
  readonly at: number;
  readonly kg: number;
  readonly again: boolean;
}
/** Less than this share of a part is not worth a step of its own. */
const WORTH_A_STEP = 0.005;
export function nextStep(parts: readonly WeighPart[], weighing: Weighing): Step | undefined {
  const { batchKg, taken } = weighing;
  const first = parts[taken.length];
  if (first) return { at: taken.length, kg: first.share * batchKg, again: false };
  const there = inTub(parts, weighing);
  const lacking = parts.map(({ share }, i) => share * batchKg - (there[i] ?? 0));
  const at = lacking.findIndex((kg, i) => kg > WORTH_A_STEP * (parts[i]?.share ?? 0) * batchKg);
  return at < 0 ? undefined : { at, kg: lacking[at] ?? 0, again: true };
}

/** A weight that was taken for the step that stood next. */
export function withTaken(parts: readonly WeighPart[], weighing: Weighing, kg: number): Weighing {
  const step = nextStep(parts, weighing);
  if (!step) return weighing;
  if (!step.again) return { ...weighing, taken: [...weighing.taken, kg] };
  const added = parts.map((_, i) => (weighing.added[i] ?? 0) + (i === step.at ? kg : 0));
  return { ...weighing, added };
}

/** The batch grown until nothing in the tub is too much; as it is where there is no room. */
export const grown = (weighing: Weighing, found: Rebalanced): Weighing =>
  found.kind === 'larger' ? { ...weighing, batchKg: found.batchKg } : weighing;

/** What would have to be done about what is too much. @param room what the tub holds and what there is of each part */
export const mended = (
  parts: readonly WeighPart[],
  weighing: Weighing,
  room: Parameters<typeof rebalanced>[3],
  unit: 'kg' | 'lb',
): Rebalanced => rebalanced(parts, inTub(parts, weighing), weighing.batchKg, room, unit);

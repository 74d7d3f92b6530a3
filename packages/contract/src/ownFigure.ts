import { ownBounds, type PLOT_FIGURES } from '@wheat-ledger/core';
import { NumberBetween, Text } from './decorators.js';
import type { FieldProblem } from './validate.js';

/** The most figures of one's own that a plot or a bag carries. */
export const MOST_OWN_FIGURES = 60;

/** A figure of the user's own in the place of an assumption: its middle, its range, and where it is from. */
export class OwnFigureInput {
  @Text(1, 160, 'which assumption it replaces')
  key!: string;

  @NumberBetween(-1e6, 1e6, 'the low end')
  low!: number;

  @NumberBetween(-1e6, 1e6, 'the middle')
  mid!: number;

  @NumberBetween(-1e6, 1e6, 'the high end')
  high!: number;

  @Text(0, 300, 'where it is from')
  source!: string;
}

/** What no field's own rule can see: figures nobody assumes, twice the same, ends the wrong way round, and what cannot be. */
export function ownFigureProblems(
  figures: readonly OwnFigureInput[] | undefined,
  bounds: typeof PLOT_FIGURES,
): readonly FieldProblem[] {
  return (figures ?? []).flatMap(({ key, low, mid, high }, i): FieldProblem[] => {
    const refuse = (message: string): FieldProblem[] => [{ path: `ownFigures.${i}.mid`, message }];
    const within = ownBounds(key, bounds);
    if (!within) return refuse(`Read “${key}”, expected an assumption that is made here.`);
    if ((figures ?? []).findIndex((f) => f.key === key) < i) return refuse(`Read “${key}” twice, expected it once.`);
    if (low > mid || mid > high) return refuse(`Read ${low}, ${mid}, ${high}, expected them from low to high.`);
    if (low < within.least || high > within.most)
      return refuse(`Read ${low === high ? low : `${low} to ${high}`}, expected ${within.least} to ${within.most}.`);
    return [];
  });
}

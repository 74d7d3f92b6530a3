/** Where things stand on a logarithmic rail. */
export interface LadderScale {
  readonly ticks: readonly number[];
  /** Height above the foot, 0–1. */
  readonly at: (value: number) => number;
}

const STEPS = [1, 2, 5] as const;

/** A rail that holds all values with some room, ticked at 1, 2 and 5 of each decade. @throws RangeError without a positive value */
export function ladderScale(values: readonly number[]): LadderScale {
  const least = Math.min(...values);
  const most = Math.max(...values);
  if (!(least > 0) || !Number.isFinite(most)) throw new RangeError('A ladder needs positive values.');
  const low = least / 1.25;
  const high = Math.max(most * 1.25, low * 2.5);
  const span = Math.log(high / low);
  const ticks: number[] = [];
  for (let decade = Math.floor(Math.log10(low)); decade <= Math.ceil(Math.log10(high)); decade++)
    for (const step of STEPS) {
      const tick = step * 10 ** decade;
      if (tick >= low && tick <= high) ticks.push(tick);
    }
  return { ticks, at: (value) => Math.log(value / low) / span };
}

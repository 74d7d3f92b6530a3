import { percentileOf, triangular, uniformDraws } from '../quantity/index.js';
import { numbersFrom } from './parameters.js';
import type { ReleaseCase } from './productRelease.js';
import { weekly } from './productRelease.js';
import { simulate } from './simulate.js';

/** Weekly 10th, 50th and 90th percentiles of the share available. */
export interface Band {
  readonly low: readonly number[];
  readonly median: readonly number[];
  readonly high: readonly number[];
}

/**
 * Draws every assumed parameter from its range and runs the model again, many times, with a seed: the band in which the
 * release falls in eight draws of ten.
 *
 * @param draws how many runs; at least 2 000 for a drawn band
 * @param onProgress called now and then with the share done; returning false stops and yields undefined
 */
export function releaseBand(
  setup: ReleaseCase,
  draws: number,
  seed: number,
  onProgress: (share: number) => boolean = () => true,
): Band | undefined {
  const uniform = uniformDraws(seed);
  const weeks = weekly({ length: setup.around.temperatureC.length + 1 }).length;
  const columns = Array.from({ length: weeks }, () => new Float64Array(draws));
  for (let draw = 0; draw < draws; draw++) {
    if (draw % 250 === 0 && !onProgress(draw / draws)) return undefined;
    const run = simulate(
      setup.pools,
      setup.around,
      numbersFrom(setup.parameters, (range) => triangular(range, uniform())),
    );
    columns.forEach((column, w) => {
      column[draw] = run.available[w * 7] ?? 0;
    });
  }
  columns.forEach((column) => column.sort());
  const percentile = (share: number): number[] => columns.map((column) => percentileOf(column, share));
  return { low: percentile(0.1), median: percentile(0.5), high: percentile(0.9) };
}

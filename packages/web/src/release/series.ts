import { weekly, type ProductRelease } from '@wheat-ledger/core';
import type { Bands } from '../app/useReleases';

export type Course = Extract<ProductRelease, { kind: 'release' }>;
export type Count = 'cumulative' | 'weekly';

/** One week of the drawing: the crop's line and each product's, in kg N/ha; bands as [low, high]. */
export interface WeekPoint {
  readonly week: number;
  /** Missing where it is not known what the crop takes up. */
  readonly demand?: number;
  readonly [line: string]: number | readonly [number, number] | undefined;
}

const gains = (values: readonly number[]): number[] => values.map((v, i) => (i === 0 ? 0 : v - (values[i - 1] ?? 0)));

/**
 * What the chart draws, week by week, each product at its own dose beside what the crop wants.
 */
export function weekPoints(courses: readonly Course[], bands: Bands, count: Count): readonly WeekPoint[] {
  const [first] = courses;
  if (!first) return [];
  const shape = count === 'weekly' ? gains : (v: readonly number[]): readonly number[] => v;
  const { demandKgPerHa } = first.setup.around;
  const demand = demandKgPerHa && shape(weekly(demandKgPerHa));
  const lines = courses.map((c) => ({
    id: c.product.id,
    dose: c.setup.around.doseKgPerHa,
    values: shape(weekly(c.run.available)),
    band: count === 'cumulative' ? bands[c.product.id] : undefined,
  }));
  return weekly(first.run.available).map((_, week) => ({
    week,
    ...(demand ? { demand: demand[week] ?? 0 } : {}),
    ...Object.fromEntries(lines.map((l) => [`line-${l.id}`, (l.values[week] ?? 0) * l.dose])),
    ...Object.fromEntries(
      lines.flatMap((l) =>
        l.band ? [[`band-${l.id}`, [(l.band.low[week] ?? 0) * l.dose, (l.band.high[week] ?? 0) * l.dose]]] : [],
      ),
    ),
  }));
}

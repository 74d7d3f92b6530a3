import { literal, product as times, sum, type Figure } from '../figure/index.js';
import { analyteName, ANALYTES, type Analyte } from '../nutrient/index.js';
import type { Application } from './application.js';
import { applied, type Applied, type DosedPlot } from './applied.js';
import type { Given } from './given.js';
import { datesOf, type Season } from './dates.js';

/** One row of a programme: what is done, with what. */
export interface Doing {
  readonly application: Application;
  readonly given: Given;
}

/** A row in numbers: what one time comes to, and the days it is done on. */
export interface ComputedRow {
  readonly doing: Doing;
  readonly applied: Applied;
  /** Undefined when its growth stage is not reached or not known. */
  readonly dates: readonly string[] | undefined;
}

/** What a programme brings of an element in all, kg/ha of the season's ground. */
export interface Total {
  readonly analyte: Analyte;
  readonly figure: Figure;
  /** What of it a crop can have. */
  readonly supply: Figure;
}

export interface ComputedProgramme {
  readonly rows: readonly ComputedRow[];
  readonly totals: readonly Total[];
  /** Names of what is given whose amount or time is not known: the totals are without it. */
  readonly without: readonly string[];
}

/** So often on its part, kg/ha of the season's ground. */
function overSeason(figure: Figure, row: ComputedRow): Figure {
  const often = row.dates?.length ?? 0;
  const { share } = row.doing.application.part;
  const factors = [
    ...(often === 1 ? [] : [literal('times', often, 'applications', 'chosen', 'as planned')]),
    ...(share === 1 ? [] : [literal('share of the ground', share, '', 'chosen', 'as planned')]),
  ];
  return factors.length === 0 ? figure : times(`${figure.label}, in all`, 'kg/ha', [figure, ...factors]);
}

/**
 * A programme in numbers: each row through `applied`, its days, and what all of it brings to a hectare of the season's ground.
 * @param temperatureC daily mean soil temperature from the season's first day on, for growth stages
 */
export function computeProgramme(
  doings: readonly Doing[],
  plot: DosedPlot,
  season: Season,
  temperatureC: readonly number[],
): ComputedProgramme {
  const rows = doings.map((doing): ComputedRow => ({
    doing,
    applied: applied(doing.application, doing.given, plot, season),
    dates: datesOf(doing.application.when, season, temperatureC),
  }));
  const totals = ANALYTES.flatMap((analyte): Total[] => {
    const brought = rows.flatMap((row) => {
      const { applied: found } = row;
      const of = found.kind === 'applied' && row.dates ? found.brings.find((b) => b.analyte === analyte) : undefined;
      return of ? [{ row, figure: of.figure, supply: of.supply ?? of.figure }] : [];
    });
    if (brought.length === 0) return [];
    const added = (label: string, of: 'figure' | 'supply'): Figure => {
      const all = brought.map((b) => overSeason(b[of], b.row));
      const [only] = all;
      return all.length === 1 && only ? only : sum(label, 'kg/ha', all);
    };
    const figure = added(`${analyteName(analyte)} of the programme`, 'figure');
    // One and the same where a crop can have all of it.
    const all = brought.every((b) => b.supply === b.figure);
    const supply = all ? figure : added(`${analyteName(analyte)} of the programme that a crop can have`, 'supply');
    return [{ analyte, figure, supply }];
  });
  const without = rows
    // Plain water has no parts and lacks nothing.
    .filter(({ doing: { given } }) => given.parts.length > 0 || given.unknown !== undefined)
    .filter((row) => row.applied.kind === 'unknown' || !row.dates)
    .map((row) => row.doing.given.name);
  return { rows, totals, without: [...new Set(without)] };
}

/** What a bag weighs in a mix, as a share of it. */
export const shareOfMix = (share: number): Figure => literal('its share of the mix', share, '', 'chosen', 'recipe');

/**
 * How much of one product a programme gives in all, kg/ha of the season's ground: alone or as a part of a mix.
 * @returns undefined where it gives none that is known
 * @example productGiven(computeProgramme(doings, plot, season, warmth), 'bag')?.value.mid
 */
export function productGiven({ rows }: Pick<ComputedProgramme, 'rows'>, productId: string): Figure | undefined {
  const all = rows.flatMap((row): Figure[] => {
    if (row.applied.kind === 'unknown' || !row.dates) return [];
    const share = row.doing.given.parts
      .filter((p) => p.product.id === productId)
      .reduce((total, p) => total + p.share, 0);
    if (share === 0) return [];
    const { perHa } = row.applied;
    const own = share === 1 ? perHa : times(perHa.label, 'kg/ha', [perHa, shareOfMix(share)]);
    return [overSeason(own, row)];
  });
  const [only] = all;
  return all.length <= 1 ? only : sum('all of it in the season', 'kg/ha', all);
}

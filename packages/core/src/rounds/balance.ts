import { constant, difference, literal, product as times, sum, type Figure } from '../figure/index.js';
import { analyteName, type Nutrient } from '../nutrient/index.js';
import { printDay } from '../quantity/index.js';
import type { Crop } from '../season/index.js';
import { materialHolds, readIngredients, type Product } from '../shelf/index.js';
import type { WaterBrings } from './waterBrings.js';
import { broughtKg, overPlot, standing, wentOn, type LogEntry } from './went.js';

/** What was harvested of a crop. */
export interface Harvested {
  readonly on: string;
  readonly kg: number;
  readonly crop: Crop | undefined;
}

/** In, out and what is left of one element, kg/ha of the plot; undefined sides are not known, which is not nothing. */
export interface BalanceRow {
  readonly nutrient: Nutrient;
  readonly brought: Figure | undefined;
  readonly taken: Figure | undefined;
  readonly left: Figure | undefined;
}
export interface Balance {
  readonly rows: readonly BalanceRow[];
  /** What went on without a figure for an element, or an amount that cannot be told: the balance is without it. */
  readonly without: readonly string[];
}

const BALANCED = ['N', 'P', 'K', 'Ca', 'Mg', 'S'] as const satisfies readonly Nutrient[];
function takenKg({ kg, crop, on }: Harvested, nutrient: Nutrient): readonly Figure[] {
  const content = crop?.removedKgPerT[nutrient];
  if (!crop || !content) return [];
  return [
    times(`${analyteName(nutrient)} in ${crop.name.toLowerCase()}, ${printDay(on)}`, 'kg', [
      literal('harvest', kg / 1000, 't', 'measured', 'harvest record'),
      literal(`${analyteName(nutrient)} in a tonne of it`, content, 'kg/t', 'typical', 'crop library'),
    ]),
  ];
}

/** Whether all that is in a bag is known to hold none of an element, as a salt holds what its formula does. */
function holdsNone({ derivedFrom }: Product, nutrient: Nutrient): boolean {
  const { known, complete } = readIngredients(derivedFrom);
  return complete && known.length > 0 && known.every((m) => materialHolds(m, nutrient).kind === 'none');
}
/** Bags that went on and say nothing of an element, or whose amount cannot be told. */
const silent = (entries: readonly LogEntry[], nutrient: Nutrient): readonly string[] =>
  entries.flatMap((e) =>
    wentOn(e).flatMap(({ product, brings }) =>
      brings.some((b) => b.analyte === nutrient) || holdsNone(product, nutrient) ? [] : [product.name],
    ),
  );

/**
 * What went on a plot less what was taken off it in some time: every entry that stands × its content, less every harvest × its content.
 * @param areaM2 of the plot
 * @param water what irrigation brings in the time
 * @example balance(entriesOf2026, harvestsOf2026, 900).rows.find((r) => r.nutrient === 'P')?.left?.value.mid // kg P/ha
 */
export function balance(
  entries: readonly LogEntry[],
  harvests: readonly Harvested[],
  areaM2: number,
  water: WaterBrings = {},
): Balance {
  const done = standing(entries);
  const rows = BALANCED.map((nutrient): BalanceRow => {
    const name = analyteName(nutrient);
    const went = overPlot(
      `${name} brought`,
      done.flatMap((e) => broughtKg(e, nutrient)),
      areaM2,
    );
    const inWater = water[nutrient];
    const brought =
      went && inWater ? sum(`${name} brought, with the water`, 'kg/ha', [went, inWater]) : (went ?? inWater);
    const taken = overPlot(
      `${name} taken off`,
      harvests.flatMap((h) => takenKg(h, nutrient)),
      areaM2,
    );
    const quiet = silent(done, nutrient).length > 0;
    // Where nothing went on at all, nothing was brought; where a bag says nothing, nobody knows.
    const from = brought ?? (quiet ? undefined : constant(`no ${name} went on`, 0, 'kg/ha', 'the log'));
    const left = from && taken ? difference(`${name} left`, 'kg/ha', from, taken) : brought;
    return { nutrient, brought, taken, left };
  });
  const unknownCrops = harvests.flatMap((h) =>
    h.crop ? [] : [`the harvest of ${printDay(h.on)}, whose crop is not said`],
  );
  return { rows, without: [...new Set([...silent(done, 'N'), ...silent(done, 'P'), ...unknownCrops])] };
}

/** One year of a plot. */
export interface YearBalance extends Balance {
  readonly year: number;
}
const yearOf = (day: string): number => Number(day.slice(0, 4));
/** The balance of each year in which something was done or harvested, the oldest first. @param water what irrigation brings in a usual year */
export function yearlyBalances(
  entries: readonly LogEntry[],
  harvests: readonly Harvested[],
  areaM2: number,
  water: WaterBrings = {},
): readonly YearBalance[] {
  const done = standing(entries);
  const years = [...new Set([...done, ...harvests].map((x) => yearOf(x.on)))].sort((a, b) => a - b);
  return years.map((year) => ({
    year,
    ...balance(
      done.filter((e) => yearOf(e.on) === year),
      harvests.filter((h) => yearOf(h.on) === year),
      areaM2,
      water,
    ),
  }));
}

/** The sum of what is left over the years, for the picture of a build-up. @returns year and kg/ha since the first year */
export function buildUp(
  years: readonly YearBalance[],
  nutrient: Nutrient,
): readonly { readonly year: number; readonly kgPerHa: number }[] {
  let all = 0;
  return years.map(({ year, rows }) => {
    all += rows.find((r) => r.nutrient === nutrient)?.left?.value.mid ?? 0;
    return { year, kgPerHa: all };
  });
}

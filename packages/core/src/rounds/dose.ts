import { stockStrength, type Range } from '../quantity/index.js';
import type { AgeTable } from '../season/index.js';

/** Ground of a ring around a plant, m². @throws RangeError where the outer edge is not beyond the inner one @example ringArea(0.2, 0.5) // π × (0.25 − 0.04) = 0.66 */
export function ringArea(innerM: number, outerM: number): number {
  if (!(innerM >= 0 && outerM > innerM))
    throw new RangeError(`Read a ring from ${innerM} to ${outerM} m, expected the outer edge beyond the inner one.`);
  return Math.PI * (outerM ** 2 - innerM ** 2);
}
/** A width that could be across or out from the stem: both rings, with how much they differ. @example acrossOrOut(2).timesAsMuch // 4 */
export const acrossOrOut = (
  width: number,
): { readonly acrossM2: number; readonly outM2: number; readonly timesAsMuch: number } => {
  const [acrossM2, outM2] = [ringArea(0, width / 2), ringArea(0, width)];
  return { acrossM2, outM2, timesAsMuch: outM2 / acrossM2 };
};

/** What a table of ages asks for at an age, re-scaled to another bag at equal nutrient. */
export interface AgeDose {
  readonly gPerPlant: Range;
  readonly innerM: number;
  readonly outerM: number;
  /** Whether the yearly cap held it down. */
  readonly capped: boolean;
}
/**
 * The dose of a plant of an age, of a bag whose nutrient stands to the reference grade's as given.
 * @param strength share of the nutrient in the bag ÷ that in the reference grade
 * @returns undefined where the table says nothing of that age
 * @example ageDose(table, 3, 13 / 10)?.gPerPlant // less of a stronger bag
 */
export function ageDose({ rows, capG }: AgeTable, age: number, strength = 1): AgeDose | undefined {
  if (!(strength > 0)) throw new RangeError(`Read a strength of ${strength}, expected one above zero.`);
  const row = rows.find((r) => age >= r.fromYear && age <= (r.toYear ?? Infinity));
  if (!row) return undefined;
  const capped = row.gPerPlant.high > capG;
  const at = (g: number): number => Math.min(g, capG) / strength;
  const { low, mid, high } = row.gPerPlant;
  return { gPerPlant: { low: at(low), mid: at(mid), high: at(high) }, innerM: row.innerM, outerM: row.outerM, capped };
}

/** What is odd about a table of ages: it is asked about, not obeyed. */
export function ageTableDoubts({ rows }: Pick<AgeTable, 'rows'>): readonly string[] {
  return rows.flatMap((row, i) => {
    const next = rows[i + 1];
    if (!next) return [];
    const from = `from year ${next.fromYear}`;
    return [
      ...(row.toYear === undefined || row.toYear >= next.fromYear ? [`Two rows hold at once ${from}.`] : []),
      ...(row.toYear !== undefined && row.toYear + 1 < next.fromYear
        ? [`No row holds between year ${row.toYear} and ${next.fromYear}.`]
        : []),
      ...(next.gPerPlant.mid < row.gPerPlant.mid ? [`It gives less ${from} than before.`] : []),
    ];
  });
}

/** "1:10" read both ways, as mL of product to each litre of water. */
export interface DilutionReadings {
  /** Where it means one part to so many of water. */
  readonly toWaterMlPerL: number;
  /** Where it means one part in so many of the whole: the water is the rest. */
  readonly inAllMlPerL: number;
}
/**
 * A ratio read both ways.
 * @throws RangeError below 2: one part in one is no dilution
 * @example dilutionReadings(10) // 100 mL to a litre of water; or 111 mL, which is 1 part in 10 of the feed
 */
export function dilutionReadings(parts: number): DilutionReadings {
  if (!(parts >= 2)) throw new RangeError(`Read 1:${parts}, expected at least 1:2.`);
  return { toWaterMlPerL: 1000 / parts, inAllMlPerL: 1000 / (parts - 1) };
}
/** Share of the feed that is product, by how the ratio is meant. @example shareOfFeed(10, 'toWater') // 1/11 */
export const shareOfFeed = (parts: number, meant: 'toWater' | 'inAll'): number =>
  1 / (meant === 'toWater' ? parts + 1 : parts);
/** Product for a can, mL. @example mlPerCan(10, 10, 'toWater') // 909 mL in a can of 10 L */
export const mlPerCan = (canL: number, parts: number, meant: 'toWater' | 'inAll'): number =>
  1000 * canL * shareOfFeed(parts, meant);

/** The concentrate that an injector needs so that the feed has so much, mg/L in the tank. @example tankPpm(150, 100) // 15 150 at 1:100 */
export const tankPpm = (feedPpm: number, injectorParts: number): number => feedPpm * stockStrength(injectorParts);

/**
 * What a spreader throws, by catching it.
 * @param caughtG caught on the tray or sheet
 * @param areaM2 that the tray covers, times the passes over it
 * @returns kg/ha
 * @example spreaderRate(12, 0.5) // 24 g/m² is 240 kg/ha
 */
export const spreaderRate = (caughtG: number, areaM2: number): number => (caughtG / areaM2) * 10;
/** Litres on a hectare from what a sprayer used on a strip. @example sprayerRate(2, 50) // 400 L/ha */
export const sprayerRate = (litres: number, areaM2: number): number => (litres / areaM2) * 10_000;
/** Parts of water that a hose-end mixer puts to one of product, from a timed bucket. @example mixerParts(20, 1) // 19 */
export const mixerParts = (bucketL: number, productL: number): number => (bucketL - productL) / productL;

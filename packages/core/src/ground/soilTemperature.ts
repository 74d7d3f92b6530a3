/** Twelve monthly mean soil temperatures in °C, January first; or the annual sine. */
export type TemperatureRecord =
  | { readonly kind: 'monthly'; readonly meansC: readonly number[] }
  | { readonly kind: 'sine'; readonly meanC: number; readonly amplitudeC: number; readonly warmestDay: number };

export const YEAR_DAYS = 365;
export const MONTH_LENGTHS: readonly number[] = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];
/** Middle day of each month, counted from 1 January = 0. */
const MID_MONTH = [15, 45, 74, 105, 135, 166, 196, 227, 258, 288, 319, 349] as const;

/** Linear between the middles of months, around the year's end too. */
function fromMonths(meansC: readonly number[], dayOfYear: number): number {
  const next = MID_MONTH.findIndex((mid) => mid > dayOfYear);
  const i = next === -1 ? 0 : next;
  const before = (i + 11) % 12;
  const start = (MID_MONTH[before] ?? 0) - (i === 0 ? YEAR_DAYS : 0);
  const end = MID_MONTH[i] ?? 0;
  const at = i === 0 && dayOfYear > end ? dayOfYear - YEAR_DAYS : dayOfYear;
  const share = (at - start) / (end - start);
  return (meansC[before] ?? 0) * (1 - share) + (meansC[i] ?? 0) * share;
}

/**
 * Daily mean soil temperature in °C from a day of the year on, at the depth the means were taken (the sine is taken at
 * the surface layer, where roots and fertilizer lie; deeper damping: T = mean + A·e^(−z/D)·sin(2π(d−d0)/365 − z/D)).
 *
 * @param temperature monthly means, or mean, amplitude (°C) and warmest day of a yearly sine
 * @param firstDay day of the year, 1 January = 0
 * @param days how many days
 * @param depthM depth below the surface in metres, for the sine; damping depth D = 2 m
 */
export function soilTemperature(
  temperature: TemperatureRecord,
  firstDay: number,
  days: number,
  depthM = 0.1,
): readonly number[] {
  const DAMPING_DEPTH_M = 2;
  const at = (day: number): number => {
    const dayOfYear = ((day % YEAR_DAYS) + YEAR_DAYS) % YEAR_DAYS;
    if (temperature.kind === 'monthly') return fromMonths(temperature.meansC, dayOfYear);
    const z = depthM / DAMPING_DEPTH_M;
    const phase = (2 * Math.PI * (dayOfYear - temperature.warmestDay)) / YEAR_DAYS - z;
    return temperature.meanC + temperature.amplitudeC * Math.exp(-z) * Math.cos(phase);
  };
  return Array.from({ length: days }, (_, i) => at(firstDay + i));
}

/** Day of the year of an ISO date, 1 January = 0; 29 February counts as 28 February. @example dayOfYear('2026-03-01') // 59 */
export function dayOfYear(isoDate: string): number {
  const [, month = 1, day = 1] = isoDate.split('-').map(Number);
  const before = MONTH_LENGTHS.slice(0, month - 1).reduce((a, b) => a + b, 0);
  return before + Math.min(day, MONTH_LENGTHS[month - 1] ?? 31) - 1;
}

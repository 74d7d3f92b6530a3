import { computed, constant, product as times, type Figure } from '../figure/index.js';
import { analyteName, CONTAMINANTS, elementOf, type Nutrient } from '../nutrient/index.js';
import { exact, type Range } from '../quantity/index.js';
import { broughtKg, overPlot, standing, type LogEntry } from './went.js';

/** A metal that came along in a year. */
export interface MetalLoad {
  readonly metal: Nutrient;
  /** g/ha of the plot; of bags that give a figure only. */
  readonly perHa: Figure;
  /** Years until a limit in the soil is reached at this rate, 0 where it is passed already; undefined where no limit or no soil figure is entered. */
  readonly yearsToLimit: Figure | undefined;
}
export interface MetalMeter {
  readonly loads: readonly MetalLoad[];
  /** Bags that give no figure for any metal: unknown, never clean. */
  readonly silent: readonly string[];
}
/** Weight of the topsoil, kg/ha: 15 cm at 1.3 kg/L; typical, the plot's own replaces it. */
export const TOPSOIL_KG_PER_HA = 1.95e6;
/** Longer than this nobody looks ahead: so many years stand for more, too. */
const LONGEST_YEARS = 10_000;

/** Years in which a yearly load fills the room that is left. @param room mg/kg @param load g/ha */
function yearsUntil(room: number, topsoilKgPerHa: Range, load: Range): Range {
  const years = (soil: number, g: number): number =>
    room <= 0 ? 0 : g > 0 ? Math.min(LONGEST_YEARS, (room * soil) / 1000 / g) : LONGEST_YEARS;
  return {
    low: years(topsoilKgPerHa.low, load.high),
    mid: years(topsoilKgPerHa.mid, load.mid),
    high: years(topsoilKgPerHa.high, load.low),
  };
}

/**
 * Metals that came with what went on, g/ha in the time of the entries.
 * @param soil what a report found, mg/kg, and the limit that the user picked, by metal
 * @param topsoilKgPerHa weight of the plot's own topsoil, by its depth and bulk density
 */
export function metalMeter(
  entries: readonly LogEntry[],
  areaM2: number,
  soil: Readonly<Partial<Record<Nutrient, { readonly mgPerKg: number; readonly limitMgPerKg: number }>>> = {},
  topsoilKgPerHa: Range = exact(TOPSOIL_KG_PER_HA),
): MetalMeter {
  const done = standing(entries);
  const loads = CONTAMINANTS.flatMap((metal): MetalLoad[] => {
    const kgPerHa = overPlot(
      `${analyteName(metal)} brought`,
      done.flatMap((e) => broughtKg(e, metal)),
      areaM2,
    );
    if (!kgPerHa) return [];
    const perHa = times(`${analyteName(metal)} brought`, 'g/ha', [
      kgPerHa,
      constant('g per kg', 1000, 'g/kg', 'by definition'),
    ]);
    const known = soil[metal];
    const yearsToLimit =
      known &&
      computed(
        `Years until ${analyteName(metal)} reaches the limit`,
        yearsUntil(known.limitMgPerKg - known.mgPerKg, topsoilKgPerHa, perHa.value),
        'years',
        'yearsToLimit',
        '(limit − soil, mg/kg) × topsoil, kg/ha ÷ 1000 ÷ the yearly load; 0 where the limit is passed, at most 10 000',
        [perHa],
      );
    return [{ metal, perHa, yearsToLimit }];
  });
  const metals = new Set<string>(CONTAMINANTS);
  const quiet = done.flatMap((e) =>
    e.items.flatMap(({ product }) =>
      product && !product.analysis.some((l) => metals.has(elementOf(l.analyte))) ? [product.name] : [],
    ),
  );
  return { loads, silent: [...new Set(quiet)] };
}

import { computed, constant, product as times, type Figure } from '../figure/index.js';
import { analyteName, CONTAMINANTS, elementOf, type Nutrient } from '../nutrient/index.js';
import { broughtKg, overPlot, standing, type LogEntry } from './went.js';

/** A metal that came along in a year. */
export interface MetalLoad {
  readonly metal: Nutrient;
  /** g/ha of the plot; of bags that give a figure only. */
  readonly perHa: Figure;
  /** Years until a limit in the soil is reached at this rate; undefined where no limit or no soil figure is entered, or nothing comes. */
  readonly yearsToLimit: Figure | undefined;
}
export interface MetalMeter {
  readonly loads: readonly MetalLoad[];
  /** Bags that give no figure for any metal: unknown, never clean. */
  readonly silent: readonly string[];
}
/** Weight of the topsoil, kg/ha: 15 cm at 1.3 kg/L; a usual figure. */
export const TOPSOIL_KG_PER_HA = 1.95e6;

/**
 * Metals that came with what went on, g/ha in the time of the entries.
 * @param soil what a report found, mg/kg, and the limit that the user picked, by metal
 */
export function metalMeter(
  entries: readonly LogEntry[],
  areaM2: number,
  soil: Readonly<Partial<Record<Nutrient, { readonly mgPerKg: number; readonly limitMgPerKg: number }>>> = {},
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
    const room = known && ((known.limitMgPerKg - known.mgPerKg) * TOPSOIL_KG_PER_HA) / 1000;
    const yearsToLimit =
      room !== undefined && room > 0 && perHa.value.low > 0
        ? computed(
            `Years until ${analyteName(metal)} reaches the limit`,
            { low: room / perHa.value.high, mid: room / perHa.value.mid, high: room / perHa.value.low },
            'years',
            'yearsToLimit',
            '(limit − soil) × 1.95 million kg of topsoil a hectare ÷ the yearly load',
            [perHa],
          )
        : undefined;
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

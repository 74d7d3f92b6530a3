import { assumption, literal, sum, type Figure } from '../figure/index.js';
import { PH } from '../quantity/index.js';
import type { Site } from './site.js';
import { SOIL_METHOD_NAMES, soilFigure, type SoilMethod, type SoilReport } from './soilReport.js';

/** Methods in which a pH reads lower than in water. */
const IN_SALT: readonly SoilMethod[] = ['CaCl2', 'KCl'];

/** How much lower a soil's pH reads in a salt solution than in water. */
export const SALT_PH_SHIFT = { low: 0.3, mid: 0.6, high: 1 } as const;

/**
 * A soil's pH in water: as a report measured it; from one in calcium or potassium chloride with the range by which that reads lower; else as the plot says.
 * Lime, sulfur, conditions and availability go by it, since that is how they are told.
 * @returns undefined when nobody measured it
 * @example pHInWater(site, reportInCaCl2)?.value // 5.4 in CaCl2 → 5.7–6.0–6.4
 */
export function pHInWater(site: Pick<Site, 'pH'>, report: SoilReport | undefined): Figure | undefined {
  const others = ['water', 'notSaid', 'saturatedPaste', 'other'] as const;
  const direct = soilFigure(report, 'pH', others);
  if (direct) return direct;
  for (const method of IN_SALT) {
    const measured = soilFigure(report, 'pH', [method]);
    if (measured)
      return sum('pH in water', PH, [
        measured,
        assumption(
          `how much lower pH reads ${SOIL_METHOD_NAMES[method]}`,
          SALT_PH_SHIFT,
          PH,
          'usual difference to a pH in water; a pH in water replaces it',
        ),
      ]);
  }
  return site.pH === undefined ? undefined : literal('pH', site.pH, PH, 'measured', 'the plot');
}

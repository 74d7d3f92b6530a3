import { assumption, computed, constant, literal, owned, product as times, sum, type Figure } from '../figure/index.js';
import { ROOT_LAYER_M, soilFigure, soilMass, type Site, type SoilReport } from '../ground/index.js';
import { between, daysBetween } from '../quantity/index.js';
import { SHARED_PARAMETERS } from './defaults.js';
import { moistureResponse, temperatureResponse } from './responses.js';
import type { SoilStart } from './state.js';

/** What the soil itself supplies, each as a figure. */
export interface SoilNitrogen {
  /** Nitrate and ammonium in the layer as the season begins, kg N/ha. */
  readonly mineral: Figure;
  /** Nitrogen in its organic matter to 15 cm, kg N/ha. */
  readonly organic: Figure;
  /** Share of that which is released in a year of the plot's own climate. */
  readonly yearlyShare: Figure;
  /** Nitrate N in the water that is given, mg/L; not counted where it was not measured. */
  readonly inWater?: Figure | undefined;
}

/** A test older than this when the season begins says nothing of its mineral nitrogen. */
const MOST_DAYS_OLD = 120;
const ORGANIC_LAYER_M = 0.15;
/** 3 % in 15 cm of loam is about 3 t N/ha: 58 % carbon, C:N 11. */
const CARBON_IN_MATTER = 0.58;
const SOIL_CN = between(10, 11, 13);
const UNKNOWN_MATTER = between(1.5, 3, 6);
/** "1–3 % of it is released in a year". */
export const YEARLY_SHARE = between(0.01, 0.02, 0.03);

/** mg N/kg in a layer as kg N/ha: × depth × weight of the soil. */
function inLayer(label: string, mgPerKg: Figure, site: Site, report: SoilReport): Figure {
  const soil = soilMass(ROOT_LAYER_M, site.texture, soilFigure(report, 'bulkDensity', undefined, ['kg/L']));
  return times(label, 'kg N/ha', [mgPerKg, soil, constant('ha and mg', 0.01, 'kg N/ha per mg/m²', 'by definition')]);
}

function mineralFigure(site: Site, report: SoilReport | undefined, from: string): Figure {
  const { label, range, unit, source } = SHARED_PARAMETERS.soilMineralKgPerHa;
  const fresh = report && Math.abs(daysBetween(report.sampledOn, from)) <= MOST_DAYS_OLD ? report : undefined;
  const parts = (['nitrateN', 'ammoniumN'] as const).flatMap((analyte): Figure[] => {
    const found = soilFigure(fresh, analyte, undefined, ['mg/kg']);
    return found && fresh
      ? [inLayer(`${analyte === 'nitrateN' ? 'nitrate' : 'ammonium'} N in the layer`, found, site, fresh)]
      : [];
  });
  const [first] = parts;
  if (!first)
    return owned(
      assumption(label.replace(' to lend', ' as the season begins'), range, unit, source),
      'soilMineralKgPerHa',
      site.ownFigures,
    );
  return parts.length === 1 ? first : sum('mineral nitrogen as the season begins', 'kg N/ha', parts);
}

/**
 * The soil's own supply: mineral nitrogen by a soil test of the season, else an open range; and what its organic matter holds, of which 1–3 % comes free
 * in a year of the plot's own climate (Stanford & Smith 1972).
 * @param from the season's first day
 * @param nitrateInWaterMgPerL nitrate N of the water that is given, where it was measured
 * @example soilNitrogen(site, report, '2026-03-15').organic.value.mid // about 3000 kg N/ha at 3 % organic matter
 */
export function soilNitrogen(
  site: Site,
  report: SoilReport | undefined,
  from: string,
  nitrateInWaterMgPerL?: number,
): SoilNitrogen {
  const matter =
    soilFigure(report, 'organicMatter') ??
    owned(
      assumption('organic matter, not tested', UNKNOWN_MATTER, '%', 'usual range of garden and field soil'),
      'soilMatter',
      site.ownFigures,
    );
  const soil = soilMass(ORGANIC_LAYER_M, site.texture, soilFigure(report, 'bulkDensity', undefined, ['kg/L']));
  const cn = owned(
    assumption('C:N of the soil’s organic matter', SOIL_CN, 'kg/kg', 'usual of cultivated soil'),
    'soilCN',
    site.ownFigures,
  );
  const at = (end: 'low' | 'mid' | 'high', other: 'low' | 'mid' | 'high'): number =>
    ((matter.value[end] / 100) * soil.value[end] * 10_000 * CARBON_IN_MATTER) / cn.value[other];
  return {
    mineral: mineralFigure(site, report, from),
    organic: computed(
      'nitrogen in the soil’s organic matter',
      { low: at('low', 'high'), mid: at('mid', 'mid'), high: at('high', 'low') },
      'kg N/ha',
      'soil',
      'organic matter × weight of 15 cm of soil × 58 % carbon ÷ C:N',
      [matter, soil, cn],
    ),
    inWater:
      nitrateInWaterMgPerL === undefined
        ? undefined
        : literal('nitrate N in the water given', nitrateInWaterMgPerL, 'mg/L', 'measured', 'water analysis'),
    yearlyShare: owned(
      assumption(
        'share of the soil’s organic nitrogen released in a year',
        YEARLY_SHARE,
        'kg/kg',
        'first order, scaled to a year of the plot’s own climate, Stanford & Smith 1972',
      ),
      'yearlyShare',
      site.ownFigures,
    ),
  };
}

/** Warmth and moisture of a year added up, in days at 25 °C and field capacity. */
export const yearOf = (temperatureC: readonly number[], wetness: (day: number) => number, q10: number): number =>
  temperatureC.reduce((total, t, day) => total + temperatureResponse(t, q10) * moistureResponse(wetness(day)), 0);

/** The rate at which a year of the plot's climate releases a share: share ÷ ∫f. @example yearlyRate(0.02, 120) // 0.000167 a day at 25 °C */
export const yearlyRate = (share: number, year: number): number => (year > 0 ? share / year : 0);

/** The soil's start in plain numbers. */
export const soilStart = (mineralKgPerHa: number, organicKgPerHa: number, share: number, year: number): SoilStart => ({
  mineralKgPerHa,
  organicKgPerHa,
  perDay: yearlyRate(share, year),
});

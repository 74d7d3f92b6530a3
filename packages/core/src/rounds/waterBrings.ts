import { constant, literal, product as times, type Figure } from '../figure/index.js';
import { analyteName, type Nutrient } from '../nutrient/index.js';

/** What an analysis of the water a plot is given says, mg of element in a litre. */
export type WaterHolds = Readonly<Partial<Record<Nutrient, number>>>;
/** What water brings in a year, kg/ha, by element; what its analysis does not name is not known. */
export type WaterBrings = Readonly<Partial<Record<Nutrient, Figure>>>;

/**
 * What irrigation brings in a usual year: mm × mg/L, a mm on a hectare being 10 000 L.
 * @returns nothing where no water is given or nothing was found in it
 * @example waterBrings({ N: 8 }, { irrigationMm: twelve months of 10 mm, … }).N?.value.mid // 120 mm × 8 mg/L = 9.6 kg/ha
 */
export function waterBrings(
  holds: WaterHolds,
  climate: { readonly irrigationMm: readonly number[] } | undefined,
): WaterBrings {
  const mm = climate?.irrigationMm.reduce((a, b) => a + b, 0) ?? 0;
  if (mm <= 0) return {};
  const given = literal('irrigation in a usual year, a mm being a litre on a m²', mm, 'L/m²', 'chosen', 'plot record');
  const per = constant('kg/ha for a mg/m²', 0.01, 'kg/ha per mg/m²', 'by definition');
  return Object.fromEntries(
    Object.entries(holds).map(([nutrient, mg]) => [
      nutrient,
      times(`${analyteName(nutrient as Nutrient)} in the water`, 'kg/ha', [
        given,
        literal(`${analyteName(nutrient as Nutrient)} in a litre`, mg, 'mg/L', 'measured', 'water analysis'),
        per,
      ]),
    ]),
  );
}

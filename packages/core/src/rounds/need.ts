import { difference, literal, product as times, quotient, type Figure } from '../figure/index.js';
import { analyteName, type Nutrient } from '../nutrient/index.js';
import { rateBasis, rateFactor, rateRange, unitOf } from '../quantity/index.js';
import { supplyFraction, type Product } from '../shelf/index.js';

/** The most that a label asks for at once, kg/m²; undefined where it gives no rate by ground and weight. @example labelMost(bag) // 0.05 for 50 g/m² */
export function labelMost({ directions }: Pick<Product, 'directions'>): number | undefined {
  const rates = directions
    .filter((d) => rateBasis(d) === 'area' && unitOf(d.unit).dimension === 'mass')
    .map((d) => rateRange(d).high * rateFactor(d));
  return rates.length > 0 ? Math.max(...rates) : undefined;
}

/** How much of a bag brings what is needed, or why nobody can tell. */
export type NeedDose =
  | {
      readonly kind: 'dose';
      /** g/m² of product; the label's most where that stops it. */
      readonly perM2: Figure;
      /** What is then short of the need, g/m² of the element; undefined where nothing stops it. */
      readonly short: Figure | undefined;
      /** Whether it is counted by what arrives in the crop's window, or by all of it. */
      readonly by: 'arriving' | 'total';
    }
  | { readonly kind: 'unknown'; readonly why: string };

/**
 * Product for a need: nutrient needed ÷ fraction ÷ what of it arrives in the crop's window. Where none surely arrives, it is dosed by the total. It never
 * goes above the label's highest rate: it stops there and says what is short.
 * @param need g/m² of the element
 * @param arrives share that is set free in time, 0 to 1; all of it where missing
 * @example doseFromNeed(featherMeal, 'N', needOf6g, undefined) // 6 ÷ 0.13 = 46 g/m²
 */
export function doseFromNeed(product: Product, nutrient: Nutrient, need: Figure, arrives?: Figure): NeedDose {
  const name = analyteName(nutrient);
  const reading = supplyFraction(product, nutrient);
  if (reading.kind !== 'figure') return { kind: 'unknown', why: `${product.name} gives no figure for ${name}.` };
  const arriving = arrives !== undefined && arrives.value.low > 0;
  const fraction = arriving
    ? times(`${name} of it that arrives in time`, 'kg/kg', [reading.figure, arrives])
    : reading.figure;
  const wanted = quotient(`${product.name} for the need`, 'g/m²', need, fraction);
  if (!wanted) return { kind: 'unknown', why: `${product.name} may hold no ${name} at all.` };
  const by = arriving ? 'arriving' : 'total';
  const most = labelMost(product);
  if (most === undefined || wanted.value.mid <= most * 1000)
    return { kind: 'dose', perM2: wanted, short: undefined, by };
  const perM2 = literal('the label’s highest rate', most * 1000, 'g/m²', 'label', 'product record');
  const brings = times(`${name} that it brings`, 'g/m²', [perM2, fraction]);
  return { kind: 'dose', perM2, short: difference(`${name} that is short`, 'g/m²', need, brings), by };
}

import { computed, constant, literal, product as times, quotient, sum, type Figure } from '../figure/index.js';
import type { Nutrient } from '../nutrient/index.js';
import { massFraction } from './massFraction.js';
import type { Product } from './product.js';

/** What is fed, which is another thing than what is in the bag. */
export type Diluted =
  | { readonly kind: 'figure'; readonly figure: Figure }
  | { readonly kind: 'unknown'; readonly why: string };

const unknown = (why: string): Diluted => ({ kind: 'unknown', why });

/**
 * An element in the diluted feed, mg per litre: mass fraction × mass of product in a litre of water ÷ volume of the feed. A liquid adds its own volume to the water.
 * @returns why there is no number when directions, density or figure are missing
 * @example dilutedMgPerL({ ...bag, dilution: { amount: 5, unit: 'mL/L' } }, 'N') // 5 % N at 1.2 kg/L, 5 mL/L: 6 g × 0.05 ÷ 1.005 L = 299 mg/L
 */
export function dilutedMgPerL(product: Product, nutrient: Nutrient): Diluted {
  const { dilution, densityKgPerL } = product;
  if (!dilution) return unknown('no dilution is given');
  if (dilution.unit === 'mL/L' && densityKgPerL === undefined) return unknown('its density is not entered');
  const reading = massFraction(product, nutrient);
  if (reading.kind !== 'figure') return unknown(reading.kind === 'below' ? 'below detection' : 'not declared');
  const amount = literal('dilution', dilution.amount, dilution.unit, 'label', 'product record');
  const mass = dilution.unit === 'g/L' ? amount : times('product in a litre of water', 'g/L', [amount, literal('density', densityKgPerL ?? 1, 'kg/L', 'label', 'product record')]);
  const water = constant('water', 1, 'L', 'one litre');
  const volume = dilution.unit === 'g/L' ? water : sum('volume of the feed', 'L', [water, computed('the product’s own volume', dilution.amount / 1000, 'L', 'volume', 'mL ÷ 1000', [amount])]);
  const held = times(`${nutrient} in it`, 'mg', [mass, reading.figure, constant('mg per g', 1000, 'mg/g', 'by definition')]);
  const figure = quotient(`${nutrient} in the diluted feed`, 'mg/L', held, volume);
  return figure ? { kind: 'figure', figure } : unknown('a litre is never nothing');
}

import { computed, constant, literal, product as times, quotient, sum, type Figure } from '../figure/index.js';
import type { Nutrient } from '../nutrient/index.js';
import { measure, per, rateFactor, rateMeasure, rateRange, rateUnit, scaleRange, unitOf } from '../quantity/index.js';
import { densityFigure } from './density.js';
import { massFraction } from './massFraction.js';
import type { Direction, Product } from './product.js';

/** What is fed, which is another thing than what is in the bag. */
export type Diluted =
  { readonly kind: 'figure'; readonly figure: Figure } | { readonly kind: 'unknown'; readonly why: string };

const unknown = (why: string): Diluted => ({ kind: 'unknown', why });

/**
 * An element in the diluted feed, mg per litre: mass fraction × mass of product in a litre of water ÷ volume of the feed. A liquid adds its own volume to the water.
 * @param direction one of the product's directions that is told by water
 * @returns why there is no number when density or figure are missing
 * @example dilutedMgPerL(bag, { amount: 5, unit: 'mL', per: { amount: 1, unit: 'L of water' }, use: '', perYear: undefined }, 'N') // 5 % N at 1.2 kg/L: 6 g × 0.05 ÷ 1.005 L = 299 mg/L
 */
export function dilutedMgPerL(product: Product, direction: Direction, nutrient: Nutrient): Diluted {
  const density = densityFigure(product);
  const byVolume = unitOf(direction.unit).dimension === 'volume';
  if (byVolume && !density) return unknown('its density is not entered');
  const reading = massFraction(product, nutrient);
  if (reading.kind !== 'figure') return unknown(reading.kind === 'below' ? 'below detection' : 'not declared');
  const rate = literal('dilution', rateRange(direction), rateMeasure(direction), 'label', 'product record');
  const [own, weighed] = byVolume ? ['mL/L', 'mL'] : ['g/L', 'g'];
  const amount =
    rateUnit(direction) === `${weighed}/L of water`
      ? rate
      : times('product in a litre of water', own, [
          rate,
          constant(
            `${own} per ${rateUnit(direction)}`,
            1000 * rateFactor(direction),
            per(measure(own), rateMeasure(direction)),
            'by definition',
          ),
        ]);
  const mass = byVolume && density ? times('its mass', 'g/L', [amount, density]) : amount;
  const water = constant('water', 1, 'L', 'one litre');
  const volume = byVolume
    ? sum('volume of the feed', 'L', [
        water,
        computed('the product’s own volume', scaleRange(amount.value, 0.001), 'L', 'volume', 'mL ÷ 1000', [amount]),
      ])
    : water;
  const held = times(`${nutrient} in it`, 'mg', [
    mass,
    water,
    reading.figure,
    constant('mg per g', 1000, 'mg/g', 'by definition'),
  ]);
  const figure = quotient(`${nutrient} in the diluted feed`, 'mg/L', held, volume);
  return figure ? { kind: 'figure', figure } : unknown('a litre is never nothing');
}

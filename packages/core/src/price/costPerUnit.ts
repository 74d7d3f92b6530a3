import { constant, literal, product as times, quotient, type Figure } from '../figure/index.js';
import { symbolIn, type Basis, type Nutrient } from '../nutrient/index.js';
import { moneyValue, unitOf } from '../quantity/index.js';
import { inBasis, massFraction, packageMass, type Offer, type Product } from '../shelf/index.js';

/** The question a price list answers: so much money per this mass unit of this nutrient in this basis. */
export interface CostQuestion {
  readonly nutrient: Nutrient;
  readonly basis: Basis;
  readonly perUnit: 'kg' | 'lb';
}

/** A cost, or the plain reason why there is none. A missing price is never free. */
export type Cost =
  | { readonly kind: 'cost'; readonly figure: Figure; readonly currency: string; readonly offer: Offer }
  | { readonly kind: 'noPrice' | 'notDeclared' | 'belowDetection' | 'needsDensity' | 'none' };

export const COST_REASONS: Readonly<Record<Exclude<Cost['kind'], 'cost'>, string>> = {
  noPrice: 'no price',
  notDeclared: 'not declared',
  belowDetection: 'below detection',
  needsDensity: 'sold by volume: needs a density',
  none: 'may hold none',
};

/**
 * Cost per unit of nutrient at one package = price ÷ (package mass × nutrient fraction). All of the price is laid on
 * this nutrient.
 * @example 24.00 EUR for 20 kg at 12 % N → 10.00 EUR/kg N
 */
export function costAtOffer(product: Product, offer: Offer, question: CostQuestion): Cost {
  const { nutrient, basis, perUnit } = question;
  const reading = massFraction(product, nutrient);
  if (reading.kind === 'notDeclared' || reading.kind === 'needsDensity') return { kind: reading.kind };
  if (reading.kind === 'below') return { kind: 'belowDetection' };
  if (reading.figure.value.mid <= 0) return { kind: 'none' };
  if (!offer.price) return { kind: 'noPrice' };
  const mass = packageMass(product, offer);
  if (mass.kind === 'needsDensity') return { kind: 'needsDensity' };

  const symbol = symbolIn(nutrient, basis);
  const { currency } = offer.price;
  const nutrientKg = times(`${symbol} in the package`, `kg ${symbol}`, [
    mass.figure,
    inBasis(reading.figure, nutrient, basis),
  ]);
  const nutrientMass =
    perUnit === 'kg'
      ? nutrientKg
      : times(`${symbol} in the package`, `lb ${symbol}`, [
          nutrientKg,
          constant('lb per kg', 1 / unitOf('lb').factor, 'lb/kg', 'by definition'),
        ]);
  const price = literal(
    'price of the package',
    moneyValue(offer.price),
    currency,
    'label',
    offer.seenOn ? `seen ${offer.seenOn}` : 'product record',
  );
  const figure = quotient(
    `Cost of ${symbol} in ${product.name}`,
    `${currency}/${perUnit} ${symbol}`,
    price,
    nutrientMass,
  );
  return figure ? { kind: 'cost', figure, currency, offer } : { kind: 'none' };
}

/** The cheapest of a product's packages for a nutrient, or why it has none. */
export function costPerUnit(product: Product, question: CostQuestion): Cost {
  let best: Cost = { kind: 'noPrice' };
  for (const offer of product.offers) {
    const cost = costAtOffer(product, offer, question);
    const better = cost.kind === 'cost' && (best.kind !== 'cost' || cost.figure.value.mid < best.figure.value.mid);
    if (better || best.kind !== 'cost') best = cost;
  }
  if (product.offers.length > 0) return best;
  const reading = massFraction(product, question.nutrient);
  return reading.kind === 'notDeclared' ? { kind: 'notDeclared' } : best;
}

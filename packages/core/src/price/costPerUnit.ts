import { constant, product as times, quotient, type Figure } from '../figure/index.js';
import { symbolIn, type Basis, type Nutrient } from '../nutrient/index.js';
import { inCurrency, measure, ofWhat, per } from '../quantity/index.js';
import {
  COUNTED_WORDS,
  inBasis,
  packageMass,
  supplyFraction,
  type Counted,
  type Offer,
  type Product,
} from '../shelf/index.js';
import { cheapestPackages, POUNDS_PER_KG, type CostReason } from './costRange.js';
import { priceFigure } from './pricePerKg.js';
import { currentOffers } from './currentOffers.js';

/** The question a price list answers: so much money per this mass unit of this nutrient in this basis. */
export interface CostQuestion {
  readonly nutrient: Nutrient;
  readonly basis: Basis;
  readonly perUnit: 'kg' | 'lb';
}

/** A cost, or the plain reason why there is none. A missing price is never free. */
export type Cost =
  | {
      readonly kind: 'cost';
      readonly figure: Figure;
      readonly currency: string;
      readonly offer: Offer;
      /** Whether it counts what is declared, what is available, or a total that is not all available. */
      readonly counted: Counted;
    }
  | { readonly kind: CostReason };

export const COST_REASONS: Readonly<Record<CostReason, string>> = {
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
  const reading = supplyFraction(product, nutrient);
  if (reading.kind === 'notDeclared' || reading.kind === 'needsDensity') return { kind: reading.kind };
  if (reading.kind === 'below') return { kind: 'belowDetection' };
  if (reading.figure.value.mid <= 0) return { kind: 'none' };
  if (!offer.price) return { kind: 'noPrice' };
  const mass = packageMass(product, offer);
  if (mass.kind === 'needsDensity') return { kind: 'needsDensity' };

  const symbol = symbolIn(nutrient, basis);
  const { currency } = offer.price;
  const nutrientKg = times(`${symbol} in the package`, ofWhat(measure('kg'), symbol), [
    mass.figure,
    inBasis(reading.figure, nutrient, basis),
  ]);
  const nutrientMass =
    perUnit === 'kg'
      ? nutrientKg
      : times(`${symbol} in the package`, ofWhat(measure('lb'), symbol), [
          nutrientKg,
          constant('lb per kg', POUNDS_PER_KG, 'lb/kg', 'by definition'),
        ]);
  const price = priceFigure(product, offer, offer.price);
  const told = COUNTED_WORDS[reading.counted];
  const figure = quotient(
    `Cost of ${symbol} in ${product.name}${told ? ` (${told})` : ''}`,
    per(inCurrency(currency), ofWhat(measure(perUnit), symbol)),
    price,
    nutrientMass,
  );
  return figure ? { kind: 'cost', figure, currency, offer, counted: reading.counted } : { kind: 'none' };
}

/** What a nutrient costs in a product at its cheapest current package, once in each currency; or the one reason why it has no cost. */
export function costsPerUnit(product: Product, question: CostQuestion): readonly Cost[] {
  const cheapest = cheapestPackages(product, question, currentOffers(product));
  if (typeof cheapest === 'string') return [{ kind: cheapest }];
  return cheapest.map(({ offer }) => costAtOffer(product, offer, question));
}

/** The same in one currency: that named, or the first the product is priced in. */
export function costPerUnit(product: Product, question: CostQuestion, currency?: string): Cost {
  const costs = costsPerUnit(product, question);
  return (
    costs.find((c) => c.kind === 'cost' && (currency === undefined || c.currency === currency)) ??
    costs.find((c) => c.kind !== 'cost') ?? { kind: 'noPrice' }
  );
}

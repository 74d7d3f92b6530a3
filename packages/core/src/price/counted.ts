import { constant, identified, literal, product as times, sum, type Figure } from '../figure/index.js';
import { inCurrency, measure, NO_UNIT, per, printDay } from '../quantity/index.js';
import { packageMass, type Offer, type Product } from '../shelf/index.js';
import { priceFigure } from './pricePerKg.js';

/** What one unit of a currency is in another, as it was typed, with its day. */
export interface ExchangeRate {
  readonly from: string;
  readonly to: string;
  readonly rate: number;
  /** ISO date. */
  readonly on: string;
}
/** What an hour of work is worth. */
export interface HourlyRate {
  readonly amount: number;
  readonly currency: string;
}
/** What counts besides the price asked: work and haulage, and rates between currencies. */
export interface Counting {
  readonly hour?: HourlyRate | undefined;
  readonly rates: readonly ExchangeRate[];
}

const HUNDRED = constant('of 100 kg', 0.01, per(NO_UNIT, measure('kg')), 'by definition');

/**
 * What it costs to fetch and spread a kg of a bag: haulage, and hours at a rate; undefined where neither is said, which is not the same as nothing.
 * @param currency the money it is asked in; hours at a rate in other money are not counted
 * @example handlingPerKg(compost, { amount: 15, currency: 'EUR' }, 'EUR')?.value.mid // 0.11
 */
export function handlingPerKg(
  { id, name, handling }: Product,
  hour: HourlyRate | undefined,
  currency: string,
): Figure | undefined {
  const unit = per(inCurrency(currency), measure('kg'));
  const parts: Figure[] = [];
  if (handling?.haulagePer100Kg !== undefined)
    parts.push(
      identified(
        times('haulage of a kg', unit, [
          literal('haulage of 100 kg', handling.haulagePer100Kg, inCurrency(currency), 'chosen', 'product record'),
          HUNDRED,
        ]),
        `${id} haulage`,
      ),
    );
  if (handling?.hoursPer100Kg !== undefined && hour?.currency === currency)
    parts.push(
      times('work with a kg', unit, [
        identified(
          literal('hours for 100 kg', handling.hoursPer100Kg, 'hours', 'chosen', 'product record'),
          `${id} hours`,
        ),
        identified(
          literal('an hour', hour.amount, per(inCurrency(currency), measure('hour')), 'chosen', 'as you set it'),
          `hour ${currency}`,
        ),
        HUNDRED,
      ]),
    );
  const [first] = parts;
  return parts.length > 1 ? sum(`handling of a kg of ${name}`, unit, parts) : first;
}

/** The same of so many kg. @example handlingCost(compost, 825, { amount: 15, currency: 'EUR' }, 'EUR')?.value.mid // 93 */
export function handlingCost(
  product: Product,
  kg: number,
  hour: HourlyRate | undefined,
  currency: string,
): Figure | undefined {
  const perKg = handlingPerKg(product, hour, currency);
  return (
    perKg &&
    times(`handling of ${product.name}`, inCurrency(currency), [
      perKg,
      literal('kg used', kg, 'kg', 'chosen', 'as planned'),
    ])
  );
}

const asMoney = (figure: Figure, currency: string): NonNullable<Offer['price']> => ({
  amount: String(Number(figure.value.mid.toPrecision(12))),
  currency,
});

/** An offer in another currency at a typed rate. */
function converted(product: Product, offer: Offer, rates: readonly ExchangeRate[]): Offer {
  const { price } = offer;
  const rate = price && rates.find((r) => r.from === price.currency && r.from !== r.to);
  if (!rate) return offer;
  const figure = times('price of the package, converted', inCurrency(rate.to), [
    priceFigure(product, offer, price),
    identified(
      literal(
        `${rate.from} in ${rate.to}`,
        rate.rate,
        per(inCurrency(rate.to), inCurrency(rate.from)),
        'chosen',
        `typed for ${printDay(rate.on)}`,
      ),
      `rate ${rate.from} ${rate.to}`,
    ),
  ]);
  return { ...offer, price: asMoney(figure, rate.to), madeOf: figure };
}

/** An offer with its handling on top. */
function handled(product: Product, offer: Offer, hour: HourlyRate | undefined): Offer {
  const { price } = offer;
  const mass = packageMass(product, offer);
  const handling = price && handlingPerKg(product, hour, price.currency);
  if (!handling || mass.kind === 'needsDensity') return offer;
  const unit = inCurrency(price.currency);
  const figure = sum('price of the package with handling', unit, [
    priceFigure(product, offer, price),
    times('handling of the package', unit, [mass.figure, handling]),
  ]);
  return { ...offer, price: asMoney(figure, price.currency), madeOf: figure };
}

/**
 * A product as its prices count: in other currencies at the rates that were typed, and with haulage and work where an hour has a rate. Each price keeps
 * how it came about.
 * @param hours whether handling is put on top of the prices
 * @example asCounted(compost, { hour: { amount: 15, currency: 'EUR' }, rates: [] }, true).offers[0].price // 0.12 EUR more for each kg
 */
export function asCounted(product: Product, { hour, rates }: Counting, hours: boolean): Product {
  const offers = product.offers.map((offer) => {
    const inOne = converted(product, offer, rates);
    return hours && hour ? handled(product, inOne, hour) : inOne;
  });
  return offers.some((offer, i) => offer !== product.offers[i]) ? { ...product, offers } : product;
}

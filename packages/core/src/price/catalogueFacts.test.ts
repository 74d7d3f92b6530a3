import type { Product } from '../shelf/index.js';
import { catalogueFacts } from './catalogueFacts.js';

const line = (analyte: string, basis: string, value: object, given: object = {}) => ({
  analyte,
  basis,
  value,
  unit: '%',
  provenance: 'label',
  source: 'label',
  ...given,
});
const product = (given: object): Product =>
  ({
    id: 'a',
    name: 'A bag',
    form: 'granule',
    analysis: [],
    derivedFrom: [],
    offers: [],
    ...given,
  }) as unknown as Product;
const number = (value: number) => ({ kind: 'number', value });
const offer = (size: number, amount: string, currency: string, seenOn?: string) => ({
  size,
  unit: 'kg',
  price: { amount, currency },
  seenOn,
});

test('24 EUR for 20 kg is 1.20 a kg; 8 % P2O5 stays 0.08, 10 % P as the element becomes 0.229 P2O5', () => {
  const facts = catalogueFacts(
    product({
      analysis: [line('N', 'element', number(12)), line('P', 'P2O5', number(8))],
      offers: [offer(20, '24', 'EUR', '2026-03-01')],
    }),
  );
  expect(facts.price).toEqual({ perKg: 1.2, currency: 'EUR', seenOn: '2026-03-01' });
  expect(facts.packages).toEqual([{ kg: 20, price: 24 }]);
  expect(facts.fractions.N).toEqual({ low: 0.12, high: 0.12 });
  expect(facts.fractions.P2O5!.high).toBeCloseTo(0.08, 12);
  const element = catalogueFacts(product({ analysis: [line('P', 'element', number(10))] }));
  expect(element.fractions.P2O5!.low).toBeCloseTo(0.22913, 4);
});

test('a range keeps both ends; what is not declared, below detection or nothing is missing, and so is a price', () => {
  const facts = catalogueFacts(
    product({
      analysis: [
        line('N', 'element', { kind: 'range', low: 4, mid: 5, high: 6 }),
        line('K', 'K2O', { kind: 'below', limit: 0.5 }),
        line('Mg', 'element', number(0)),
      ],
    }),
  );
  expect(facts).toEqual({ packages: [], fractions: { N: { low: 0.04, high: 0.06 } } });
});

test('the money that is asked for comes first, the cheapest package of it counts', () => {
  const bag = product({ offers: [offer(1, '3', 'GBP'), offer(20, '40', 'GBP'), offer(10, '15', 'EUR')] });
  expect(catalogueFacts(bag, 'EUR').price).toEqual({ perKg: 1.5, currency: 'EUR' });
  expect(catalogueFacts(bag).price).toEqual({ perKg: 2, currency: 'GBP' });
  expect(catalogueFacts(bag, 'USD').price?.currency).toBe('GBP');
});

test('the most chloride is known where it is declared', () => {
  expect(catalogueFacts(product({ analysis: [line('Cl', 'element', number(47))] })).chlorideHigh).toBeCloseTo(0.47, 12);
  expect(catalogueFacts(product({}))).not.toHaveProperty('chlorideHigh');
});

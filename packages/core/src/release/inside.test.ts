import { bag, line, priced, wheatStrip } from '../../test/bags.js';
import { mixAsProduct, mixture } from '../mix/index.js';
import { saltIndexOf } from '../season/index.js';
import type { Product } from '../shelf/index.js';
import { numbersFrom } from './parameters.js';
import { productRelease } from './productRelease.js';

const IN = { daysOnSurface: 0 };
const run = (product: Product) => {
  const found = productRelease(product, wheatStrip, IN);
  if (found.kind === 'unknown') throw new Error(found.why);
  return found;
};
const blend = bag({
  id: 'blend',
  name: 'blend',
  analysis: [line('N', 6), line('N.waterInsoluble', 6)],
  derivedFrom: ['feather meal', 'straw'],
});
const inside = (low: number, high: number) => ({
  ...blend,
  inside: [
    { name: 'feather meal', low, high },
    { name: 'straw', low: 1 - high, high: 1 - low },
  ],
});

test('what a label leaves room for takes the place of the guess from the order of listing', () => {
  const guessed = run(blend);
  expect(guessed.assumptions.some((f) => /outweighs the others/.test(f.label))).toBe(true);
  const told = run(inside(0.2, 0.4));
  expect(told.assumptions.map((f) => f.label)).toEqual(expect.arrayContaining(['feather meal in the bag, by mass']));
  expect(told.assumptions.some((f) => /outweighs the others/.test(f.label))).toBe(false);
  expect(told.supposed.join()).toMatch(/leave room for/);
});

test('nitrogen is parted by mass × what each holds, and more straw ties more up', () => {
  const [meal] = numbersFrom(run(inside(0.3, 0.3)).setup.parameters).organic;
  const [feather, straw] = run(inside(0.3, 0.3)).setup.parameters.organic.map((o) => o.nitrogenPercent.value.mid);
  expect(meal!.share).toBeCloseTo((0.3 * feather!) / (0.3 * feather! + 0.7 * straw!), 12);
  const at12 = (share: number) => run(inside(share, share)).run.available[84]!;
  expect(at12(0.9)).toBeGreaterThan(at12(0.1));
});

test('a mix knows what its parts weigh; one part that does not say leaves the guess', () => {
  const meal = bag({ id: 'm', name: 'meal', analysis: [line('N', 13)], derivedFrom: ['feather meal'] });
  const straw = bag({ id: 's', name: 'straw', analysis: [line('N', 0.5)], derivedFrom: ['straw'] });
  const mixed = mixAsProduct(
    'r',
    'mix',
    mixture([
      { product: meal, kg: 1 },
      { product: straw, kg: 3 },
    ]),
  );
  expect(mixed.inside).toEqual([
    { name: 'feather meal', low: 0.25, high: 0.25 },
    { name: 'straw', low: 0.75, high: 0.75 },
  ]);
  const nested = mixture([
    { product: inside(0.2, 0.4), kg: 1 },
    { product: meal, kg: 1 },
  ]);
  const [feather] = mixAsProduct('r', 'mix', nested).inside!;
  expect([feather!.low, feather!.high]).toEqual([expect.closeTo(0.6, 12), expect.closeTo(0.7, 12)]);
  expect(
    mixAsProduct(
      'r',
      'mix',
      mixture([
        { product: blend, kg: 1 },
        { product: meal, kg: 1 },
      ]),
    ).inside,
  ).toBeUndefined();
});

test('salt of a mixture lies between what its shares leave room for', () => {
  const salty = bag({
    name: 'salty',
    analysis: [line('N', 20)],
    derivedFrom: ['urea', 'potassium sulfate'],
    offers: [priced(1, 'kg', '1')],
  });
  expect(saltIndexOf(salty)).toBeUndefined();
  const bounds = (low: number, high: number) => [
    { name: 'urea', low, high },
    { name: 'potassium sulfate', low: 1 - high, high: 1 - low },
  ];
  const index = saltIndexOf({ ...salty, inside: bounds(0.4, 0.6) })!;
  const [urea] = [saltIndexOf(bag({ derivedFrom: ['urea'] }))!.value.mid];
  const potash = saltIndexOf(bag({ derivedFrom: ['potassium sulfate'] }))!.value.mid;
  const at = (share: number) => share * urea + (1 - share) * potash;
  expect([index.value.low, index.value.high].sort((a, b) => a - b)).toEqual(
    [at(0.4), at(0.6)].sort((a, b) => a - b).map((v) => expect.closeTo(v, 9)),
  );
});

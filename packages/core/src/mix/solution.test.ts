import fc from 'fast-check';
import { bag, featherMeal, line, urea } from '../../test/bags.js';
import type { Product } from '../shelf/index.js';
import { apartIn } from './incompatible.js';
import { dissolving, feedStrength, stockTanks } from './solution.js';

const salt = (name: string, derivedFrom: string, ...analysis: Product['analysis']): Product =>
  bag({ id: name, name, derivedFrom: [derivedFrom], analysis });
const LIME_NITRATE = salt(
  'Lime nitrate',
  'calcium nitrate',
  line('N', 15.5),
  line('N.nitrate', 14.4),
  line('N.ammoniacal', 1.1),
  line('Ca', 19),
);
const EPSOM = salt('Epsom', 'magnesium sulfate', line('Mg', 9.8), line('S', 13));
const MKP = salt('Phosphate', 'monopotassium phosphate', line('P', 22.7), line('K', 28.2));
const SALTPETRE = salt('Saltpetre', 'potassium nitrate', line('N', 13.7), line('N.nitrate', 13.7), line('K', 38.4));

test('a gram of calcium nitrate in a litre: 190 mg Ca, 155 mg N, and 1.03 mS/cm by its cations', () => {
  const { contents, ec, ecWithout } = feedStrength([{ product: LIME_NITRATE, kg: 2 }], { gPerL: 1 });
  expect(contents.map((c) => [c.nutrient, c.mgPerL.mid])).toEqual([
    ['N', expect.closeTo(155, 6)],
    ['Ca', expect.closeTo(190, 6)],
  ]);
  // 190 ÷ 20.04 meq Ca and 11 ÷ 14.007 meq NH₄, by ten.
  expect(ec.mid).toBeCloseTo((190 / 20.039 + 11 / 14.007) / 10, 6);
  expect(ecWithout).toEqual([]);
});

test('a mix is fed by its shares, and what says nothing of its cations is named', () => {
  const plain = salt('Urea', 'urea', line('N', 46));
  const { contents, ec, ecWithout } = feedStrength(
    [
      { product: SALTPETRE, kg: 1 },
      { product: plain, kg: 3 },
    ],
    { gPerL: 2 },
  );
  expect(contents.find((c) => c.nutrient === 'K')).toEqual({
    nutrient: 'K',
    mgPerL: { low: expect.closeTo(192, 6), mid: expect.closeTo(192, 6), high: expect.closeTo(192, 6) },
    silent: ['Urea'],
  });
  expect(ec.mid).toBeCloseTo(192 / 39.098 / 10, 6);
  expect(ecWithout).toEqual(['Urea']);
});

test('calcium keeps away from sulfate and phosphate in a tank of its own, for an injector of 1 : 100', () => {
  const mix = [LIME_NITRATE, EPSOM, MKP, SALTPETRE].map((product) => ({ product, kg: 1 }));
  const { tanks, reasons } = stockTanks(mix, { gPerL: 2 }, 100, 20);
  expect(tanks.map((t) => [t.name, t.lines.map((l) => l.product.name)])).toEqual([
    ['A', ['Lime nitrate', 'Saltpetre']],
    ['B', ['Epsom', 'Phosphate']],
  ]);
  // 0.5 g of each in a litre of feed; one part of stock to 100 of water is 101 times as strong: 50.5 g in a litre, 1.01 kg in 20 L.
  expect(tanks.flatMap((t) => t.lines.map((l) => l.kg))).toEqual(
    [1.01, 1.01, 1.01, 1.01].map((kg) => expect.closeTo(kg, 9)),
  );
  expect(reasons.map((r) => r.between)).toEqual([
    ['Lime nitrate', 'Epsom'],
    ['Lime nitrate', 'Phosphate'],
  ]);
  expect(stockTanks(mix.slice(1), { gPerL: 1 }, 100, 10).tanks).toHaveLength(1);
});

test('on any list no two that must not meet share a tank, nothing is lost, and where none conflict there is one', () => {
  const pool = [
    ...[LIME_NITRATE, EPSOM, MKP, SALTPETRE],
    salt('Ammonium phosphate', 'monoammonium phosphate', line('P', 26)),
    salt('Lime', 'hydrated lime', line('Ca', 50)),
    salt('Ammonia', 'ammonium sulfate', line('N', 21)),
  ];
  fc.assert(
    fc.property(fc.subarray(pool, { minLength: 1 }), (products) => {
      const { tanks } = stockTanks(
        products.map((product) => ({ product, kg: 1 })),
        { gPerL: 1 },
        100,
        10,
      );
      expect(tanks.flatMap((t) => t.lines)).toHaveLength(products.length);
      for (const { lines } of tanks) expect(apartIn(lines.map((l) => l.product))).toEqual([]);
      expect(tanks.length === 1).toBe(apartIn(products).length === 0);
    }),
  );
});

test('meals and rocks do not dissolve, salts and liquids do', () => {
  const liquid = bag({ name: 'Fish feed', form: 'liquid', derivedFrom: ['fish hydrolysate'] });
  const rock = bag({ name: 'Rock phosphate', derivedFrom: ['rock phosphate'] });
  const found = dissolving([
    { product: urea, kg: 1 },
    { product: liquid, kg: 1 },
    { product: featherMeal, kg: 1 },
    { product: rock, kg: 1 },
  ]);
  expect([found.components.map((c) => c.product.name), found.share, found.not]).toEqual([
    [urea.name, 'Fish feed'],
    0.5,
    [featherMeal.name, 'Rock phosphate'],
  ]);
});

import { bag, featherMeal, line, urea } from '../../test/bags.js';
import { mixCharacter, type OfMix } from './character.js';
import { limingFigure } from './liming.js';
import { mixture } from './mixture.js';

const mid = (of: OfMix): number => {
  if (of.kind !== 'figure') throw new Error(of.of.join());
  return of.figure.value.mid;
};
const salty = bag({ id: 'salty', name: 'Salty', saltIndex: 100, limingPer100Kg: -20, analysis: [line('N', 10)] });
const mild = bag({ id: 'mild', name: 'Mild', saltIndex: 20, limingPer100Kg: 40, analysis: [line('K', 10)] });

test('salt and lime of a mix are the means of its parts by weight, filler counted as none', () => {
  const mix = mixture([
    { product: salty, kg: 1 },
    { product: mild, kg: 3 },
  ]);
  const { salt, liming } = mixCharacter(mix);
  // (100 + 3 × 20) ÷ 4 and (−20 + 3 × 40) ÷ 4.
  expect([mid(salt), mid(liming)]).toEqual([expect.closeTo(40, 9), expect.closeTo(25, 9)]);
  const filled = mixCharacter(mixture([{ product: salty, kg: 1 }], 3));
  expect(mid(filled.salt)).toBeCloseTo(25, 9);
});

test('a part of which nobody said it makes the whole not known, and is named', () => {
  const silent = bag({ name: 'Silent', analysis: [line('N', 5)] });
  const { salt } = mixCharacter(
    mixture([
      { product: salty, kg: 1 },
      { product: silent, kg: 1 },
    ]),
  );
  expect(salt).toEqual({ kind: 'unknown', of: ['Silent'] });
});

test('the forms of its nitrogen are told where every part with nitrogen tells them', () => {
  const nitrate = bag({ name: 'Nitrate', analysis: [line('N', 10), line('N.nitrate', 10)] });
  const ammonium = bag({ name: 'Ammonium', analysis: [line('N', 20), line('N.ammoniacal', 20)] });
  const both = mixture([
    { product: nitrate, kg: 1 },
    { product: ammonium, kg: 1 },
  ]);
  expect(mixCharacter(both).forms.map((f) => [f.form, f.figure.value.mid])).toEqual([
    ['nitrate', expect.closeTo(0.05, 9)],
    ['ammoniacal', expect.closeTo(0.1, 9)],
  ]);
  expect(mixCharacter(mixture([{ product: salty, kg: 1 }])).forms).toEqual([]);
});

test('the liming effect is what the bag says, else what is usual of the one thing it is made of', () => {
  expect(limingFigure(salty)?.value.mid).toBe(-20);
  expect(limingFigure(bag({ derivedFrom: ['gypsum'] }))?.value.mid).toBe(0);
  expect(limingFigure(bag({ derivedFrom: ['gypsum', 'ground limestone'] }))).toBeUndefined();
  expect(limingFigure(urea)?.how.kind === 'assumption' || limingFigure(featherMeal) === undefined).toBe(true);
});

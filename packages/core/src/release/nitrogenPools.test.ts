import { bag, featherMeal, line, straw, urea } from '../../test/bags.js';
import { nitrogenPools } from './nitrogenPools.js';

test('declared forms become pools', () => {
  const reading = nitrogenPools(
    bag({
      analysis: [line('N', 10), line('N.nitrate', 3), line('N.ammoniacal', 2), line('N.urea', 5)],
      derivedFrom: ['urea'],
    }),
  );
  expect(reading).toMatchObject({
    kind: 'pools',
    pools: {
      nitrate: expect.closeTo(0.3, 10),
      ammonium: expect.closeTo(0.2, 10),
      urea: expect.closeTo(0.5, 10),
      coated: 0,
      organic: 0,
    },
    supposed: [],
  });
});

test('the coated footnote is taken out of urea first', () => {
  const prills = bag({
    analysis: [line('N', 16), line('N.ammoniacal', 4), line('N.urea', 12), line('N.coated', 10)],
    derivedFrom: ['polymer-coated urea'],
    longevity: { days: 150, referenceC: 21 },
  });
  expect(nitrogenPools(prills)).toMatchObject({
    pools: {
      coated: expect.closeTo(10 / 16, 10),
      urea: expect.closeTo(2 / 16, 10),
      ammonium: expect.closeTo(4 / 16, 10),
    },
  });
});

test('water-insoluble nitrogen is organic, of its ingredient’s class', () =>
  expect(nitrogenPools(featherMeal)).toMatchObject({
    pools: { organic: expect.closeTo(1, 10) },
    classes: ['animalMeal'],
  }));

test('undeclared forms are supposed from the ingredients, and that is said', () => {
  const reading = nitrogenPools(straw);
  expect(reading).toMatchObject({ kind: 'pools', pools: { organic: 1 }, classes: ['straw'] });
  expect(reading.kind === 'pools' && reading.supposed.join()).toMatch(/not declared/);
});

test.each([
  ['no nitrogen', bag({ analysis: [line('K', 50)] }), /no nitrogen/],
  ['unknown forms', bag({ analysis: [line('N', 10)], derivedFrom: ['urea', 'potassium nitrate'] }), /forms/],
  [
    'organic nitrogen from nobody knows what',
    bag({ analysis: [line('N', 10), line('N.waterInsoluble', 10)], derivedFrom: ['mystery'] }),
    /from what/,
  ],
  [
    'a coating without longevity',
    bag({ analysis: [line('N', 16), line('N.urea', 16), line('N.coated', 16)], derivedFrom: ['urea'] }),
    /longevity/,
  ],
])('%s is unknown with the reason, not a guess', (_name, product, why) => {
  const reading = nitrogenPools(product);
  expect(reading.kind).toBe('unknown');
  expect(reading.kind === 'unknown' && reading.why).toMatch(why);
});

test('shares of all pools add to one', () => {
  for (const product of [urea, featherMeal, straw]) {
    const reading = nitrogenPools(product);
    expect(reading.kind === 'pools' && Object.values(reading.pools).reduce((a, b) => a + b, 0)).toBeCloseTo(1, 12);
  }
});

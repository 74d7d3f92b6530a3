import { bag, featherMeal, line, straw, urea } from '../../test/bags.js';
import { findMaterial, typicalNitrogen } from '../shelf/index.js';
import { nitrogenPools, type NitrogenPools } from './nitrogenPools.js';

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
    materials: [{ name: 'feather meal' }],
  }));

test('undeclared forms are supposed from the ingredients, and that is said', () => {
  const reading = nitrogenPools(straw);
  expect(reading).toMatchObject({ kind: 'pools', pools: { organic: 1 }, materials: [{ name: 'straw' }] });
  expect(reading.kind === 'pools' && reading.supposed.join()).toMatch(/not declared/);
});

test.each([
  ['no nitrogen', bag({ analysis: [line('K', 50)] }), /no nitrogen/],
  ['unknown forms', bag({ analysis: [line('N', 10)], derivedFrom: ['mystery'] }), /forms/],
  [
    'organic nitrogen from nobody knows what',
    bag({ analysis: [line('N', 10), line('N.waterInsoluble', 10)], derivedFrom: ['mystery'] }),
    /from what/,
  ],
])('%s is unknown with the reason, not a guess', (_name, product, why) => {
  const reading = nitrogenPools(product);
  expect(reading.kind).toBe('unknown');
  expect(reading.kind === 'unknown' && reading.why).toMatch(why);
});

test('meal and nitrate without forms: as a range, by mass in the order they are listed', () => {
  const reading = nitrogenPools(bag({ analysis: [line('N', 10)], derivedFrom: ['calcium nitrate', 'feather meal'] }));
  if (reading.kind !== 'pools') throw new Error(reading.why);
  const { notOrganic, organic } = reading.pools;
  // Nitrate of 15.5 % N and feather meal of 13 %: half and half, three quarters to one, 19 to one.
  const shareAt = (first: number): number => {
    const [salt, meal] = [typicalNitrogen(findMaterial('calcium nitrate')!).mid, 13];
    return (first * salt) / (first * salt + (1 - first) * meal);
  };
  expect(notOrganic).toEqual({
    low: expect.closeTo(shareAt(0.5), 9),
    mid: expect.closeTo(shareAt(0.75), 9),
    high: expect.closeTo(shareAt(0.95), 9),
  });
  expect(organic).toBeCloseTo(1 - notOrganic!.mid, 9);
  expect(reading.materials.map((m) => m.name)).toEqual(['feather meal']);
  expect(reading.supposed.join()).toMatch(/as a range/);
  // Of salts alone nothing is organic, whatever their shares.
  const salts = nitrogenPools(bag({ analysis: [line('N', 10)], derivedFrom: ['urea', 'potassium nitrate'] }));
  expect(salts).toMatchObject({ kind: 'pools', pools: { organic: 0, notOrganic: undefined } });
});

test('coated prills without longevity have a typical one, and that is said', () => {
  const prills = bag({ analysis: [line('N', 16), line('N.urea', 16), line('N.coated', 16)], derivedFrom: ['urea'] });
  const reading = nitrogenPools(prills);
  expect(reading).toMatchObject({ kind: 'pools', pools: { coated: 1 } });
  expect(reading.kind === 'pools' && reading.supposed.join()).toMatch(/longevity is not entered/);
});

const poolsOf = ({ nitrate, ammonium, urea, coated, organic }: NitrogenPools): number =>
  nitrate + ammonium + urea + coated + organic;

test('shares of all pools add to one', () => {
  for (const product of [urea, featherMeal, straw]) {
    const reading = nitrogenPools(product);
    expect(reading.kind === 'pools' && poolsOf(reading.pools)).toBeCloseTo(1, 12);
  }
});

test('a coated figure is a footnote or a part of its own, as the total says; without a total, as it can be', () => {
  const coated = (analysis: readonly ReturnType<typeof line>[]) => {
    const reading = nitrogenPools(
      bag({ analysis, derivedFrom: ['polymer-coated urea'], longevity: { days: 150, referenceC: 21 } }),
    );
    if (reading.kind !== 'pools') throw new Error(reading.why);
    return [reading.nitrogenFraction * 100, reading.pools.coated, reading.pools.urea].map((x) => Number(x.toFixed(6)));
  };
  // 4 % urea and 12 % coated urea in 16 %: a part. 16 % urea of which 12 % coated: a footnote. Each alike: 12/16 coated.
  expect(coated([line('N', 16), line('N.urea', 4), line('N.coated', 12)])).toEqual([16, 0.75, 0.25]);
  expect(coated([line('N', 16), line('N.urea', 16), line('N.coated', 12)])).toEqual([16, 0.75, 0.25]);
  expect(coated([line('N.urea', 4), line('N.coated', 12)])).toEqual([16, 0.75, 0.25]);
  expect(coated([line('N.urea', 16), line('N.coated', 12)])).toEqual([16, 0.75, 0.25]);
  expect(coated([line('N.coated', 40)])).toEqual([40, 1, 0]);
});

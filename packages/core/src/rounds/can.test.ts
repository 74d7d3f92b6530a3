import { bag, direction, line } from '../../test/bags.js';
import { unitProblems } from '../figure/index.js';
import { canOf, canRate, cansFor } from './can.js';

const feed = bag({
  id: 'feed',
  name: 'Tomato feed',
  form: 'liquid',
  densityKgPerL: 1.2,
  analysis: [line('N', 5), line('K', 5)],
});
const epsom = bag({
  id: 'epsom',
  name: 'Epsom salt',
  form: 'crystal',
  analysis: [line('Mg', 9.86), line('S', 13)],
  derivedFrom: ['magnesium sulfate'],
});
const calcium = bag({
  id: 'ca',
  name: 'Calcium feed',
  form: 'crystal',
  analysis: [line('N', 15.5), line('Ca', 19)],
  derivedFrom: ['calcium nitrate'],
});

test('50 mL of 5 % N at 1.2 kg/L in 10 L are 60 g: 300 mg N/L, and 300 mg K/L are 0.77 mS/cm', () => {
  const { strength, grams } = canOf(10, [{ product: feed, amount: 50, unit: 'mL' }]);
  expect(grams).toBeCloseTo(60, 9);
  expect(strength!.contents.find((c) => c.nutrient === 'N')!.mgPerL.mid).toBeCloseTo(300, 6);
  expect(strength!.ec.mid).toBeCloseTo(300 / 39.098 / 10, 6);
});

test('two in one can add up, and the same ppm in twice the water is twice the dose', () => {
  const both = canOf(10, [
    { product: feed, amount: 50, unit: 'mL' },
    { product: epsom, amount: 10, unit: 'g' },
  ]);
  expect(both.grams).toBeCloseTo(70, 9);
  expect(both.strength!.contents.find((c) => c.nutrient === 'Mg')!.mgPerL.mid).toBeCloseTo(98.6, 6);
  const twice = canOf(20, [
    { product: feed, amount: 100, unit: 'mL' },
    { product: epsom, amount: 20, unit: 'g' },
  ]);
  expect(twice.strength!.ec.mid).toBeCloseTo(both.strength!.ec.mid, 9);
  expect(twice.grams).toBeCloseTo(2 * both.grams, 9);
});

test('dry ones are dissolved before liquids are stirred in, between half a can of water and the rest', () => {
  const { steps } = canOf(10, [
    { product: feed, amount: 50, unit: 'mL' },
    { product: epsom, amount: 10, unit: 'g' },
  ]);
  expect(steps).toEqual([
    'Fill half of the can: 5 L of water.',
    'Stir in Epsom salt until it is dissolved.',
    'Shake Tomato feed and stir it in.',
    'Fill up to 10 L and stir again.',
  ]);
});

test('calcium and sulfate do not meet in a can', () => {
  const of = (...products: (typeof feed)[]) =>
    canOf(
      10,
      products.map((product) => ({ product, amount: 5, unit: 'g' })),
    );
  expect(of(calcium, epsom).apart).toEqual([
    expect.objectContaining({ between: ['Calcium feed', 'Epsom salt'], inSolution: true }),
  ]);
  expect(of(feed, epsom).apart).toEqual([]);
});

test('caked powder is not dosed from, and a liquid never cakes; without a density a volume has no weight', () => {
  const caked = new Set(['epsom', 'feed']);
  const { grams, refused, steps } = canOf(
    10,
    [
      { product: epsom, amount: 10, unit: 'g' },
      { product: feed, amount: 50, unit: 'mL' },
    ],
    caked,
  );
  expect(grams).toBeCloseTo(60, 9);
  expect(refused).toEqual([{ name: 'Epsom salt', why: expect.stringContaining('caked') }]);
  expect(steps.join()).not.toContain('Epsom');
  const unknown = canOf(10, [{ product: { ...feed, densityKgPerL: undefined }, amount: 50, unit: 'mL' }]);
  expect(unknown.strength).toBeUndefined();
  expect(unknown.refused[0]!.why).toContain('density');
  expect(() => canOf(0, [])).toThrow(/above zero/);
});

describe('how much of it', () => {
  const labelled = { ...feed, directions: [direction('3–5 mL/L of water')] };
  test('the label says it; on leaves it is the least of what it says', () => {
    expect(canRate(labelled, 100)).toMatchObject({ kind: 'label', perL: 5, unit: 'mL' });
    expect(canRate(labelled, 100, true)).toMatchObject({ kind: 'label', perL: 3, unit: 'mL' });
    const two = { ...labelled, directions: [direction('10 mL/L of water'), direction('20 mL/10 L of water')] };
    expect([canRate(two, 100), canRate(two, 100, true)]).toMatchObject([{ perL: 10 }, { perL: 2 }]);
  });

  test('without a rate there is no number but an offer: 100 mg N/L from 5 % is 2 g, 1.67 mL at 1.2 kg/L', () => {
    const offer = canRate(feed, 100);
    if (offer.kind !== 'offer') throw new Error('a label that is not there');
    expect(offer.why).toContain('no dilution');
    expect(offer.perL!.value.mid).toBeCloseTo(2 / 1.2, 9);
    expect(unitProblems(offer.perL!)).toEqual([]);
    expect(canRate(epsom, 100)).toMatchObject({ kind: 'offer', perL: undefined, unit: 'g' });
    const dry = canRate(calcium, 155);
    expect(dry.kind === 'offer' && dry.perL!.value.mid).toBeCloseTo(1, 9);
  });
});

test('25 L in cans of 10 are three, the last with 5; 20 L are two', () => {
  expect(cansFor(25, 10)).toEqual({ cans: 3, lastL: 5 });
  expect(cansFor(20, 10)).toEqual({ cans: 2, lastL: 10 });
  expect(() => cansFor(0, 10)).toThrow(RangeError);
});

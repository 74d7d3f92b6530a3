import fc from 'fast-check';
import { bag, featherMeal, line, seasonOf, urea } from '../../test/bags.js';
import { everyFigure, unitProblems, type Figure } from '../figure/index.js';
import { between, parseRate, type Range, type Rate } from '../quantity/index.js';
import type { Amount, Application, Where } from './application.js';
import { applied, type Applied } from './applied.js';
import { bagAs, PLAIN_WATER, type Given } from './given.js';
import type { Season } from './dates.js';

const plot = { areaM2: 900 };
const wheat = seasonOf('wheat', '2026-03-15');
const rate = (text: string): Rate => {
  const read = parseRate(text);
  if (!read.ok) throw new Error(read.reason);
  return read.rate;
};
const exactly = (x: number): Range => ({ low: x, mid: x, high: x });
const doing = (
  amount: Amount | string,
  {
    where = { kind: 'surface' },
    ...part
  }: { where?: Where; share?: number; plants?: number; rowM?: number; mediumL?: number } = {},
): Application => ({
  amount: typeof amount === 'string' ? { kind: 'rate', rate: rate(amount) } : amount,
  when: { kind: 'date', on: '2026-05-01' },
  where,
  part: { share: 1, ...part },
});
const known = (found: Applied): Extract<Applied, { kind: 'applied' }> => {
  if (found.kind === 'unknown') throw new Error(found.why);
  return found;
};
const inNumbers = (application: Application, given: Given = bagAs(featherMeal), season: Season = wheat, on = plot) =>
  known(applied(application, given, on, season));
const why = (application: Application, given: Given = bagAs(featherMeal), season: Season = wheat) => {
  const found = applied(application, given, plot, season);
  return found.kind === 'unknown' ? found.why : undefined;
};
const bringsOf = (found: Extract<Applied, { kind: 'applied' }>, analyte: string): Figure =>
  found.brings.find((b) => b.analyte === analyte)!.figure;

test('by ground: 50 g/m² is 0.05 kg/m², 500 kg/ha, 45 kg on 900 m², and 65 kg N/ha of a 13 % meal', () => {
  const found = inNumbers(doing('50 g/m²'));
  expect(found.perM2.value).toEqual(exactly(0.05));
  expect(found.perHa.value.mid).toBeCloseTo(500, 9);
  expect(found.whole.value.mid).toBeCloseTo(45, 9);
  expect(bringsOf(found, 'N').value.mid).toBeCloseTo(65, 9);
  expect(bringsOf(found, 'N.waterInsoluble').value.mid).toBeCloseTo(60, 9);
});

test('by ground in other people’s units: 3 lb/1000 ft² is 14.65 g/m²; a range stays one', () => {
  expect(inNumbers(doing('3 lb per 1,000 sq ft')).perM2.value.mid).toBeCloseTo(0.0146473, 6);
  expect(inNumbers(doing('30-50 g/m²')).perM2.value).toEqual({ low: 0.03, mid: 0.04, high: 0.05 });
});

test('by volume through the density, as a range where that is one; without a density nothing is said', () => {
  const dense = bag({ ...featherMeal, densityKgPerL: 0.6 });
  expect(inNumbers(doing('100 mL/m²'), bagAs(dense)).perM2.value.mid).toBeCloseTo(0.06, 12);
  const loose = bag({ ...featherMeal, densityKgPerL: between(0.5, 0.6, 0.8) });
  expect(inNumbers(doing('100 mL/m²'), bagAs(loose)).perM2.value.high).toBeCloseTo(0.08, 12);
  expect(why(doing('100 mL/m²'))).toBe(
    'Feather meal is given by volume, and the density of what is in it is not entered.',
  );
});

test('by plant: 20 g for each of 450 plants on 900 m² is 10 g/m²; uncounted, by the crop’s usual spacing, as a range', () => {
  const counted = inNumbers(doing('20 g/plant', { plants: 450 }));
  expect(counted.perM2.value.mid).toBeCloseTo(0.01, 12);
  expect(counted.perPlant?.value.mid).toBeCloseTo(20, 9);
  const dahlias = inNumbers(doing('20 g/plant'), bagAs(featherMeal), seasonOf('dahlia', '2026-05-10'));
  // 0.8 m × 0.5 m: 2.5 plants on a square metre.
  expect(dahlias.perM2.value.mid).toBeCloseTo(0.05, 12);
  expect(dahlias.perM2.value.low).toBeCloseTo(0.04, 12);
  expect(dahlias.perM2.value.high).toBeCloseTo(0.0625, 12);
  expect(why(doing('20 g/plant'), bagAs(featherMeal), seasonOf('hay', '2026-03-01'))).toBe(
    'How many plants there are is not said. The spacing is not known here for hay meadow.',
  );
});

test('by row: 40 g/m of 120 m on 900 m² is 5.33 g/m²; from rows that were measured; by usual spacing', () => {
  expect(inNumbers(doing('40 g/m of row', { rowM: 120 })).perM2.value.mid).toBeCloseTo(0.04 * (120 / 900), 12);
  const rows = { areaM2: 120, shape: { kind: 'rows', lengthM: 20, spacingM: 1, count: 6 } as const };
  expect(inNumbers(doing('40 g/m of row'), bagAs(featherMeal), wheat, rows).perM2.value.mid).toBeCloseTo(0.04, 12);
  expect(
    inNumbers(doing('40 g/m of row', { share: 0.5 }), bagAs(featherMeal), wheat, rows).perM2.value.mid,
  ).toBeCloseTo(0.04, 12);
  expect(
    inNumbers(doing('40 g/m of row'), bagAs(featherMeal), seasonOf('leek', '2026-04-01')).perM2.value.mid,
  ).toBeCloseTo(0.1, 12);
  expect(why(doing('40 g/m of row'), bagAs(featherMeal), seasonOf('hay', '2026-03-01'))).toContain(
    'length of the rows',
  );
});

test('by medium: 4 g/L of 300 L on 900 m², or of what the containers hold; else nothing is said', () => {
  expect(inNumbers(doing('4 g/L of medium', { mediumL: 300 })).whole.value.mid).toBeCloseTo(1.2, 9);
  const pots = { areaM2: 2, shape: { kind: 'containers', acrossM: 0.3, litres: 10, count: 28 } as const };
  expect(inNumbers(doing('4 g/L of medium'), bagAs(featherMeal), wheat, pots).whole.value.mid).toBeCloseTo(1.12, 9);
  expect(why(doing('4 g/L of medium'))).toBe('How many litres of medium there are is not said.');
});

test('in water: 2 g/L and 2 L for each of 450 plants is 1.8 kg; for each m² and in all; without the water nothing is said', () => {
  const feed = (litres: Range, per: 'plant' | 'm²' | 'part'): Amount => ({
    kind: 'rate',
    rate: rate('2 g/L'),
    water: { litres, per },
  });
  expect(inNumbers(doing(feed(exactly(2), 'plant'), { plants: 450 })).whole.value.mid).toBeCloseTo(1.8, 9);
  expect(inNumbers(doing(feed(exactly(5), 'm²'))).perM2.value.mid).toBeCloseTo(0.01, 12);
  expect(inNumbers(doing(feed(between(80, 100, 120), 'part'))).whole.value).toEqual({
    low: expect.closeTo(0.16, 9),
    mid: expect.closeTo(0.2, 9),
    high: expect.closeTo(0.24, 9),
  });
  expect(why(doing('2 g/L'))).toContain('say how many litres');
});

test('a liquid in water by its density: 5 mL/L at 1.2 kg/L and 10 L for all is 60 g', () => {
  const liquid = bag({ ...urea, form: 'liquid', densityKgPerL: 1.2 });
  const found = inNumbers(
    doing({ kind: 'rate', rate: rate('5 mL/L'), water: { litres: exactly(10), per: 'part' } }),
    bagAs(liquid),
  );
  expect(found.whole.value.mid).toBeCloseTo(0.06, 12);
});

test('by can and scoop: 3 of 250 g a m²; 2 of 100 mL a plant at 0.6 kg/L; 4 for all of it', () => {
  const dense = bagAs(bag({ ...featherMeal, densityKgPerL: 0.6 }));
  const measure = (count: number, amount: number, unit: string, per: 'plant' | 'm²' | 'part'): Amount => ({
    kind: 'measure',
    count: exactly(count),
    holds: { amount, unit },
    per,
  });
  expect(inNumbers(doing(measure(3, 250, 'g', 'm²'))).perM2.value.mid).toBeCloseTo(0.75, 12);
  expect(inNumbers(doing(measure(2, 100, 'mL', 'plant'), { plants: 10 }), dense).whole.value.mid).toBeCloseTo(1.2, 9);
  expect(inNumbers(doing(measure(4, 2.5, 'kg', 'part'))).whole.value.mid).toBeCloseTo(10, 9);
  expect(why(doing(measure(2, 100, 'mL', 'm²')))).toContain('density');
});

test('as a layer: 2–3 cm of compost at 0.5 kg/L is 10–15 kg/m²', () => {
  const compost = bagAs(bag({ id: 'c', name: 'Compost', analysis: [line('N', 1)], densityKgPerL: 0.5 }));
  const found = inNumbers(doing({ kind: 'layer', thicknessM: between(0.02, 0.025, 0.03) }), compost);
  expect(found.perM2.value).toEqual({
    low: expect.closeTo(10, 9),
    mid: expect.closeTo(12.5, 9),
    high: expect.closeTo(15, 9),
  });
});

test('in a ring: 100 g/m² between 0.2 and 0.6 m from the stem is 100.5 g for each plant', () => {
  const found = inNumbers(doing('100 g/m²', { where: { kind: 'ring', innerM: 0.2, outerM: 0.6 }, plants: 30 }));
  expect(found.perPlant?.value.mid).toBeCloseTo(100 * Math.PI * (0.36 - 0.04), 6);
  expect(found.whole.value.mid).toBeCloseTo(0.1 * Math.PI * 0.32 * 30, 9);
});

test('a whole amount goes over the part: 10 kg on half of half of 900 m² is 44 g/m²', () => {
  const half: Season = { ...wheat, share: 0.5 };
  const found = inNumbers(
    doing({ kind: 'whole', amount: exactly(10), unit: 'kg' }, { share: 0.5 }),
    bagAs(featherMeal),
    half,
  );
  expect(found.area.value.mid).toBeCloseTo(225, 9);
  expect(found.perM2.value.mid).toBeCloseTo(10 / 225, 12);
});

test('a recipe brings what its bags do by their shares; what one of them does not tell is said', () => {
  const both: Given = {
    name: 'Half and half',
    parts: [
      { product: featherMeal, share: 0.5 },
      { product: urea, share: 0.5 },
    ],
  };
  const found = inNumbers(doing('50 g/m²'), both);
  expect(bringsOf(found, 'N').value.mid).toBeCloseTo(500 * (0.5 * 0.13 + 0.5 * 0.46), 6);
  expect(found.brings.find((b) => b.analyte === 'N.urea')?.silent).toEqual(['Feather meal']);
});

test('what a crop can have of a rock is told apart from what it holds', () => {
  const rock = bag({
    id: 'r',
    name: 'Rock',
    analysis: [line('P', 28, 'P2O5', '%', 'typical')],
    derivedFrom: ['rock phosphate'],
  });
  const p = inNumbers(doing('100 g/m²'), bagAs(rock)).brings.find((b) => b.analyte === 'P')!;
  expect(p.counted).toBe('estimated');
  expect(p.supply!.value.mid).toBeLessThan(p.figure.value.mid / 2);
});

test('plain water brings nothing but water, and what no label tells is not in it', () => {
  expect(why(doing('50 g/m²'), PLAIN_WATER)).toBe('Plain water brings nothing but water.');
  expect(inNumbers(doing('50 g/m²')).brings.some((b) => b.analyte === 'K')).toBe(false);
});

test('law: every working’s units fit, ranges are in order, and what is brought is the amount × the share', () => {
  const amounts = fc.constantFrom<Amount | string>(
    '50 g/m²',
    '30-50 lb/acre',
    '20 g/plant',
    '1 oz/25 ft of row',
    '4 g/L of medium',
    { kind: 'rate', rate: rate('2 g/L'), water: { litres: between(1, 2, 3), per: 'plant' } },
    { kind: 'measure', count: between(1, 2, 3), holds: { amount: 2, unit: 'oz' }, per: 'm²' },
    { kind: 'whole', amount: between(1, 2, 3), unit: 'lb' },
  );
  const where = fc.constantFrom<Where>({ kind: 'surface' }, { kind: 'ring', innerM: 0.1, outerM: 0.5 });
  fc.assert(
    fc.property(amounts, where, fc.double({ min: 0.1, max: 1, noNaN: true }), (amount, at, share) => {
      const found = inNumbers(doing(amount, { where: at, share, plants: 40, rowM: 60, mediumL: 200 }));
      const figures = [
        found.perM2,
        found.perHa,
        found.whole,
        found.area,
        found.perPlant!,
        ...found.brings.map((b) => b.figure),
      ];
      for (const figure of figures) {
        expect(unitProblems(figure)).toEqual([]);
        for (const { value } of everyFigure(figure))
          expect(value.low <= value.mid + 1e-12 && value.mid <= value.high + 1e-12).toBe(true);
      }
      expect(bringsOf(found, 'N').value.mid).toBeCloseTo(found.perHa.value.mid * 0.13, 6);
      expect(found.perM2.value.mid * found.area.value.mid).toBeCloseTo(found.whole.value.mid, 9);
    }),
  );
});

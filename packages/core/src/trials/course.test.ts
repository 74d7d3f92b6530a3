import fc from 'fast-check';
import { areaOf, mmPerMinute, oddOnes, slopeOf, valueOf, type TrialOutcome, type TrialReading } from './course.js';
import { costPerGain, decide, scaled } from './decide.js';
import type { TrialUnit } from './layout.js';
import { leaders } from './leaders.js';
import { mergeGardens } from './neighbours.js';
import { fairP, lastUsefulLook, peek } from './peek.js';

const height: TrialOutcome = { key: 'h', name: 'height', kind: 'number', unit: 'cm', better: 'more' };
const picked: TrialOutcome = { key: 'p', name: 'fruit', kind: 'harvest', unit: 'kg', better: 'more' };
const read = (unit: number, on: string, value: number, measure = 'h'): TrialReading => ({ measure, unit, on, value });

test('a course is told by its last value, its slope or its mean; harvests add up; a day that is too late does not count', () => {
  const course = [read(1, '2026-05-11', 20), read(1, '2026-05-01', 10), read(1, '2026-05-21', 24)];
  expect(valueOf(height, course)).toBe(24);
  expect(slopeOf(course)).toBeCloseTo(0.7, 12);
  // (10 + 20) / 2 over ten days and (20 + 24) / 2 over ten more.
  expect(areaOf(course)).toBeCloseTo(18.5, 12);
  expect(valueOf(height, course, 'slope')).toBeCloseTo(0.7, 12);
  expect(valueOf(height, course, 'last', '2026-05-15')).toBe(20);
  expect(valueOf(picked, [read(1, '2026-07-01', 2, 'p'), read(1, '2026-07-08', 3, 'p')])).toBe(5);
  expect(valueOf(height, [])).toBeNaN();
  expect([slopeOf([course[0]!]), areaOf([course[0]!])]).toEqual([undefined, undefined]);
});

test('a tenfold slip is asked about, a step like the others’ is not, and of little nothing is said', () => {
  const all = [1, 2, 3, 4, 5].flatMap((u) => [read(u, '2026-05-01', 10 + u), read(u, '2026-05-11', 20 + u)]);
  const day = all.filter((r) => r.on === '2026-05-11');
  const slip = read(1, '2026-05-11', 210);
  const found = oddOnes([slip, ...day.slice(1)], all);
  expect(found.map((o) => o.reading)).toEqual([slip]);
  expect(found[0]!.why).toMatch(/11 before.*about 10/);
  expect(oddOnes(day, all)).toEqual([]);
  expect(oddOnes([slip], all)).toEqual([]);
  // Three others are enough, two are not.
  expect(oddOnes([slip, ...day.slice(1, 4)], all)).toHaveLength(1);
  expect(oddOnes([slip, ...day.slice(1, 3)], all)).toEqual([]);
});

test('how far is odd is four spreads of the other steps, their median deviation × 1.4826: 10 ± 11.9', () => {
  // Steps of the others 6, 8, 10, 12, 14: median 10, median deviation 2.
  const steps = [6, 8, 10, 12, 14];
  const all = [0, ...steps].flatMap((_, u) => [read(u + 1, '2026-05-01', 1)]);
  const withStep = (step: number) => [step, ...steps].map((s, u) => read(u + 1, '2026-05-11', 1 + s));
  expect(oddOnes(withStep(21.8), all)).toEqual([]);
  expect(oddOnes(withStep(22), all).map((o) => o.reading.unit)).toEqual([1]);
});

test('the early leader is not always the last; a lost unit is left out and moves no total by its block', () => {
  const unit = (number: number, arm: number, block: number): TrialUnit => ({
    ...{ number, arm, block, row: block, column: arm, code: '' },
  });
  const units = [unit(1, 0, 0), unit(2, 1, 0)];
  const two = { layout: 'blocks', arms: [{ name: 'a' }, { name: 'b' }], control: 0 } as const;
  const all = [read(1, '2026-07-01', 3), read(2, '2026-07-01', 1), read(1, '2026-08-01', 1), read(2, '2026-08-01', 6)];
  expect(leaders(two, all, units, 'more').map((l) => [l.arm, ...l.totals.map(Math.round)])).toEqual([
    [0, 3, 1],
    [1, 4, 7],
  ]);
  expect(leaders(two, all, units, 'less').map((l) => l.arm)).toEqual([1, 0]);
  // A rich second block of which arm 1 alone is left does not make arm 1 lead.
  const rich = [...all.slice(0, 2), read(4, '2026-07-01', 50)];
  expect(leaders(two, rich, [...units, unit(4, 1, 1)], 'more')[0]).toMatchObject({ arm: 0 });
});

test('a litre on 0.07 m² in five minutes is 2.86 mm a minute', () => {
  expect(mmPerMinute(1, 0.07, 5)).toBeCloseTo(2.857, 3);
  expect(() => mmPerMinute(1, 0, 5)).toThrow(RangeError);
});

test('looks share 5 %: all together, however many, they need no more', () => {
  expect(fairP(1)).toBeCloseTo(0.0304, 4);
  expect(fairP(4)).toBeCloseTo(0.0019, 4);
  const all = Array.from({ length: 5000 }, (_, i) => fairP(i + 1)).reduce((a, b) => a + b, 0);
  expect(all).toBeLessThanOrEqual(0.05);
  expect(all).toBeGreaterThan(0.0499);
  expect(peek(1, 0.03, 1 / 64)).toMatchObject({ fair: true, never: false });
  expect(peek(2, 0.03, 1 / 64)).toMatchObject({ fair: false, never: true });
  expect(() => fairP(0)).toThrow(/first or a later/);
  const last = lastUsefulLook(1 / 4096);
  expect([fairP(last) >= 1 / 4096, fairP(last + 1) >= 1 / 4096]).toEqual([true, false]);
});

describe('deciding', () => {
  const gain = { name: 'gain', better: 'more', weight: 2, values: [0, 10, 8] } as const;
  const cost = { name: 'cost', better: 'less', weight: 1, values: [0, 9, 3] } as const;

  test('each is scaled from worst to best and weighed: 1/3, 2/3 and 0.756', () => {
    const { scores, order, dominated, holds } = decide([gain, cost]);
    expect(scores.map((s) => Number(s.toFixed(3)))).toEqual([0.333, 0.667, 0.756]);
    expect(order).toEqual([2, 1, 0]);
    expect(dominated).toEqual([]);
    // The third is overtaken by the second where gain counts 10/13 of all, and by the first where it counts 5/17.
    const [ofGain, ofCost] = holds;
    expect(ofGain!.high).toBeCloseTo(10 / 13, 9);
    expect(ofGain!.low).toBeCloseTo(5 / 17, 9);
    expect(ofGain!.firsts.map((f) => f.arm)).toEqual([0, 2, 1]);
    expect([ofGain!.firsts[0]!.from, ofGain!.firsts[2]!.to]).toEqual([0, 1]);
    // With two criteria the share of one is what the other leaves.
    expect(ofCost!.firsts.map((f) => f.arm)).toEqual([1, 2, 0]);
    expect(ofCost!.high).toBeCloseTo(1 - 5 / 17, 9);
  });

  test('where one thing alone counts, its share cannot move', () => {
    const [only] = decide([gain]).holds;
    expect(only).toMatchObject({ share: 1, low: 0, high: 1, firsts: [{ arm: 1, from: 0, to: 1 }] });
  });

  test('an arm that another beats in all is marked; what is all the same decides nothing', () => {
    expect(decide([gain, { ...cost, values: [5, 9, 3] }]).dominated).toEqual([{ arm: 0, by: 2 }]);
    expect(scaled({ values: [4, 4], better: 'more' })).toEqual([1, 1]);
    expect(() => decide([{ ...gain, weight: 0 }])).toThrow(RangeError);
    expect(costPerGain(6, 1.5)).toBe(4);
    expect(costPerGain(6, 0)).toBeUndefined();
  });

  test('the order does not change with the scale of the weights', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 100 }), { minLength: 4, maxLength: 4 }),
        fc.integer({ min: 1, max: 9 }),
        (values, by) => {
          const criteria = [
            { ...gain, values },
            { ...cost, values: [...values].reverse() },
          ];
          expect(decide(criteria.map((c) => ({ ...c, weight: c.weight * by }))).order).toEqual(decide(criteria).order);
        },
      ),
    );
  });
});

test('two blocks of a garden are one garden: 2.5, 1 and 4 are 2.5 on average, between −1.23 and 6.23', () => {
  const merged = mergeGardens([
    { garden: 'A', differences: [2] },
    { garden: 'B', differences: [1] },
    { garden: 'A', differences: [3] },
    { garden: 'C', differences: [4] },
  ])!;
  expect([merged.gardens, merged.mean]).toEqual([3, 2.5]);
  // SD 1.5, t of 2 degrees 4.303: 4.303 × 1.5 ÷ √3 = 3.73.
  expect(merged.interval!.low).toBeCloseTo(-1.226, 2);
  expect(merged.next!.high).toBeGreaterThan(merged.interval!.high);
  expect(mergeGardens([{ garden: 'A', differences: [2, 3] }])!.interval).toBeUndefined();
  expect(mergeGardens([])).toBeUndefined();
});

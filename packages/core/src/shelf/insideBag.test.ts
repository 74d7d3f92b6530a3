import fc from 'fast-check';
import loadHighs from 'highs';
import { bag, line } from '../../test/bags.js';
import type { LpSolver } from '../solve/index.js';
import { insideBag, leavesRoom, withInside } from './insideBag.js';
import { libraryEntry } from './library/index.js';

let solver: LpSolver;
beforeAll(async () => {
  solver = await loadHighs();
});
const shares = (given: Parameters<typeof bag>[0]) => {
  const found = insideBag(bag(given), solver);
  if (found.kind !== 'shares') throw new Error(JSON.stringify(found));
  return Object.fromEntries(found.shares.map((s) => [s.material.name, s]));
};

test('urea and sulfate of potash at 23 % N and 22 % K: half of each, as the analysis alone says', () => {
  const { urea, 'potassium sulfate': potash } = shares({
    analysis: [line('N', 23), line('N.urea', 23), line('K', 21.6)],
    derivedFrom: ['urea', 'potassium sulfate'],
  });
  expect(urea!.low).toBeGreaterThan(0.44);
  expect(urea!.high).toBeLessThan(0.6);
  expect(potash!.low + urea!.high).toBeCloseTo(1, 6);
});

test('what is listed first is at least as much as what comes next', () => {
  const found = shares({ analysis: [line('N', 8)], derivedFrom: ['feather meal', 'soybean meal', 'alfalfa meal'] });
  const [first, second, third] = Object.values(found);
  expect(first!.high).toBeGreaterThanOrEqual(second!.high - 1e-9);
  expect(second!.high).toBeGreaterThanOrEqual(third!.high - 1e-9);
  expect(third!.high).toBeLessThanOrEqual(1 / 3 + 1e-9);
  expect(first!.low).toBeGreaterThanOrEqual(1 / 3 - 1e-9);
});

test('a label that no mix of its ingredients can be: 30 % N from feather meal and alfalfa meal', () => {
  const found = insideBag(bag({ analysis: [line('N', 30)], derivedFrom: ['feather meal', 'alfalfa meal'] }), solver);
  expect(found.kind).toBe('impossible');
  if (found.kind === 'impossible') expect(found.conflict.join()).toMatch(/nitrogen, declared 30 %/);
});
test('nitrate that nothing listed brings is impossible too', () => {
  const found = insideBag(
    bag({
      analysis: [line('N', 20), line('N.nitrate', 10)],
      derivedFrom: ['potassium sulfate', 'urea'],
    }),
    solver,
  );
  expect(found).toMatchObject({ kind: 'impossible', conflict: [expect.stringMatching(/nitrate N, declared 10 %/)] });
});
test('with an ingredient nobody knows the most is told, and nothing is impossible for want of it', () => {
  const found = insideBag(
    bag({ analysis: [line('N', 30)], derivedFrom: ['feather meal', 'alfalfa meal', 'moon dust'] }),
    solver,
  );
  expect(found).toMatchObject({ kind: 'shares', complete: false, givenUp: [] });
});
test('one ingredient leaves nothing to work out', () =>
  expect(insideBag(bag({ analysis: [line('N', 46)], derivedFrom: ['urea'] }), solver).kind).toBe('unknown'));

test('a bag that is mixed from its ingredients is never impossible, and its true shares lie within what is told', () =>
  fc.assert(
    fc.property(
      fc.double({ min: 0.5, max: 0.95, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (first, at) => {
        const names = ['feather meal', 'alfalfa meal'];
        const of = (name: string): number => {
          const { low, high } = libraryEntry(name)!.analysis.find((f) => f.analyte === 'N')!.percent;
          return low + (high - low) * at;
        };
        const n = first * of(names[0]!) + (1 - first) * of(names[1]!);
        const found = insideBag(bag({ analysis: [line('N', Number(n.toFixed(2)))], derivedFrom: names }), solver);
        if (found.kind !== 'shares') throw new Error(JSON.stringify(found));
        const [feather] = found.shares;
        expect(feather!.low).toBeLessThanOrEqual(first + 1e-6);
        expect(feather!.high).toBeGreaterThanOrEqual(first - 1e-6);
      },
    ),
    { numRuns: 40 },
  ));

test('an order that cannot be is given up and told; so is a list that leaves something out, but of a liquid, whose water is seldom listed', () => {
  const of = (derivedFrom: readonly string[], form: 'granule' | 'liquid', n: number) =>
    insideBag(bag({ form, analysis: [line('N', n), line('N.urea', n)], derivedFrom: [...derivedFrom] }), solver);
  // 40 % N is far more urea than sulfate of potash.
  expect(of(['potassium sulfate', 'urea'], 'granule', 40)).toMatchObject({
    kind: 'shares',
    givenUp: ['the most is listed first'],
  });
  expect(of(['urea', 'polymer-coated urea'], 'granule', 20)).toMatchObject({
    kind: 'shares',
    givenUp: ['the most is listed first', 'all ingredients together are the bag'],
  });
  expect(of(['urea', 'potassium sulfate'], 'liquid', 3)).toMatchObject({ kind: 'shares', givenUp: [] });
});

test('a bag takes its bounds along; one that lists a single ingredient, or cannot be, stays as it is', () => {
  const several = bag({ analysis: [line('N', 8)], derivedFrom: ['feather meal', 'alfalfa meal'] });
  const told = withInside(several, solver);
  expect(told.inside?.map((b) => b.name)).toEqual(['feather meal', 'alfalfa meal']);
  expect([leavesRoom(several), leavesRoom(told)]).toEqual([true, false]);
  expect(withInside(told, solver)).toBe(told);
  const single = bag({ analysis: [line('N', 13)], derivedFrom: ['feather meal'] });
  expect(withInside(single, solver)).toBe(single);
  const cannot = bag({ analysis: [line('N', 30)], derivedFrom: ['feather meal', 'alfalfa meal'] });
  expect(withInside(cannot, solver)).toBe(cannot);
});

import fc from 'fast-check';
import { permute, ranked, rankedUnits, type Placed } from './permute.js';

const blocks = (...rows: readonly (readonly number[])[]): readonly Placed[] =>
  rows.flatMap((row, block) => row.map((value, arm) => ({ arm, block, values: [value] })));
const pOf = (units: readonly Placed[], layout: 'blocks' | 'random' = 'blocks', control = 0): readonly number[] =>
  permute(units, { layout, control })!.outcomes[0]!.map((a) => a.p);

test('two arms in six blocks, one always ahead: p is 2 of 64', () => {
  const units = blocks([1, 2], [3, 5], [2, 4.5], [4, 5], [1, 3], [2, 2.5]);
  const found = permute(units, { layout: 'blocks', control: 0 })!;
  expect([found.arrangements, found.exact]).toEqual([64, true]);
  expect(found.outcomes[0]![0]).toMatchObject({ arm: 1, p: 1 / 32 });
  expect(found.outcomes[0]![0]!.difference).toBeCloseTo(1.5, 12);
  // t of the six differences 1, 2, 2.5, 1, 2, 0.5: 1.5 over 0.7416 / √6.
  expect(found.outcomes[0]![0]!.t).toBeCloseTo(1.5 / (Math.sqrt(0.6) / Math.sqrt(6)), 6);
});

/** Every arrangement written out, with a t made from scratch: what the test should come to. */
function byHand(rows: readonly (readonly number[])[]): number {
  const arms = rows[0]!.length;
  const orders = (list: readonly number[]): number[][] =>
    list.length < 2
      ? [[...list]]
      : list.flatMap((x, i) => orders([...list.slice(0, i), ...list.slice(i + 1)]).map((o) => [x, ...o]));
  const mean = (v: readonly number[]): number => v.reduce((a, b) => a + b, 0) / v.length;
  const most = (table: readonly (readonly number[])[]): readonly number[] => {
    const grand = mean(table.flat());
    const armMeans = Array.from({ length: arms }, (_, a) => mean(table.map((r) => r[a]!)));
    const ss = table.reduce(
      (all, row) => all + row.reduce((s, v, a) => s + (v - mean(row) - armMeans[a]! + grand) ** 2, 0),
      0,
    );
    const ms = ss / ((arms - 1) * (table.length - 1));
    return armMeans.slice(1).map((m) => Math.abs(m - armMeans[0]!) / Math.sqrt((2 * ms) / table.length));
  };
  const observed = most(rows)[0]!;
  let [all, beyond] = [0, 0];
  const walk = (at: number, table: number[][]): void => {
    if (at === rows.length) {
      all += 1;
      if (Math.max(...most(table)) >= observed * (1 - 1e-9)) beyond += 1;
      return;
    }
    for (const order of orders(rows[at]!.map((_, i) => i))) walk(at + 1, [...table, order.map((i) => rows[at]![i]!)]);
  };
  walk(0, []);
  return beyond / all;
}
test.each([
  [
    [
      [5, 6.2, 5.5],
      [4, 5.1, 3.9],
      [6, 7.4, 6.3],
    ],
  ],
  [
    [
      [5, 9, 5.5],
      [4, 4.4, 8],
      [6, 7.4, 6.3],
      [5.2, 5.9, 5],
    ],
  ],
  [
    [
      [10, 12],
      [11, 12.5],
      [9, 8],
      [10, 13],
    ],
  ],
])('all arrangements gone through agree with arrangements written out: %j', (rows) => {
  expect(pOf(blocks(...rows))[0]).toBeCloseTo(byHand(rows), 12);
});

const table = fc.array(fc.array(fc.integer({ min: 0, max: 1000 }), { minLength: 3, maxLength: 3 }), {
  minLength: 3,
  maxLength: 3,
});
test('adding a constant to all, or to a block, changes no p; other names for the arms carry their p along', () => {
  fc.assert(
    fc.property(table, fc.integer({ min: -500, max: 500 }), (rows, shift) => {
      const found = permute(blocks(...rows), { layout: 'blocks', control: 0 });
      fc.pre(found !== undefined);
      const p = pOf(blocks(...rows));
      expect(pOf(blocks(...rows.map((r) => r.map((v) => v + shift))))).toEqual(p);
      expect(pOf(blocks(...rows.map((r, b) => (b === 1 ? r.map((v) => v + shift) : r))))).toEqual(p);
      // Arms 1 and 2 change names.
      expect([...pOf(blocks(...rows.map(([a, b, c]) => [a!, c!, b!])))].reverse()).toEqual(p);
    }),
    { numRuns: 60 },
  );
});

test('p is a share of the arrangements; an arm far out in all three blocks reaches 1 of 9, as the layout can', () => {
  expect(pOf(blocks([1, 100, 2], [2, 101, 1.5], [1.2, 99, 1.8]))[0]).toBeLessThanOrEqual(1 / 9 + 1e-12);
  fc.assert(
    fc.property(table, (rows) => {
      const found = permute(blocks(...rows), { layout: 'blocks', control: 0 })!;
      for (const { p } of found.outcomes[0]!) {
        expect(p * found.arrangements).toBeCloseTo(Math.round(p * found.arrangements), 6);
        expect(p).toBeGreaterThanOrEqual(1 / found.arrangements);
      }
    }),
    { numRuns: 60 },
  );
});

test('too many arrangements are drawn, the same for a seed, near to the exact share, and can be stopped', () => {
  const rows = Array.from({ length: 9 }, (_, b) => [b + (b % 3), b + 1 + ((b * 7) % 4)]);
  const many = Array.from({ length: 12 }, (_, b) => [(b * 13) % 7, 2 + ((b * 5) % 6), (b * 11) % 5]);
  const drawn = permute(blocks(...many), { layout: 'blocks', control: 0, seed: 4, draws: 2000 })!;
  expect([drawn.exact, drawn.arrangements]).toEqual([false, 2000]);
  expect(permute(blocks(...many), { layout: 'blocks', control: 0, seed: 4, draws: 2000 })).toEqual(drawn);
  expect(permute(blocks(...rows), { layout: 'blocks', control: 0 })!.exact).toBe(true);
  expect(permute(blocks(...many), { layout: 'blocks', control: 0, onProgress: () => false })).toBeUndefined();
});

test('an arm that is ahead is not missed because another is far ahead: each arrangement has its own error', () => {
  const rows = Array.from({ length: 7 }, (_, b) => [10 + (b % 2) * 0.1, 11 + (b % 3) * 0.1, 60 + b * 6]);
  const [near, far] = pOf(blocks(...rows));
  expect(far).toBeLessThan(0.05);
  expect(near).toBeLessThan(1);
});

test('a lost unit is left out, one unit of each arm is judged by nothing, and a Latin square is drawn as squares', () => {
  const units = blocks([1, 2], [3, 5], [2, 4.5], [4, 5], [1, 3], [2, 2.5]);
  const lost = units.map((u, i) => (i === 1 ? { ...u, values: [Number.NaN] } : u));
  expect(permute(lost, { layout: 'blocks', control: 0 })!.outcomes[0]![0]!.p).toBeGreaterThan(0);
  expect(permute(blocks([1, 2, 3]), { layout: 'blocks', control: 0 })).toBeUndefined();
  const square = [0, 1, 2, 3].flatMap((row) =>
    [0, 1, 2, 3].map((column) => {
      const arm = (row + column) % 4;
      return { arm, row, column, values: [arm * 2 + row + column * 3 + ((row * 3 + column * 5) % 4) * 0.3] };
    }),
  );
  const found = permute(square, { layout: 'latin', control: 0, draws: 400 })!;
  expect(found.exact).toBe(false);
  expect(found.outcomes[0]!.find((a) => a.arm === 3)!.difference).toBeGreaterThan(4);
});

test('scores as ranks within their block; ties share their rank, a lost one has none', () => {
  expect(ranked([3, 1, 3])).toEqual([2.5, 1, 2.5]);
  expect(ranked([5, Number.NaN, 2])).toEqual([2, Number.NaN, 1]);
  const units = rankedUnits(blocks([1, 4, 2], [50, 30, 50]), 'blocks');
  expect(units.map((u) => u.values[0])).toEqual([1, 3, 2, 2.5, 1, 2.5]);
});

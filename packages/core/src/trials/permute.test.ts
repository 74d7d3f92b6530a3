import fc from 'fast-check';
import { leastP } from './arrangements.js';
import { permute, type Placed } from './permute.js';
import { ranked, rankedUnits } from './ranks.js';

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

test('p is a share of the arrangements, and no values whatever reach less than the least p of the layout', () => {
  fc.assert(
    fc.property(table, (rows) => {
      const found = permute(blocks(...rows), { layout: 'blocks', control: 0 })!;
      for (const { p } of found.outcomes[0]!) {
        expect(p * found.arrangements).toBeCloseTo(Math.round(p * found.arrangements), 6);
        expect(p).toBeGreaterThanOrEqual(leastP('blocks', 3, 3) - 1e-12);
      }
    }),
    { numRuns: 60 },
  );
});

test('five and five have 252 arrangements, not 10!: two of them and their mirror images are as far apart', () => {
  const values = [1, 2, 3, 4, 6, 5, 7, 8, 9, 10];
  const units = values.map((v, i) => ({ arm: i < 5 ? 0 : 1, values: [v] }));
  const found = permute(units, { layout: 'random', control: 0 })!;
  expect([found.arrangements, found.exact]).toEqual([252, true]);
  expect(found.outcomes[0]![0]!.p).toBeCloseTo(4 / 252, 12);
  expect(found.least).toEqual([expect.closeTo(2 / 252, 12)]);
});

test('values without any error are told apart by their differences', () => {
  // The control lies lowest, arm 2 highest, no error at all: 4 of 216 and not all 6 that are without error.
  const even = blocks([0, 1, 2], [10, 11, 12], [20, 21, 22]);
  const found = permute(even, { layout: 'blocks', control: 0 })!;
  expect(found.outcomes[0]!.map((a) => a.p)).toEqual([expect.closeTo(6 / 216, 12), expect.closeTo(4 / 216, 12)]);
  expect(found.outcomes[0]![1]!.t).toBe(Infinity);
});

/** The test written out with lost units: adjusted differences by the normal equations, solved for two arms by blocks that have both. */
test('with a lost unit two arms are judged by the blocks that have both, and the block of the lost one tells nothing', () => {
  const rows: readonly (readonly number[])[] = [
    [1, 2],
    [3, 5],
    [2, 4.5],
    [4, 5],
    [1, 3],
    [2, 2.5],
  ];
  const lost = blocks(...rows).map((u) => (u.block === 2 && u.arm === 1 ? { ...u, values: [Number.NaN] } : u));
  const found = permute(lost, { layout: 'blocks', control: 0 })!;
  const differences = rows.filter((_, b) => b !== 2).map(([a, b]) => b! - a!);
  expect(found.outcomes[0]![0]!.difference).toBeCloseTo(differences.reduce((a, b) => a + b, 0) / 5, 12);
  // All five ahead: 2 of 32, the sixth block standing either way.
  expect(found.outcomes[0]![0]!.p).toBeCloseTo(2 / 32, 12);
  expect(found.least).toEqual([expect.closeTo(2 / 32, 12)]);
  expect(found.arrangements).toBe(64);
});

test('an arrangement that leaves an arm unread counts as standing out', () => {
  const units = [0, 0, 1, 1, 1].map((arm, i) => ({ arm, values: [[1, Number.NaN, 9, 10, Number.NaN][i]!] }));
  const found = permute(units, { layout: 'random', control: 0 })!;
  expect(found.arrangements).toBe(10);
  // Of the ten pairs of places for arm 0, counted from 1: {1, 2} and {1, 5} read as it was, {3, 4} is its mirror image, {2, 5} leaves it unread.
  expect(found.outcomes[0]![0]!.p).toBeCloseTo(4 / 10, 12);
  expect(found.least).toEqual([expect.closeTo(4 / 10, 12)]);
});

test('drawn p is never 0: the arrangement that was really there counts as one of them', () => {
  const far = blocks(...Array.from({ length: 20 }, (_, b) => [b, b + 50 + (b % 3)]));
  const found = permute(far, { layout: 'blocks', control: 0, draws: 99 })!;
  expect([found.exact, found.outcomes[0]![0]!.p]).toEqual([false, 1 / 100]);
});

test('a Latin square that is small is gone through whole, one with an arm unread only where that arm stays', () => {
  const square = [0, 1, 2, 3].flatMap((row) =>
    [0, 1, 2, 3].map((column) => {
      const arm = (row + column) % 4;
      return { arm, row, column, values: [arm * 2 + row + column * 3 + ((row * 3 + column * 5) % 4) * 0.1] };
    }),
  );
  const whole = permute(square, { layout: 'latin', control: 0 })!;
  expect([whole.exact, whole.arrangements]).toEqual([true, 432]);
  expect(whole.least).toEqual([expect.closeTo(12 / 432, 12)]);
  const unread = square.map((u) => (u.arm === 2 ? { ...u, values: [Number.NaN] } : u));
  const three = permute(unread, { layout: 'latin', control: 0 })!;
  expect(three.outcomes[0]!.map((a) => a.arm)).toEqual([1, 3]);
  // Of four arms one stays: 432 squares / 4! places of one arm.
  expect(three.arrangements).toBe(18);
  const six = Array.from({ length: 36 }, (_, i) => {
    const [row, column] = [Math.floor(i / 6), i % 6];
    return { arm: (row + column) % 6, row, column, values: [((row + column) % 6) + ((i * 7) % 5) * 0.1] };
  });
  const drawn = permute(six, { layout: 'latin', control: 0, draws: 300 })!;
  expect([drawn.exact, drawn.arrangements]).toEqual([false, 300]);
  expect(drawn.outcomes[0]!.find((a) => a.arm === 5)!.difference).toBeGreaterThan(4);
});

test('rows and columns of a square with a lost unit are taken out together: what is left of additive values is the arms', () => {
  const square = [0, 1, 2, 3].flatMap((row) =>
    [0, 1, 2, 3].map((column) => {
      const arm = (row + column) % 4;
      return { arm, row, column, values: [arm * 2 + row * 5 + column * 11 + ((row * 3 + column * 5) % 4) * 1e-3] };
    }),
  );
  const lost = square.map((u, i) => (i === 5 ? { ...u, values: [Number.NaN] } : u));
  const found = permute(lost, { layout: 'latin', control: 0 })!;
  expect(found.outcomes[0]!.map((a) => Math.round(a.difference * 100) / 100)).toEqual([2, 4, 6]);
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

test('one unit of each arm is judged by nothing', () => {
  expect(permute(blocks([1, 2, 3]), { layout: 'blocks', control: 0 })).toBeUndefined();
});

test('scores as ranks within their block; ties share their rank, a lost one has none', () => {
  expect(ranked([3, 1, 3])).toEqual([2.5, 1, 2.5]);
  expect(ranked([5, Number.NaN, 2])).toEqual([2, Number.NaN, 1]);
  const units = rankedUnits(blocks([1, 4, 2], [50, 30, 50]), 'blocks');
  expect(units.map((u) => u.values[0])).toEqual([1, 3, 2, 2.5, 1, 2.5]);
});

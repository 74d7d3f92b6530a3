import fc from 'fast-check';
import loadHighs from 'highs';
import { conflictSets, lpText, meets, solve, type LinearModel, type LpSolver, type Row } from './linearModel.js';

let highs: LpSolver;
beforeAll(async () => {
  highs = await loadHighs();
});

const model = (goal: 'least' | 'most', costs: readonly number[], rows: readonly Row[]): LinearModel => ({
  goal,
  columns: costs.map((cost, j) => ({ name: `c${j}`, cost })),
  rows,
});
const row = (name: string, coefficients: readonly number[], low?: number, high?: number): Row => ({
  name,
  coefficients,
  ...(low === undefined ? {} : { low }),
  ...(high === undefined ? {} : { high }),
});
const optimal = (m: LinearModel) => {
  const found = solve(m, highs);
  if (found.kind !== 'optimal') throw new Error(found.kind);
  return found;
};

test('by hand: least 2x + 3y with x + y ≥ 4 and x ≤ 3 is x 3, y 1, at 9; one more of the first row costs 3, of the second saves 1', () => {
  const found = optimal(model('least', [2, 3], [row('enough', [1, 1], 4), row('at hand', [1, 0], undefined, 3)]));
  expect(found.x).toEqual([expect.closeTo(3, 9), expect.closeTo(1, 9)]);
  expect(found.objective).toBeCloseTo(9, 9);
  expect(found.rows).toEqual([
    { name: 'enough', activity: expect.closeTo(4, 9), binds: 'low', dual: expect.closeTo(3, 9) },
    { name: 'at hand', activity: expect.closeTo(3, 9), binds: 'high', dual: expect.closeTo(-1, 9) },
  ]);
});

test('a row with both bounds says which of them it stands at, and one with room none', () => {
  const found = optimal(
    model('most', [1, 1], [row('a', [1, 0], 1, 5), row('b', [0, 1], 0, 2), row('c', [1, 1], 1, 20)]),
  );
  expect(found.rows.map((r) => [r.name, r.binds, r.dual])).toEqual([
    ['a', 'high', expect.closeTo(1, 9)],
    ['b', 'high', expect.closeTo(1, 9)],
    ['c', undefined, expect.closeTo(0, 9)],
  ]);
  expect(optimal(model('least', [1], [row('a', [1], 1, 5)])).rows[0]).toMatchObject({ binds: 'low' });
});

test('what is not used says how much cheaper it would have to be: 5 against 2 for the same', () => {
  const [used, not] = optimal(model('least', [2, 5], [row('enough', [1, 1], 4)])).columns;
  expect(used).toEqual({ name: 'c0', value: expect.closeTo(4, 9), reducedCost: expect.closeTo(0, 9) });
  expect(not).toEqual({ name: 'c1', value: 0, reducedCost: expect.closeTo(3, 9) });
});

test('whole numbers: packages of 3 kg for 10 kg are 4, and have no price of a row', () => {
  const packs: LinearModel = {
    goal: 'least',
    columns: [{ name: 'bags', cost: 7, integer: true }],
    rows: [row('kg', [3], 10)],
  };
  const found = optimal(packs);
  expect(found.x).toEqual([4]);
  expect(found.objective).toBe(28);
  expect(found.rows[0]?.dual).toBeUndefined();
  expect(found.columns[0]?.reducedCost).toBeUndefined();
});

test('bounds of unknowns hold: between 1 and 2, below zero where it may, a single one fixed', () => {
  const columns = [
    { name: 'a', cost: 1, low: 1, high: 2 },
    { name: 'b', cost: 1, low: -Infinity },
    { name: 'c', cost: -1, low: 3, high: 3 },
  ];
  expect(optimal({ goal: 'least', columns, rows: [row('b', [0, 1, 0], -4)] }).x).toEqual([1, -4, 3]);
});

test('what cannot be, what has no end, and what a solver says besides', () => {
  expect(solve(model('least', [1], [row('a', [1], 2, 1)]), highs)).toEqual({ kind: 'infeasible' });
  expect(solve(model('most', [1], [row('a', [1], 2)]), highs)).toEqual({ kind: 'unbounded' });
  const saying = (Status: string, Primal: number): LpSolver => ({
    solve: () => ({ Status, Columns: { x0: { Primal } }, Rows: [] }),
  });
  const one = model('least', [1], [row('a', [1], 2)]);
  expect(solve(one, saying('Time limit reached', 3), { seconds: 1 })).toMatchObject({
    kind: 'stopped',
    best: { x: [3], objective: 3 },
  });
  expect(solve(one, saying('Time limit reached', 1))).toEqual({ kind: 'stopped', best: undefined });
  expect(solve(one, saying('Out of memory', 0))).toEqual({ kind: 'failed', status: 'Out of memory' });
});

test('limits reach the solver; ten seconds and a millionth unless said', () => {
  const asked: unknown[] = [];
  const listening: LpSolver = {
    solve: (_text, options) => {
      asked.push(options);
      return { Status: 'Infeasible', Columns: {}, Rows: [] };
    },
  };
  const one = model('least', [1], []);
  solve(one, listening);
  solve(one, listening, { seconds: 2, gap: 0.01 });
  expect(asked).toEqual([
    { time_limit: 10, mip_rel_gap: 1e-6 },
    { time_limit: 2, mip_rel_gap: 0.01 },
  ]);
});

test('names are people’s, and stay out of the text a solver reads', () =>
  expect(lpText({ goal: 'least', columns: [{ name: '>= 1 End', cost: 1 }], rows: [row('a: x', [0], 0)] })).toBe(
    'Minimize\n cost: + 1 x0\nSubject To\n a0: 0 x0 >= 0\nBounds\n 0 <= x0\nEnd',
  ));

test('rows that cannot all hold: the ones that clash, and no others', () => {
  const clash = model(
    'least',
    [1, 1],
    [
      row('plenty', [1, 1], undefined, 100),
      row('nitrogen', [0.1, 0], 0.5),
      row('potash', [0, 0.2], 0.5),
      row('the bag is full', [1, 1], undefined, 1),
    ],
  );
  const [found = [], ...others] = conflictSets(clash, highs);
  expect(others).toEqual([['nitrogen', 'the bag is full']]);
  expect(found).toEqual(['potash', 'the bag is full']);
  for (const spared of found)
    expect(
      solve({ ...clash, rows: clash.rows.filter((r) => found.includes(r.name) && r.name !== spared) }, highs).kind,
    ).toBe('optimal');
  expect(conflictSets(model('least', [1], [row('a', [1], 1)]), highs)).toEqual([]);
});

test('two clashes that have nothing in common are both found, and not more than asked for', () => {
  const clash = model(
    'least',
    [1, 1],
    [
      row('much x', [1, 0], 5),
      row('little x', [1, 0], undefined, 3),
      row('much y', [0, 1], 5),
      row('little y', [0, 1], undefined, 3),
    ],
  );
  expect(conflictSets(clash, highs).map((set) => [...set].sort())).toEqual([
    ['little y', 'much y'],
    ['little x', 'much x'],
  ]);
  expect(conflictSets(clash, highs, 1)).toHaveLength(1);
});

/** The solution of as many equations as unknowns by elimination; undefined where they do not settle it. */
function crossing(equations: readonly (readonly number[])[]): number[] | undefined {
  const n = equations.length;
  const m = equations.map((e) => [...e]);
  for (let i = 0; i < n; i++) {
    const best = m.slice(i).reduce((b, r, k) => (Math.abs(r[i]!) > Math.abs(m[b]![i]!) ? k + i : b), i);
    [m[i], m[best]] = [m[best]!, m[i]!];
    if (Math.abs(m[i]![i]!) < 1e-9) return undefined;
    for (let k = 0; k < n; k++) {
      if (k === i) continue;
      const f = m[k]![i]! / m[i]![i]!;
      for (let j = i; j <= n; j++) m[k]![j]! -= f * m[i]![j]!;
    }
  }
  return m.map((r, i) => r[n]! / r[i]!);
}
const choose = <T>(list: readonly T[], k: number): T[][] =>
  k === 0 ? [[]] : list.flatMap((x, i) => choose(list.slice(i + 1), k - 1).map((rest) => [x, ...rest]));

/** The best corner of a model, found by trying every crossing of as many of its bounds as it has unknowns. */
function bestCorner(m: LinearModel): number | undefined {
  const n = m.columns.length;
  const sides = [
    ...m.rows.flatMap(({ coefficients, low, high }) =>
      [low, high].flatMap((b) => (b === undefined ? [] : [[...coefficients, b]])),
    ),
    ...m.columns.map((_, j) => [...Array.from({ length: n }, (_x, k) => (k === j ? 1 : 0)), 0]),
  ];
  const corners = choose(sides, n).flatMap((s) => crossing(s) ?? []);
  const points = Array.from({ length: corners.length / n }, (_, i) => corners.slice(i * n, i * n + n));
  const values = points
    .filter((x) => meets(m, x, 1e-7))
    .map((x) => m.columns.reduce((sum, c, j) => sum + c.cost * x[j]!, 0));
  return values.length === 0 ? undefined : Math.min(...values);
}

const tenths = (least: number, most: number) => fc.integer({ min: least * 10, max: most * 10 }).map((x) => x / 10);
const models = fc.record({
  costs: fc.array(tenths(0.1, 9), { minLength: 3, maxLength: 3 }),
  needs: fc.array(fc.tuple(fc.array(tenths(0, 2), { minLength: 3, maxLength: 3 }), tenths(0.1, 3)), {
    minLength: 1,
    maxLength: 3,
  }),
  most: tenths(1, 6),
});

test('the optimum is the best of all corners, and what cannot be has none', () => {
  fc.assert(
    fc.property(models, ({ costs, needs, most }) => {
      const m = model('least', costs, [
        ...needs.map(([c, low], i) => row(`need ${i}`, c, low)),
        row('full', [1, 1, 1], undefined, most),
      ]);
      const found = solve(m, highs);
      const corner = bestCorner(m);
      if (corner === undefined) expect(found.kind).toBe('infeasible');
      else {
        if (found.kind !== 'optimal') throw new Error(found.kind);
        expect(found.objective).toBeCloseTo(corner, 6);
        expect(meets(m, found.x)).toBe(true);
        // Strong duality: what the rows’ bounds are worth is the whole cost.
        const worth = found.rows.reduce(
          (sum, r, i) => sum + (r.dual ?? 0) * (r.binds === 'high' ? (m.rows[i]!.high ?? 0) : (m.rows[i]!.low ?? 0)),
          0,
        );
        expect(worth).toBeCloseTo(found.objective, 6);
      }
    }),
    { numRuns: 60 },
  );
});

test('what a bound is worth never overstates a change of it, and is exact for a small one', () => {
  let exact = 0;
  fc.assert(
    fc.property(models, fc.double({ min: -0.5, max: 0.5, noNaN: true }), ({ costs, needs, most }, by) => {
      const at = (more: number): LinearModel =>
        model('least', costs, [
          ...needs.map(([c, low], i) => row(`need ${i}`, c, i === 0 ? low + more : low)),
          row('full', [1, 1, 1], undefined, most),
        ]);
      const found = solve(at(0), highs);
      if (found.kind !== 'optimal') return;
      const worth = found.rows[0]?.dual ?? 0;
      // A least cost bends upwards: its slope here lies below it everywhere.
      const moved = solve(at(by), highs);
      if (moved.kind === 'optimal') expect(moved.objective).toBeGreaterThanOrEqual(found.objective + worth * by - 1e-7);
      const [up, down] = [solve(at(1e-4), highs), solve(at(-1e-4), highs)];
      if (up.kind !== 'optimal' || down.kind !== 'optimal') return;
      const [right, left] = [(up.objective - found.objective) / 1e-4, (found.objective - down.objective) / 1e-4];
      expect(worth).toBeGreaterThanOrEqual(left - 1e-3);
      expect(worth).toBeLessThanOrEqual(right + 1e-3);
      // Where it bends nowhere near, both sides are what it says.
      if (Math.abs(right - left) < 1e-3) exact++;
    }),
    { numRuns: 60 },
  );
  expect(exact).toBeGreaterThan(10);
});

test('whole numbers are the best of all that fit, by trying each', () => {
  fc.assert(
    fc.property(models, ({ costs, needs, most }) => {
      const rows = [...needs.map(([c, low], i) => row(`need ${i}`, c, low)), row('full', [1, 1, 1], undefined, most)];
      const m: LinearModel = {
        goal: 'least',
        columns: costs.map((cost, j) => ({ name: `c${j}`, cost, integer: true, high: 6 })),
        rows,
      };
      const seven = [0, 1, 2, 3, 4, 5, 6];
      const costsOf = seven.flatMap((a) =>
        seven.flatMap((b) =>
          seven.flatMap((c) => (meets(m, [a, b, c], 1e-9) ? [a * costs[0]! + b * costs[1]! + c * costs[2]!] : [])),
        ),
      );
      const found = solve(m, highs);
      if (costsOf.length === 0) expect(found.kind).toBe('infeasible');
      else expect(found.kind === 'optimal' && found.objective).toBeCloseTo(Math.min(...costsOf), 4);
    }),
    { numRuns: 40 },
  );
});

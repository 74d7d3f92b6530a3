import fc from 'fast-check';
import loadHighs from 'highs';
import type { LpSolver } from '../solve/index.js';
import { readHeap, type HeapPart } from './heap.js';
import { HEAP_COURSE, HEAP_GOAL, HEAP_MATERIALS, heapMaterial, nitrogenLost } from './heapMaterials.js';
import { planHeap } from './heapPlan.js';

let solver: LpSolver;
beforeAll(async () => {
  solver = await loadHighs();
});

const of = (key: string, amount: number, unit = 'kg', own?: HeapPart['own']): HeapPart => ({
  material: heapMaterial(key)!,
  amount,
  unit,
  ...(own ? { own } : {}),
});

describe('a heap', () => {
  test('by hand: 10 kg of straw and 40 kg of clippings have C:N 28.9 and 66 % water', () => {
    // Straw: 8.8 kg dry, 3.96 kg C, 0.0495 kg N. Clippings: 8 kg dry, 3.6 kg C, 0.2118 kg N. 7.56 ÷ 0.2613 = 28.9.
    const heap = readHeap([of('straw', 10), of('grass-clippings', 40)])!;
    expect(heap.carbonToNitrogen.value.mid).toBeCloseTo(7.56 / (0.0495 + 3.6 / 17), 6);
    expect(heap.moisture.value.mid).toBeCloseTo(66.4, 6);
    expect([heap.cnSide, heap.moistureSide, heap.waterKg]).toEqual(['maybe', 'high', 0]);
    // 10 ÷ 0.06 + 40 ÷ 0.3 L.
    expect(heap.litres.value.mid).toBeCloseTo(300, 6);
  });

  test('what was measured takes the place of what is typical, and its range goes', () => {
    const heap = readHeap([of('straw', 10, 'kg', { carbonToNitrogen: 60, moisture: 0.2 })])!;
    expect([heap.carbonToNitrogen.value.low, heap.carbonToNitrogen.value.high]).toEqual([
      expect.closeTo(60, 9),
      expect.closeTo(60, 9),
    ]);
    expect([heap.moisture.value.mid, heap.cnSide, heap.moistureSide]).toEqual([expect.closeTo(20, 9), 'high', 'low']);
    // To 55 % water: 10 kg × (0.55 − 0.2) ÷ 0.45.
    expect(heap.waterKg).toBeCloseTo(3.5 / 0.45, 6);
  });

  test('nothing on it is no heap; a volume weighs its density', () => {
    expect(readHeap([of('straw', 0)])).toBeUndefined();
    const { kg, litres } = readHeap([of('coffee-grounds', 20, 'L')])!;
    expect([kg.value.mid, litres.value]).toEqual([10, { low: 20, mid: 20, high: 20 }]);
    // Eight draws in ten of 0.35 to 0.65 kg/L lie well within the ends.
    expect(kg.value.low).toBeGreaterThan(7.5);
    expect(kg.value.high).toBeLessThan(12.5);
    expect(kg.spread).toEqual({ kind: 'draws', share: 0.8 });
  });

  test('its C:N lies between those of its parts, and the order of the parts does not matter', () => {
    const anyPart = fc.tuple(fc.constantFrom(...HEAP_MATERIALS), fc.double({ min: 0.5, max: 200, noNaN: true }));
    fc.assert(
      fc.property(fc.array(anyPart, { minLength: 1, maxLength: 5 }), (list) => {
        const parts = list.map(([m, kg]) => of(m.key, kg));
        const heap = readHeap(parts)!.carbonToNitrogen.value;
        const each = parts.map((p) => p.material.carbonToNitrogen);
        expect(heap.low).toBeGreaterThanOrEqual(Math.min(...each.map((c) => c.low)) - 1e-9);
        expect(heap.high).toBeLessThanOrEqual(Math.max(...each.map((c) => c.high)) + 1e-9);
        expect(heap.low).toBeLessThanOrEqual(heap.mid + 1e-9);
        expect(readHeap([...parts].reverse())!.carbonToNitrogen.value.mid).toBeCloseTo(heap.mid, 6);
      }),
      { numRuns: 40 },
    );
  });

  test('when it is done it weighs less, and its nitrogen is what was there less what is lost, in less dry matter', () => {
    const done = readHeap([of('straw', 10), of('grass-clippings', 40)])!.finished;
    // 16.8 kg dry × 0.55 ÷ 0.6.
    expect(done.kg.value.mid).toBeCloseTo((16.8 * 0.55) / 0.6, 6);
    // 0.2613 kg N in 16.8 kg dry, a quarter lost, 45 % of the dry matter too, 40 % water.
    expect(done.nitrogen.value.mid).toBeCloseTo(((0.0495 + 3.6 / 17) / 16.8 / 0.55) * 0.75 * 0.6 * 100, 6);
    expect(done.litres.value).toMatchObject({ mid: expect.closeTo(150, 6) as number });
    expect(done.nitrogen.value.low).toBeLessThan(done.nitrogen.value.mid);
  });

  test.each([
    [19.99, 0.4],
    [20, 0.25],
    [35, 0.25],
    [35.01, 0.1],
  ])('of a heap of C:N %d it loses %d of its nitrogen, in the middle', (cn, lost) => {
    expect(nitrogenLost(cn).mid).toBe(lost);
  });

  test.each([
    ['grass-clippings', 17, 0.8],
    ['straw', 80, 0.12],
    ['sawdust', 400, 0.35],
    ['poultry-manure', 8, 0.65],
    ['cardboard-and-paper', 300, 0.08],
  ])('of %s C:N is typically %d and water %d', (key, cn, moisture) => {
    const m = heapMaterial(key)!;
    expect([m.carbonToNitrogen.mid, m.moisture.mid]).toEqual([cn, moisture]);
  });

  test('every figure of a material is a range from low to high, greens narrower than browns in the middle', () => {
    for (const m of HEAP_MATERIALS)
      for (const r of [m.carbonToNitrogen, m.moisture, m.densityKgPerL, m.carbon, m.p2o5, m.k2o])
        expect([r.low <= r.mid, r.mid <= r.high]).toEqual([true, true]);
    for (const m of HEAP_MATERIALS) expect(m.carbonToNitrogen.mid <= 25).toBe(m.side === 'green');
    for (const r of Object.values(HEAP_COURSE)) expect([r.low <= r.mid, r.mid <= r.high]).toEqual([true, true]);
  });
});

describe('a heap from what is at hand', () => {
  test('clippings alone are too wet and too narrow: no heap of them, and what is lacking is told', () => {
    const plan = planHeap([of('grass-clippings', 40)], undefined, solver)!;
    expect(plan.lines).toEqual([]);
    expect(plan.left.map((l) => l.kg)).toEqual([expect.closeTo(40, 6)]);
    const more = plan.lacks!;
    const heap = readHeap([of('grass-clippings', 40), of(more.material.key, more.kg)])!;
    expect(heap.carbonToNitrogen.value.mid).toBeGreaterThanOrEqual(HEAP_GOAL.carbonToNitrogen.low - 1e-6);
    expect(heap.moisture.value.mid).toBeLessThanOrEqual(HEAP_GOAL.moisture.high * 100 + 1e-6);
  });

  test('a bin is filled and no more', () => {
    const plan = planHeap([of('grass-clippings', 400), of('straw', 300)], 500, solver)!;
    expect(plan.lines.reduce((s, l) => s + l.litres, 0)).toBeCloseTo(500, 4);
    expect(plan.lacks).toBeUndefined();
    expect(planHeap([], 500, solver)).toBeUndefined();
  });

  test('a little that the heap hangs on is not dropped, however much of it there is', () => {
    const plan = planHeap(
      [
        of('cardboard-and-paper', 1),
        of('feather-or-horn-meal', 30.011962427438906),
        of('sheep-manure', 6.51913307449602),
      ],
      undefined,
      solver,
    )!;
    const heap = readHeap(plan.lines.map((l) => of(l.material.key, l.kg)))!;
    expect(heap.carbonToNitrogen.value.mid).toBeGreaterThan(HEAP_GOAL.carbonToNitrogen.low - 1e-6);
    const water = (heap.kg.value.mid * heap.moisture.value.mid) / 100 + plan.waterL;
    expect(water / (heap.kg.value.mid + plan.waterL)).toBeLessThan(HEAP_GOAL.moisture.high + 1e-6);
  });

  test('whatever is at hand, no more is taken than there is, and what is piled works', () => {
    const anyPart = fc.tuple(fc.constantFrom(...HEAP_MATERIALS), fc.double({ min: 1, max: 300, noNaN: true }));
    let piled = 0;
    fc.assert(
      fc.property(
        fc.uniqueArray(anyPart, { minLength: 1, maxLength: 5, selector: ([m]) => m.key }),
        fc.option(fc.double({ min: 50, max: 3000, noNaN: true }), { nil: undefined }),
        (list, bin) => {
          const plan = planHeap(
            list.map(([m, kg]) => of(m.key, kg)),
            bin,
            solver,
          )!;
          for (const { material, kg } of plan.lines)
            expect(kg).toBeLessThanOrEqual(list.find(([m]) => m === material)![1] * (1 + 1e-6));
          if (bin !== undefined)
            expect(plan.lines.reduce((s, l) => s + l.litres, 0)).toBeLessThanOrEqual(bin * (1 + 1e-6));
          if (plan.lines.length === 0) return;
          piled++;
          const heap = readHeap(plan.lines.map((l) => of(l.material.key, l.kg)))!;
          const water = (heap.kg.value.mid * heap.moisture.value.mid) / 100 + plan.waterL;
          const wet = water / (heap.kg.value.mid + plan.waterL);
          const { carbonToNitrogen: cn, moisture } = HEAP_GOAL;
          expect(heap.carbonToNitrogen.value.mid).toBeGreaterThan(cn.low - 1e-3);
          expect(heap.carbonToNitrogen.value.mid).toBeLessThan(cn.high + 1e-3);
          expect(wet).toBeGreaterThan(moisture.low - 1e-4);
          expect(wet).toBeLessThan(moisture.high + 1e-4);
        },
      ),
      { numRuns: 60 },
    );
    expect(piled).toBeGreaterThan(15);
  });
});

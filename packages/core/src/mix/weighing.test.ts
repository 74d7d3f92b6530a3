import fc from 'fast-check';
import { potash, urea } from '../../test/bags.js';
import { mixedFrom, rebalanced, weighState, type WeighPart } from './weighing.js';

const HALVES: readonly WeighPart[] = [
  { name: 'Urea', share: 0.5 },
  { name: 'Potash', share: 0.5 },
];

test('near enough is right: half a hundredth of it, or what the scale can tell apart', () => {
  expect(weighState(1, 1, 0.001)).toBe('right');
  expect(weighState(1.005, 1, 0.001)).toBe('right');
  expect(weighState(1.006, 1, 0.001)).toBe('over');
  expect(weighState(0.99, 1, 0.001)).toBe('under');
  expect(weighState(0.013, 0.01, 0.005)).toBe('right');
  expect(weighState(0, 0.01, 0.005)).toBe('under');
});

test('too much of one: the batch grows until it is the right share', () => {
  expect(rebalanced(HALVES, [1.2, 0], 2)).toEqual({ kind: 'larger', batchKg: 2.4, addKg: [0, 1.2] });
  // What was weighed before gets a little more too.
  expect(rebalanced(HALVES, [1, 1.5], 2)).toEqual({ kind: 'larger', batchKg: 3, addKg: [0.5, 0] });
  expect(rebalanced(HALVES, [0.4, 0], 2)).toEqual({ kind: 'larger', batchKg: 2, addKg: [0.6, 1] });
});

test('no room in the tub, or not enough of a bag, is said with how much', () => {
  const tub = rebalanced(HALVES, [1.2, 0], 2, { tubKg: 2.2 });
  expect(tub).toEqual({
    kind: 'noRoom',
    batchKg: 2.4,
    why: ['the batch would weigh 2.4 kg, and the tub holds 2.2 kg'],
  });
  const stock = rebalanced(HALVES, [1.2, 0], 2, { stockKg: [undefined, 1.1] });
  expect(stock.kind === 'noRoom' && stock.why).toEqual(['it would take 1.2 kg of Potash, and there are 1.1 kg']);
  expect(rebalanced(HALVES, [1.2, 0], 2, { tubKg: 2.4, stockKg: [1.2, 1.2] }).kind).toBe('larger');
});

test('after any over-pour that tub and stock have room for, the ratio is the one wanted, and nothing has to be taken out', () => {
  const plans = fc
    .array(fc.tuple(fc.integer({ min: 1, max: 50 }), fc.double({ min: 0, max: 3, noNaN: true }), fc.boolean()), {
      minLength: 2,
      maxLength: 6,
    })
    .map((parts) => {
      const whole = parts.reduce((s, [w]) => s + w, 0);
      return parts.map(([w, factor, done]) => ({ share: w / whole, factor, done }));
    });
  fc.assert(
    fc.property(
      plans,
      fc.double({ min: 0.1, max: 50, noNaN: true }),
      fc.double({ min: 0.5, max: 4, noNaN: true }),
      (plan, batchKg, tub) => {
        const parts = plan.map(({ share }, i) => ({ name: `P${i}`, share }));
        const weighed = plan.map(({ share, factor, done }) => (done ? share * batchKg * factor : 0));
        const room = { tubKg: batchKg * tub };
        const found = rebalanced(parts, weighed, batchKg, room);
        const most = Math.max(batchKg, ...weighed.map((kg, i) => kg / (parts[i]?.share ?? 1)));
        expect(found.kind).toBe(most > room.tubKg * (1 + 1e-9) ? 'noRoom' : 'larger');
        if (found.kind === 'noRoom') return expect(found.why.length).toBeGreaterThan(0);
        const all = weighed.map((kg, i) => kg + (found.addKg[i] ?? 0));
        expect(Math.min(...found.addKg)).toBeGreaterThanOrEqual(0);
        all.forEach((kg, i) => expect(kg / found.batchKg).toBeCloseTo(parts[i]?.share ?? 0, 6));
        expect(all.reduce((s, kg) => s + kg, 0)).toBeCloseTo(found.batchKg, 6);
      },
    ),
  );
});

test('what was mixed is worked out from what was weighed, the filler with it', () => {
  const mix = mixedFrom(
    [
      { product: urea, kg: 1.1 },
      { product: potash, kg: 0 },
    ],
    0.9,
  );
  expect(mix.components.map((c) => c.product.id)).toEqual(['urea']);
  expect(mix.totalKg).toBeCloseTo(2, 9);
  expect(mix.analysis.find((n) => n.nutrient === 'N')?.percent.value.mid).toBeCloseTo((46 * 1.1) / 2, 6);
});

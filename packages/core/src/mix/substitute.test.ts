import { bag, line, potash, priced, urea } from '../../test/bags.js';
import { substitute, type Substitution } from './substitute.js';

const MEAL = bag({
  id: 'meal',
  name: 'Meal',
  analysis: [line('N', 11.5), line('P', 2), line('Ca', 4)],
  offers: [priced(10, 'kg', '12.00')],
});
const MIX = [
  { product: urea, kg: 1 },
  { product: potash, kg: 2 },
];
const swapped = (found: Substitution) => {
  if (found.kind !== 'swapped') throw new Error(found.why);
  return found;
};

test('at equal nitrogen a kg of urea is four of a meal a quarter as strong, and what came along is told', () => {
  const found = swapped(substitute(MIX, 'urea', MEAL, 'N'));
  expect([found.by, found.kg]).toEqual(['total', expect.closeTo(4, 9)]);
  expect(found.components.map((c) => [c.product.id, c.kg])).toEqual([
    ['meal', expect.closeTo(4, 9)],
    ['sop', 2],
  ]);
  // 4 kg of meal bring 80 g P, told as P₂O₅, and 160 g Ca; the nitrogen and the potash stay.
  expect(found.changes).toEqual([
    { nutrient: 'P', before: 0, after: expect.closeTo(0.08 * 2.2914, 4) },
    { nutrient: 'Ca', before: 0, after: expect.closeTo(0.16, 6) },
  ]);
  expect(found.cost?.after).toBeCloseTo((found.cost?.before ?? 0) - 0.92 + 4.8, 6);
});

test('where it is known how much is set free in the window, that is made equal, and said', () => {
  const share = (low: number, mid: number) => ({ low, mid, high: mid });
  const known = substitute(MIX, 'urea', MEAL, 'N', (p) => (p.id === 'urea' ? share(1, 1) : share(0.3, 0.5)));
  expect(swapped(known).by).toBe('released');
  expect(swapped(known).kg).toBeCloseTo(8, 9);
  expect(swapped(known).changes.find((c) => c.nutrient === 'N')?.after).toBeCloseTo(0.92, 6);
  const low = substitute(MIX, 'urea', MEAL, 'N', (p) => (p.id === 'urea' ? share(1, 1) : share(0, 0.5)));
  expect([swapped(low).by, swapped(low).kg]).toEqual(['total', expect.closeTo(4, 9)]);
});

test('a material that is in the mix already grows by it', () => {
  const found = swapped(substitute([...MIX, { product: MEAL, kg: 1 }], 'urea', MEAL, 'N'));
  expect(found.components.map((c) => [c.product.id, c.kg])).toEqual([
    ['sop', 2],
    ['meal', expect.closeTo(5, 9)],
  ]);
});

test('what brings none of it cannot be swapped', () => {
  expect(substitute(MIX, 'urea', potash, 'N')).toEqual({
    kind: 'cannot',
    why: `${potash.name} brings no N that is known.`,
  });
  expect(substitute(MIX, 'sop', MEAL, 'N')).toMatchObject({ kind: 'cannot' });
  expect(substitute(MIX, 'gone', MEAL, 'N')).toMatchObject({ kind: 'cannot', why: 'That material is not in the mix.' });
});

import fc from 'fast-check';
import { bag } from '../../test/bags.js';
import { openLot, stockOnHand, type StockMovement } from './stock.js';

const moved = (amount: number, unit = 'kg', given: Partial<StockMovement> = {}): StockMovement => ({
  amount,
  unit,
  reason: amount < 0 ? 'used' : 'bought',
  on: '2026-03-14',
  lot: '',
  ...given,
});

test('20 kg bought and 3 kg used leave 17 kg, each movement in the working', () => {
  const stock = stockOnHand(bag(), [moved(20, 'kg', { lot: 'A7' }), moved(-3)]);
  expect(stock).toMatchObject({
    kind: 'figure',
    figure: { unit: { text: 'kg' }, label: 'Test bag on hand', value: { low: 17, mid: 17, high: 17 } },
  });
  expect(stock.kind === 'figure' && 'of' in stock.figure.how && stock.figure.how.of.map((f) => f.label)).toEqual([
    'bought, 14 Mar 2026, lot A7',
    'used, 14 Mar 2026',
  ]);
});
test('pounds and ounces add up with kilograms: 50 lb less 8 oz is 22.45 kg', () => {
  const stock = stockOnHand(bag(), [moved(50, 'lb'), moved(-8, 'oz')]);
  expect(stock.kind === 'figure' && stock.figure.value.mid).toBeCloseTo(49.5 * 0.45359237, 9);
});
test('what is all by volume stays in litres; with weights it needs a density, and takes its range', () => {
  expect(stockOnHand(bag(), [moved(5, 'L'), moved(-250, 'mL')])).toMatchObject({
    figure: { unit: { text: 'L' }, value: { mid: 4.75 } },
  });
  expect(stockOnHand(bag(), [moved(5, 'L'), moved(1)])).toEqual({ kind: 'needsDensity' });
  const mixed = stockOnHand(bag({ densityKgPerL: { low: 1, mid: 1.1, high: 1.2 } }), [moved(5, 'L'), moved(1)]);
  expect(mixed.kind === 'figure' && [mixed.figure.unit.text, mixed.figure.value]).toEqual([
    'kg',
    { low: 6, mid: 6.5, high: 7 },
  ]);
});
test('nothing moved is not nothing left', () => expect(stockOnHand(bag(), [])).toEqual({ kind: 'none' }));
test('law: the order of movements does not matter', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: -50, max: 50 }), { minLength: 1, maxLength: 12 }), (amounts) => {
      const sumOf = (list: readonly number[]): number => {
        const stock = stockOnHand(
          bag(),
          list.map((a) => moved(a)),
        );
        return stock.kind === 'figure' ? stock.figure.value.mid : NaN;
      };
      expect(sumOf([...amounts].reverse())).toBeCloseTo(sumOf(amounts), 9);
    }),
  );
});
test('the lot that is used first is the first of which something is left, whatever units it was measured in', () => {
  const bought = [moved(5, 'L', { lot: 'B', on: '2026-04-01' }), moved(5, 'L', { lot: 'A', on: '2026-02-01' })];
  expect(openLot(bag(), bought)).toBe('A');
  expect(openLot(bag(), [...bought, moved(-250, 'mL', { lot: 'A' })])).toBe('A');
  expect(openLot(bag(), [...bought, moved(-5000, 'mL', { lot: 'A' })])).toBe('B');
  expect(openLot(bag(), [])).toBe('');
});

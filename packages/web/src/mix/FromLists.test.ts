import { askedOfLists } from './FromLists';

const part = (nutrient: 'N' | 'P' | 'K', basis: 'element' | 'P2O5' | 'K2O', amount: number) => ({
  nutrient,
  basis,
  amount,
});

test('a grade of a batch is so many kg of each: 6 % of 50 kg are 3 kg N; P as the element becomes P2O5', () => {
  const target = {
    kind: 'grade',
    parts: [part('N', 'element', 6), part('P', 'element', 1), part('K', 'K2O', 5)],
    tolerance: 0,
  } as const;
  const asked = new URLSearchParams(askedOfLists(target, 50));
  expect(asked.get('N')).toBe('3');
  expect(Number(asked.get('P2O5'))).toBeCloseTo(0.5 * 2.2914, 3);
  expect(asked.get('K2O')).toBe('2.5');
});

test('amounts are taken as they are; a ratio is no amount', () => {
  const parts = [part('N', 'element', 0.12)];
  expect(askedOfLists({ kind: 'amount', parts, tolerance: 0 }, 50)).toBe('N=0.12');
  expect(askedOfLists({ kind: 'ratio', parts, tolerance: 0 }, 50)).toBeUndefined();
  expect(askedOfLists({ kind: 'grade', parts: [part('N', 'element', 0)], tolerance: 0 }, 50)).toBeUndefined();
});

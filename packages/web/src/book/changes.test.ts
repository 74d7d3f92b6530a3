import { changesBetween } from './changes';

test('names the leaves that differ', () => {
  expect(changesBetween({ name: 'A', offers: [{ size: 20 }] }, { name: 'A', offers: [{ size: 25 }] })).toEqual([
    { path: 'offers.0.size', before: '20', after: '25' },
  ]);
  expect(changesBetween({ grade: undefined }, { grade: '5-3-4' })).toEqual([
    { path: 'grade', before: 'nothing', after: '5-3-4' },
  ]);
  expect(changesBetween({ offers: [1, 2] }, { offers: [1] })).toEqual([
    { path: 'offers.1', before: '2', after: 'nothing' },
  ]);
  expect(changesBetween({ a: 1 }, { a: 1 })).toEqual([]);
});
test('stays short on great changes', () => {
  const many = Object.fromEntries(Array.from({ length: 50 }, (_, i) => [`f${i}`, 'x'.repeat(500)]));
  const changes = changesBetween({}, many);
  expect(changes.length).toBeLessThanOrEqual(6);
  expect(changes.every((c) => c.after.length <= 61)).toBe(true);
});

import { jarPoints, missedWeeks, missedWords } from './incubate.js';
import { layOut } from './layout.js';

const units = layOut('random', 2, 3, 11);
const on = (day: string, treated: number, untreated: number) =>
  units.map((u) => ({ measure: 'n', unit: u.number, on: day, value: u.arm === 1 ? treated + u.row : untreated }));

test('a sampling is the mean of the jars with the bag and of those without, on its day since the jars were filled', () => {
  const readings = [...on('2026-03-15', 90, 12), ...on('2026-03-08', 50, 10)];
  const rows = units.filter((u) => u.arm === 1).map((u) => u.row);
  const extra = rows.reduce((a, b) => a + b, 0) / rows.length;
  const points = jarPoints(units, readings, 1, 0, '2026-03-01');
  expect(points.map((p) => p.day)).toEqual([7, 14]);
  expect(points[0]!.treated).toBeCloseTo(50 + extra, 12);
  expect(points[1]!.untreated).toBe(12);
});

test('a day on which the control was not sampled is none, nor is one before the jars were filled', () => {
  const half = on('2026-03-15', 90, 12).filter((r) => units[r.unit - 1]?.arm === 1);
  expect(jarPoints(units, [...half, ...on('2026-02-20', 5, 5)], 1, 0, '2026-03-01')).toEqual([]);
});

test.each([
  [[7, 14, 28, 42, 56], [], undefined],
  [[4, 17, 31, 39, 59], [], undefined],
  [[14, 28], [1, 6, 8], 'Nothing was sampled in week 1, 6, 8: how fast it begins and how much comes in the end'],
  [[7, 14, 42, 56], [4], 'Nothing was sampled in week 4: where the curve bends'],
])('sampled on days %j: weeks %j are missing', (days, weeks, words) => {
  expect(missedWeeks(days)).toEqual(weeks);
  if (words === undefined) expect(missedWords(weeks)).toBeUndefined();
  else expect(missedWords(weeks)).toContain(words);
});

test('three days from a week still counts for it, four do not', () => {
  expect(missedWeeks([10, 14, 28, 42, 56])).toEqual([]);
  expect(missedWeeks([3, 14, 28, 42, 56])).toEqual([1]);
});

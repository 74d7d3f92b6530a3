import { BAG_FIGURES, PLOT_FIGURES } from '@wheat-ledger/core';
import { ownFigureProblems } from '../ownFigure.js';
import { ownFiguresCell, ownFiguresInCell, ownValueText, readOwnValue } from './ownFigureText.js';

const figure = { key: 'kFastPerDay of blood meal', low: 0.05, mid: 0.06, high: 0.1, source: 'jars, “spring” | 3' };

test('a number is exact, a range has a middle, and a limit is no figure', () => {
  expect(readOwnValue('0,08')).toEqual({ ok: true, value: { low: 0.08, mid: 0.08, high: 0.08 } });
  expect(readOwnValue('0.1 to 0.3')).toEqual({ ok: true, value: { low: 0.1, mid: 0.2, high: 0.3 } });
  expect(readOwnValue('<0.1')).toEqual({ ok: false, reason: expect.stringContaining('expected a number or a range') });
  expect(readOwnValue('fast')).toMatchObject({ ok: false });
  expect(readOwnValue(ownValueText({ low: 0.1, mid: 0.2, high: 0.3 }))).toEqual(readOwnValue('0.1–0.3'));
});

test('a cell gives back what was put into it', () => {
  expect(ownFiguresInCell(ownFiguresCell([figure, { ...figure, key: 'listing' }]))).toEqual([
    figure,
    { ...figure, key: 'listing' },
  ]);
  expect([ownFiguresCell(undefined), ownFiguresCell([]), ownFiguresInCell(' ')]).toEqual(['', '', undefined]);
});

test('a cell of something else is refused, not passed over', () => {
  const read = ownFiguresInCell('about twice as fast');
  expect(ownFigureProblems(read, BAG_FIGURES)).toEqual([
    { path: 'ownFigures.0.mid', message: 'Read “about twice as fast”, expected an assumption that is made here.' },
  ]);
});

test.each([
  [[figure], BAG_FIGURES, undefined],
  [[figure], PLOT_FIGURES, 'an assumption that is made here'],
  [[figure, figure], BAG_FIGURES, 'expected it once'],
  [[{ ...figure, low: 0.2 }], BAG_FIGURES, 'from low to high'],
  [[{ ...figure, high: 3 }], BAG_FIGURES, 'expected 0 to 2'],
  [[{ ...figure, key: 'toString' }], BAG_FIGURES, 'an assumption that is made here'],
  [[{ ...figure, key: 'q10', low: 0.5, mid: 2, high: 3 }], PLOT_FIGURES, 'expected 1 to 6'],
])('own figures %# are checked against what can be', (figures, bounds, message) => {
  const problems = ownFigureProblems(figures, bounds);
  expect(problems.length).toBe(message ? 1 : 0);
  expect(problems[0]?.message ?? '').toContain(message ?? '');
});

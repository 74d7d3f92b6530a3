import { fireEvent, render, screen } from '@testing-library/react';
import { toProduct } from '@wheat-ledger/contract';
import { bagAs, computeProgramme, libraryCrop, type Doing, type Season } from '@wheat-ledger/core';
import { productNamed } from '../../test/show';
import { programmeWeeks, shareWords, weeksCsv, weeksSentence, type ProgrammeWeek } from './programmeWeeks';
import { SeasonTimeline, type Hold } from './SeasonTimeline';
import { splittable } from './useMoves';
import { atDay } from './WeekTable';

const week = (n: number, given: Partial<ProgrammeWeek> = {}): ProgrammeWeek => ({
  week: n,
  date: `2026-03-${String(1 + n * 7).padStart(2, '0')}`,
  given: 100,
  available: 0,
  takenUp: 0,
  over: 0,
  lost: 0,
  ...given,
});

test('weeks of a run: what the crop wanted and did not get is short, what is lost is all ways together', () => {
  const days = (of: (day: number) => number): Float64Array => Float64Array.from({ length: 8 }, (_, d) => of(d));
  const zero = days(() => 0);
  const run = {
    available: days((d) => 10 * d),
    takenUp: days((d) => 4 * d),
    mineral: days((d) => 6 * d),
    leached: days((d) => d),
    volatilised: days(() => 2),
    denitrified: days(() => 0.5),
  };
  const [first, second] = programmeWeeks(
    {
      run: {
        ...Object.fromEntries(
          ['urea', 'coated', 'undecomposed', 'microbial', 'humus', 'nitrate', 'soilOrganic'].map((n) => [n, zero]),
        ),
        ...run,
      } as never,
      soilAlone: undefined,
      assumed: [],
      given: days(() => 80),
      demandKgPerHa: Array.from({ length: 8 }, (_, d) => 5 * d),
      left: [],
      supposed: [],
    },
    '2026-03-15',
  );
  expect(first).toMatchObject({ week: 0, date: '2026-03-15', given: 80, available: 0, short: 0, lost: 2.5 });
  expect(second).toMatchObject({
    week: 1,
    date: '2026-03-22',
    available: 70,
    demand: 35,
    takenUp: 28,
    short: 7,
    over: 42,
    lost: 9.5,
  });
  expect(second).not.toHaveProperty('soil');
});

test('a table to save has a heading for each figure, and an empty cell for what is not known', () => {
  const [heading, row] = weeksCsv([week(0, { available: 12.345 })]).split('\r\n');
  expect(heading).toMatch(/^week,by,"?given, kg N\/ha"?,/);
  expect(row).toBe('0,2026-03-01,100,12.35,,,0,,0,0');
});

test('as a label would say it: half, four fifths, and what does not come', () => {
  const course = [0, 30, 55, 82, 88].map((available, n) => week(n, { available }));
  expect(weeksSentence(course)).toBe(
    'Of what is given, about half by week 2, four fifths by week 3; a tenth does not come to the crop within 4 weeks.',
  );
  // The soil's own nitrogen is not of what is given.
  expect(weeksSentence(course.map((w) => ({ ...w, soil: 50 })))).toMatch(/two fifths by week 4/);
  expect(weeksSentence([week(0, { given: 0 })])).toBeUndefined();
});
test.each([[1, 'nearly all'], [0.5, 'about half'], [0.34, 'a third'], [0.1, 'a tenth'], [0.01, 'next to nothing']] as const)(
  '%d is %s',
  (share, words) => expect(shareWords(share)).toBe(words),
); // prettier-ignore

test('a day between two weeks is read off between them; before the first and after the last there is nothing', () => {
  const weeks = [week(0, { available: 0, lost: 1 }), week(1, { available: 14, lost: 2 })];
  expect(atDay(weeks, '2026-03-04')).toMatchObject({ available: 6, lost: expect.closeTo(1 + 3 / 7, 9) });
  expect(atDay(weeks, '2026-02-27')).toBeUndefined();
  expect(atDay(weeks, '2026-03-20')).toBeUndefined();
});

const season: Season = { crop: libraryCrop('wheat')!, from: '2026-03-15', share: 1 };
const doing = (days: number): Doing => ({
  application: {
    amount: { kind: 'rate', rate: { amount: 20, unit: 'g', per: { amount: 1, unit: 'm²' } } },
    when: { kind: 'afterPlanting', days },
    where: { kind: 'surface' },
    part: { share: 0.5 },
  },
  given: bagAs(toProduct(productNamed('Quernlow Urea'), 'urea')),
});
const inNumbers = computeProgramme([doing(0), doing(30)], { areaM2: 900 }, season, []);

test('a mark is a slider: arrows move it by days and its amount by a twentieth, with Shift by weeks and quarters', () => {
  const holds: Hold[] = [];
  render(<SeasonTimeline season={season} rows={inNumbers.rows} numbers={[1, 2]} onMove={(hold) => holds.push(hold)} />);
  const [, second] = screen.getAllByTestId('mark');
  expect(second!.getAttribute('aria-valuetext')).toBe('14 Apr 2026, 92 kg N/ha');
  fireEvent.keyDown(second!, { key: 'ArrowRight' });
  fireEvent.keyDown(second!, { key: 'ArrowLeft', shiftKey: true });
  fireEvent.keyDown(second!, { key: 'ArrowUp' });
  fireEvent.keyDown(second!, { key: 'ArrowDown', shiftKey: true });
  fireEvent.keyDown(second!, { key: 'a' });
  expect(holds).toEqual([
    { row: 1, days: 1, factor: 1 },
    { row: 1, days: -7, factor: 1 },
    { row: 1, days: 0, factor: 1.05 },
    { row: 1, days: 0, factor: 0.8 },
  ]);
});

test('what may be split: all that a bag gives, over its rows and on their part of the ground', () =>
  expect(splittable(inNumbers)).toEqual([
    { product: expect.objectContaining({ id: 'urea' }), kgNPerHa: expect.closeTo(92, 9) },
  ]));

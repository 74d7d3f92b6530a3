import fc from 'fast-check';
import { seasonOf } from '../../test/bags.js';
import { addDays } from '../quantity/index.js';
import type { Application, When } from './application.js';
import { datesOf } from './dates.js';
import { asSchool, timesOf } from './school.js';

type Repeat = Extract<When, { kind: 'repeat' }>;
const fed = (when: When, grams = 40): Application => ({
  amount: { kind: 'rate', rate: { amount: grams, unit: 'g', per: { amount: 1, unit: 'm²' } } },
  when,
  where: { kind: 'inWater' },
  part: { share: 1 },
});
const gramsOf = ({ amount }: Application): number => (amount.kind === 'rate' ? amount.rate.amount : Number.NaN);
const repeat: Repeat = { kind: 'repeat', from: '2026-05-01', to: '2026-06-25', everyDays: 14 };
const total = (a: Application): number => (a.when.kind === 'repeat' ? timesOf(a.when) : 1) * gramsOf(a);

test('four times 40 g, every 14 days, are eight times 20 g, every 7', () => {
  const often = asSchool(fed(repeat), 'oftener');
  expect(often.when).toMatchObject({ everyDays: 7, from: repeat.from, to: repeat.to });
  expect([timesOf(repeat), gramsOf(often)]).toEqual([4, 20]);
  expect(timesOf(often.when as Repeat)).toBe(8);
  expect(gramsOf(asSchool(fed(repeat), 'seldomer'))).toBe(80);
});

test('stopped at fruit set after two of four times, each is twice as much; a day outside its time stops nothing', () => {
  const stopped = asSchool(fed(repeat), 'stopAt', '2026-05-20');
  expect(stopped.when).toMatchObject({ to: '2026-05-20' });
  expect(gramsOf(stopped)).toBe(80);
  for (const day of [undefined, '2026-04-01', repeat.to, '2026-09-01'])
    expect(asSchool(fed(repeat), 'stopAt', day)).toEqual(fed(repeat));
});

test('one dose has no rhythm', () => {
  for (const school of ['oftener', 'seldomer', 'stopAt'] as const)
    expect(asSchool(fed({ kind: 'date', on: '2026-05-01' }), school, '2026-05-01').when.kind).toBe('date');
});

test('the number of times is that of its days, and every school gives the same total to three figures', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 60 }),
      fc.integer({ min: 0, max: 200 }),
      fc.integer({ min: 1, max: 900 }),
      fc.constantFrom('oftener' as const, 'seldomer' as const, 'stopAt' as const),
      fc.integer({ min: 0, max: 200 }),
      (everyDays, span, grams, school, stop) => {
        const when: Repeat = { kind: 'repeat', from: '2026-05-01', to: addDays('2026-05-01', span), everyDays };
        const season = seasonOf('wheat', '2026-03-15');
        expect(timesOf(when)).toBe(datesOf(when, season, [])!.length);
        const before = fed(when, grams);
        const after = asSchool(before, school, addDays('2026-05-01', stop));
        expect(Math.abs(total(after) / total(before) - 1)).toBeLessThan(0.006);
      },
    ),
  );
});

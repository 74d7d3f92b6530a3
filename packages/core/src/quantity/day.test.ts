import fc from 'fast-check';
import { parseDay, printDay, readDate } from './day.js';

test.each([
  ['2026-03-14', '2026-03-14'],
  [' 2026/3/4 ', '2026-03-04'],
  ['14.3.2026', '2026-03-14'],
  ['14/3/2026', '2026-03-14'],
  ['3/14/2026', '2026-03-14'],
  ['4/4/2026', '2026-04-04'],
  ['14 Mar 2026', '2026-03-14'],
  ['14 march 2026', '2026-03-14'],
  ['14th March, 2026', '2026-03-14'],
  ['14. März 2026', '2026-03-14'],
  ['14 mai 2026', '2026-05-14'],
  ['14 de agosto 2026', '2026-08-14'],
  ['3 grudnia 2026', '2026-12-03'],
  ['16-05-2026', '2026-05-16'],
  ['3-4-2026', undefined],
  ['14.05.26 06:00', '2026-05-14'],
  ['14 Quatsch 2026', undefined],
  ['March 14, 2026', '2026-03-14'],
  ['Sept. 1st 2026', '2026-09-01'],
  ['1-Sep-2026', '2026-09-01'],
  ['29 Feb 2024', '2024-02-29'],
  ['29 Feb 2026', undefined],
  ['31 Apr 2026', undefined],
  ['14 Mar', undefined],
  ['soon', undefined],
  ['', undefined],
  ['2026-03-14T06:00', '2026-03-14'],
  ['14/3/2026 6:00', '2026-03-14'],
  ['3/4/2026', undefined],
  ['2026-02-30', undefined],
  ['99.99.2026', undefined],
])('%j is %s', (text, iso) => expect(readDate(text)).toBe(iso));

test('a day that could be two is asked about, by both', () =>
  expect(parseDay('3/4/2026')).toEqual({ ok: false, reason: 'Read "3/4/2026": 3 Apr 2026 or 4 Mar 2026?' }));
test('what is no day says what was read and what was expected', () =>
  expect(parseDay('in spring')).toEqual({
    ok: false,
    reason: 'Read "in spring", expected a day such as 14 Mar 2026.',
  }));

test('every day is read back from the way it is shown', () => {
  fc.assert(
    fc.property(fc.date({ min: new Date('1900-01-01'), max: new Date('2199-12-31'), noInvalidDate: true }), (date) => {
      const iso = date.toISOString().slice(0, 10);
      expect(parseDay(printDay(iso))).toEqual({ ok: true, value: iso });
    }),
  );
});

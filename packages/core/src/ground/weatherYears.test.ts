import { addDays } from '../quantity/index.js';
import { siteSoilTemperature, type DailyLog } from './climate.js';
import { weatherYears } from './weatherYears.js';

/** A log whose value of a day is its calendar year, so that one sees whose day it is. */
function yearLog(from: string, days: number, without: (day: string) => boolean = () => false): DailyLog {
  const values = Array.from({ length: days }, (_, i) => {
    const day = addDays(from, i);
    return without(day) ? null : Number(day.slice(0, 4)) - 2000;
  });
  return { from, series: { rainMm: values, etMm: values, soilC: values } };
}

test('a season is there for each year that was logged from its first day to its last', () => {
  const log = yearLog('2019-01-01', 4 * 365 + 1);
  expect(weatherYears([log], '2026-03-15', 182).map((y) => y.year)).toEqual([2019, 2020, 2021, 2022]);
  // It ends on the last of December 2022: a season from August runs out of it.
  expect(weatherYears([log], '2026-08-01', 182).map((y) => y.year)).toEqual([2019, 2020, 2021]);
});

test('each year brings its own season, and the half year before it', () => {
  const [, second] = weatherYears([yearLog('2019-01-01', 3 * 365)], '2026-03-15', 182);
  const site = {
    temperature: { kind: 'sine', meanC: -9, amplitudeC: 0, warmestDay: 0 },
    logged: second!.logged,
  } as const;
  const warmth = siteSoilTemperature(site, '2026-03-15', 365);
  expect(new Set(warmth.slice(0, 182))).toEqual(new Set([20]));
  // The autumn before is of the year before; the days between are not known and usual.
  expect(warmth[255]).toBe(19);
  expect(warmth[360]).toBe(20);
});

test('a year with a tenth of its rain missing is no record of it; a failed probe of ten days is', () => {
  const gap = (first: string, days: number) => (day: string) => day >= first && day < addDays(first, days);
  const years = (days: number) =>
    weatherYears([yearLog('2019-01-01', 2 * 365, gap('2020-05-01', days))], '2026-03-15', 182).map((y) => y.year);
  expect(years(10)).toEqual([2019, 2020]);
  expect(years(25)).toEqual([2019]);
});

test('several logs make one record; none makes no year; the 29th of February begins on the 28th', () => {
  const halves = [yearLog('2021-01-01', 140), yearLog('2021-05-21', 225)];
  expect(weatherYears(halves, '2026-03-15', 182).map((y) => y.year)).toEqual([2021]);
  expect(weatherYears(undefined, '2026-03-15', 182)).toEqual([]);
  expect(weatherYears([yearLog('2021-01-01', 365)], '2024-02-29', 182).map((y) => y.year)).toEqual([2021]);
});

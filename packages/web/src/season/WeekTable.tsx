import { useState } from 'react';
import { daysBetween, formatNumber, formatTrimmed, parseDay, printDay } from '@wheat-ledger/core';
import { saveText } from '../ui/saveFile';
import { weeksCsv, type ProgrammeWeek } from './programmeWeeks';

const number = (n: number | undefined): string => (n === undefined ? '–' : formatNumber(Number(n.toFixed(1))));

/** What is there by a day that is typed, between the weeks it falls in. */
export function atDay(weeks: readonly ProgrammeWeek[], day: string): ProgrammeWeek | undefined {
  const first = weeks[0];
  if (!first) return undefined;
  const at = daysBetween(first.date, day) / 7;
  const [before, behind] = [weeks[Math.floor(at)], weeks[Math.ceil(at)]];
  if (at < 0 || !before || !behind) return undefined;
  const part = at - Math.floor(at);
  const between = (a: number, b: number): number => a + (b - a) * part;
  return {
    ...before,
    date: day,
    available: between(before.available, behind.available),
    takenUp: between(before.takenUp, behind.takenUp),
    lost: between(before.lost, behind.lost),
    over: between(before.over, behind.over),
    ...(before.short === undefined || behind.short === undefined ? {} : { short: between(before.short, behind.short) }),
  };
}

function ByDay({ weeks }: { weeks: readonly ProgrammeWeek[] }) {
  const [text, setText] = useState('');
  const read = text.trim() === '' ? undefined : parseDay(text);
  const found = read?.ok ? atDay(weeks, read.value) : undefined;
  return (
    <label className="no-print mb-2 block text-[0.9375rem]">
      By{' '}
      <input
        className="field !inline-block !w-36"
        value={text}
        placeholder={printDay(weeks[11]?.date ?? weeks[0]?.date ?? '')}
        onChange={(e) => setText(e.target.value)}
        aria-label="By which day"
      />{' '}
      <span data-testid="by-day">
        {text.trim() === ''
          ? 'type a day to read it off.'
          : read && !read.ok
            ? read.reason
            : found
              ? `${formatTrimmed(found.available, 3)} kg N/ha can have been had, ${formatTrimmed(found.takenUp, 3)} is taken up${found.short === undefined ? '' : `, ${formatTrimmed(found.short, 3)} short`}.`
              : `is not within the ${weeks.length - 1} weeks that are followed.`}
      </span>
    </label>
  );
}

/** A programme week by week, with a reader for any day, to be saved as a table. */
export function WeekTable({ weeks, name }: { weeks: readonly ProgrammeWeek[]; name: string }) {
  const counted = weeks.some((w) => w.soil !== undefined);
  return (
    <section>
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h2 className="mb-2 text-xl">Week by week</h2>
        <button
          type="button"
          className="plain no-print"
          onClick={() => saveText(`${name || 'programme'} weeks.csv`, weeksCsv(weeks), 'text/csv')}
        >
          Save as a table (CSV)
        </button>
      </div>
      <ByDay weeks={weeks} />
      <div className="max-h-80 overflow-auto print:max-h-none" tabIndex={0} role="region" aria-label="Week by week">
        <table className="ledger" data-testid="week-table">
          <caption className="sr-only">Nitrogen by the end of each week, kg N/ha</caption>
          <thead>
            <tr>
              <th scope="col">By</th>
              <th scope="col" className="num">
                Given
              </th>
              <th scope="col" className="num">
                Available
              </th>
              {counted && (
                <th scope="col" className="num">
                  Soil alone
                </th>
              )}
              <th scope="col" className="num">
                Wanted
              </th>
              <th scope="col" className="num">
                Short
              </th>
              <th scope="col" className="num">
                Unused
              </th>
              <th scope="col" className="num">
                Lost
              </th>
            </tr>
          </thead>
          <tbody>
            {weeks.map((w) => (
              <tr key={w.week}>
                <th scope="row" className="font-normal whitespace-nowrap">
                  {printDay(w.date)} <span className="text-sm text-faint">week {w.week}</span>
                </th>
                <td className="num">{number(w.given)}</td>
                <td className="num">{number(w.available)}</td>
                {counted && <td className="num">{number(w.soil)}</td>}
                <td className="num">{number(w.demand)}</td>
                <td className={`num ${(w.short ?? 0) > 0.5 ? 'text-beet' : ''}`}>{number(w.short)}</td>
                <td className="num">{number(w.over)}</td>
                <td className="num">{number(w.lost)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

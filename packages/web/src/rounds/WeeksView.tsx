import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { format, parseISO, startOfISOWeek } from 'date-fns';
import { addDays, printDay, tasksBetween, type Task } from '@wheat-ledger/core';
import { CalendarDown } from './CalendarDown';
import { dataAt } from '../app/ledger';
import { today } from '../app/today';
import { usePlans } from '../app/usePlans';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { PrintButton } from '../ui/PrintButton';
import { Empty, Failed, Loading, Sheet } from '../ui/Sheet';
import { RoundPages } from './RoundPages';
import { useTick } from './useTick';

const WEEKS = 12;
const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
/** The Monday of a day's week. */
const mondayOf = (day: string): string => format(startOfISOWeek(parseISO(day)), 'yyyy-MM-dd');

function Day({ day, tasks, now }: { day: string; tasks: readonly Task[]; now: string }) {
  return (
    <td
      className={`h-16 w-[14%] border border-rule p-1 align-top text-sm ${day === now ? 'bg-paper outline-2 outline-wheat' : ''}`}
    >
      <Link to={`/rounds?day=${day}`} className="text-faint hover:underline">
        {Number(day.slice(8))}
        <span className="sr-only"> {printDay(day)}</span>
      </Link>
      {tasks.map((t) => (
        <p
          key={t.key}
          className={`line-clamp-2 border-l-[3px] pl-1 leading-tight ${t.state === 'done' ? 'border-moss text-faint line-through' : t.state === 'late' ? 'border-beet' : 'border-wheat'}`}
          title={`${t.row.doing.given.name}, ${t.planned.plotName}`}
        >
          {t.row.doing.given.name}
          {t.minds.some((m) => m.hard) && <span className="text-beet"> !</span>}
        </p>
      ))}
    </td>
  );
}

/** Twelve weeks of rounds. */
export function WeeksView() {
  const now = today();
  const { plans, isLoading, error } = usePlans();
  const { done } = useTick();
  const all = useMemo(() => plans.flatMap((p) => p.rows.flatMap((r) => r.dates ?? [])).sort(), [plans]);
  const upcoming = all.find((d) => d >= now) ?? all[0] ?? now;
  const [from, setFrom] = useState<string>();
  const first = from ?? mondayOf(upcoming);
  const last = addDays(first, 7 * WEEKS - 1);
  const tasks = useMemo(() => tasksBetween(plans, first, last, done, now, 0), [plans, first, last, done, now]);
  if (isLoading) return <Loading what="the weeks" />;
  const weeks = Array.from({ length: WEEKS }, (_, i) => addDays(first, 7 * i));
  return (
    <Sheet
      title={`Twelve weeks from ${printDay(first)}`}
      question="When does what fall due?"
      actions={
        <>
          <button type="button" className="action" onClick={() => setFrom(addDays(first, -7 * 4))}>
            Earlier
          </button>
          <button type="button" className="action" onClick={() => setFrom(addDays(first, 7 * 4))}>
            Later
          </button>
          <CalendarDown />
          <PrintButton />
        </>
      }
    >
      <RoundPages />
      {error !== undefined ? (
        <Failed error={error} />
      ) : all.length === 0 ? (
        <Empty>No programme has a day yet. Plan one on a plot under Ground.</Empty>
      ) : (
        <div className="relative overflow-x-auto">
          <table className="w-full min-w-[40rem] table-fixed border-collapse" data-testid="weeks">
            <caption className="sr-only">Twelve weeks from {printDay(first)}</caption>
            <thead>
              <tr>
                <th scope="col" className="w-16 text-left text-sm font-normal text-faint">
                  Week of
                </th>
                {DAYS.map((d) => (
                  <th key={d} scope="col" className="text-left text-sm font-normal text-faint">
                    {d}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {weeks.map((monday) => (
                <tr key={monday}>
                  <th scope="row" className="text-left align-top text-sm font-normal text-faint">
                    {printDay(monday).replace(/ \d{4}$/, '')}
                  </th>
                  {DAYS.map((d, i) => {
                    const day = addDays(monday, i);
                    return <Day key={d} day={day} now={now} tasks={tasks.filter((t) => t.on === day)} />;
                  })}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      <p className="mt-2 text-sm text-faint">! asks to be looked at first: its day says why.</p>
      <MarginNotes>
        <MarginNote title="In your own calendar">
          <p>
            The calendar file holds every round with what to prepare. A calendar on this machine can also subscribe to{' '}
            <span className="break-all">{window.location.origin + dataAt('calendar.ics')}</span>: it then follows when a
            programme changes.
          </p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}

import { addDays, addMonths, differenceInCalendarDays, format, parseISO, startOfMonth } from 'date-fns';
import type { Season } from '@wheat-ledger/core';

/** A season that still stands is drawn on for so many days after its first. */
const STANDS_DAYS = 180;
const MOST_TICKS = 8;

/** The seasons of a plot along the months: as long as each stood, as tall as its share of the plot. */
export function SeasonStrip({ seasons, chosen }: { seasons: readonly Season[]; chosen: Season | undefined }) {
  const spans = seasons.map((season) => {
    const from = parseISO(season.from);
    return { season, from, to: season.to ? parseISO(season.to) : addDays(from, STANDS_DAYS) };
  });
  const first = startOfMonth(new Date(Math.min(...spans.map((s) => s.from.getTime()))));
  const last = startOfMonth(addMonths(new Date(Math.max(...spans.map((s) => s.to.getTime()))), 1));
  const days = Math.max(1, differenceInCalendarDays(last, first));
  const at = (day: Date): string => `${((100 * differenceInCalendarDays(day, first)) / days).toFixed(2)}%`;
  const months = Math.round(days / 30.4);
  const step = Math.ceil(months / MOST_TICKS);
  const ticks = Array.from({ length: Math.ceil(months / step) }, (_, i) => addMonths(first, i * step));
  return (
    <div
      role="img"
      aria-label={`Seasons: ${seasons.map((s) => `${s.crop.name} from ${s.from}${s.to ? ` to ${s.to}` : ''}`).join('; ')}`}
      className="relative mb-3 h-18 border-b border-line-strong"
    >
      {ticks.map((tick, i) => (
        <span
          key={tick.getTime()}
          className={`absolute top-0 bottom-0 border-l border-rule pl-1 text-xs text-faint ${i % 2 === 1 ? 'max-sm:hidden' : ''}`}
          style={{ left: at(tick) }}
        >
          {format(tick, i === 0 || tick.getMonth() < step ? 'MMM yyyy' : 'MMM')}
        </span>
      ))}
      {spans.map(({ season, from, to }) => (
        <span
          key={season.from + season.crop.key}
          title={season.crop.name}
          className={`absolute bottom-0 flex items-center overflow-hidden border border-b-0 border-pine px-1.5 text-sm leading-tight ${season === chosen ? 'bg-paper font-semibold shadow-[inset_0_-5px_0_var(--wheat)]' : 'bg-paper text-faint'} ${season.to ? '' : 'border-r-0'}`}
          style={{
            left: at(from),
            width: `${((100 * differenceInCalendarDays(to, from)) / days).toFixed(2)}%`,
            height: `${Math.max(1.5, 3 * season.share)}rem`,
          }}
        >
          {season.crop.name}
        </span>
      ))}
    </div>
  );
}

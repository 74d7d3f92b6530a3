import { addDays, daysBetween, printDay, type ComputedRow, type Season } from '@wheat-ledger/core';

const [LEFT, RIGHT, LINE, MARK] = [12, 748, 46, 9];
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
const USUAL_DAYS = 182;
/** More marks than this nobody tells apart. */
const MOST_MARKS = 400;

/** The first of each month between two days. */
function monthStarts(from: string, days: number): readonly string[] {
  const starts: string[] = [];
  for (let d = 0; d <= days; d++) {
    const day = addDays(from, d);
    if (day.endsWith('-01')) starts.push(day);
  }
  return starts;
}

interface SeasonLineProps {
  readonly season: Season;
  readonly rows: readonly ComputedRow[];
  /** The number each row has where it was typed. */
  readonly numbers: readonly number[];
}

/** The season from its first day on, with every application as a numbered mark on its days. */
export function SeasonLine({ season, rows, numbers }: SeasonLineProps) {
  const dates = rows.flatMap((r) => r.dates ?? []);
  const first = [season.from, ...dates].reduce((a, b) => (b < a ? b : a));
  const last = [season.to ?? addDays(season.from, USUAL_DAYS), ...dates].reduce((a, b) => (b > a ? b : a));
  const days = Math.max(1, daysBetween(first, last));
  const x = (day: string): number => LEFT + (daysBetween(first, day) / days) * (RIGHT - LEFT);
  const stacked = new Map<string, number>();
  const marks = rows.flatMap((row, i) =>
    (row.dates ?? []).map((day) => {
      const height = stacked.get(day) ?? 0;
      stacked.set(day, height + 1);
      return { day, number: numbers[i] ?? i + 1, height, name: row.doing.given.name };
    }),
  );
  const highest = Math.max(0, ...stacked.values()) - 1;
  const top = Math.min(0, LINE - 8 - 2 * MARK - highest * (2 * MARK + 2));
  return (
    <svg
      viewBox={`0 ${top} 760 ${84 - top}`}
      className="mb-4 w-full"
      role="img"
      aria-label={`From ${printDay(first)} to ${printDay(last)}: ${marks.length === 0 ? 'nothing given yet' : `something is given ${marks.length === 1 ? 'once' : `${marks.length} times`}`}`}
      data-testid="season-line"
    >
      <path d={`M${LEFT} ${LINE}H${RIGHT}`} stroke="var(--line-strong)" strokeWidth="2" />
      {monthStarts(first, days).map((day) => (
        <g key={day}>
          <path d={`M${x(day)} ${LINE - 4}V${LINE + 4}`} stroke="var(--line-strong)" />
          <text x={x(day) + 3} y={LINE + 16} fontSize="12" fill="var(--faint)">
            {MONTHS[Number(day.slice(5, 7)) - 1]}
          </text>
        </g>
      ))}
      <g>
        <path d={`M${x(season.from)} ${LINE - 7}V${LINE + 7}`} stroke="var(--moss)" strokeWidth="3" />
        <text x={Math.min(x(season.from), RIGHT - 60)} y={LINE + 33} fontSize="12" fill="var(--moss)" fontWeight="600">
          {season.crop.name}
        </text>
      </g>
      {marks.slice(0, MOST_MARKS).map(({ day, number, height, name }) => (
        <g key={`${day} ${number}`} transform={`translate(${x(day)} ${LINE - 8 - MARK - height * (2 * MARK + 2)})`}>
          <title>{`${number} ${name}, ${printDay(day)}`}</title>
          <circle r={MARK} fill="var(--wheat)" />
          <text y="4" textAnchor="middle" fontSize="12" fontWeight="700" fill="var(--on-wheat)">
            {number}
          </text>
        </g>
      ))}
    </svg>
  );
}

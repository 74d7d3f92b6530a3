import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { addDays, daysBetween, formatGiven, printDay, type ComputedRow, type Season } from '@wheat-ledger/core';

/** The line begins and ends where the weeks of the drawing below it do. */
const [LEFT, RIGHT, LINE, MARK] = [58, 734, 96, 10];
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
const USUAL_DAYS = 182;
/** More marks than this nobody tells apart. */
const MOST_MARKS = 400;
const [LOWEST, HIGHEST] = [10, 62];

/** The first of each month between two days. */
function monthStarts(from: string, days: number): readonly string[] {
  const starts: string[] = [];
  for (let d = 0; d <= days; d++) {
    const day = addDays(from, d);
    if (day.endsWith('-01')) starts.push(day);
  }
  return starts;
}

/** kg N/ha that a row gives each time, for the height of its mark; none where it is not known. */
const nitrogenOf = ({ applied }: ComputedRow): number =>
  applied.kind === 'applied' ? (applied.brings.find((b) => b.analyte === 'N')?.figure.value.mid ?? 0) : 0;

/** How a mark was taken hold of, and how far it has been moved. */
export interface Hold {
  readonly row: number;
  readonly days: number;
  readonly factor: number;
}
interface SeasonTimelineProps {
  readonly season: Season;
  readonly rows: readonly ComputedRow[];
  /** The number each row has where it was typed. */
  readonly numbers: readonly number[];
  /** A mark is moved by so many days and so many times its amount, from where it was taken hold of. */
  readonly onMove: (hold: Hold, last: boolean) => void;
}

const KEYS: Readonly<Record<string, readonly [days: number, factor: number]>> = {
  ArrowLeft: [-1, 1],
  ArrowRight: [1, 1],
  ArrowUp: [0, 1.05],
  ArrowDown: [0, 1 / 1.05],
};
const [WEEK, QUARTER] = [7, 1.25];

/**
 * The season from its first day on, with every application as a numbered mark on its days, as high as the nitrogen it brings. A mark is dragged along
 * the season, and up and down for its amount; arrow keys do the same, with Shift in larger steps.
 */
export function SeasonTimeline({ season, rows, numbers, onMove }: SeasonTimelineProps) {
  const svg = useRef<SVGSVGElement>(null);
  const held = useRef<{ row: number; x: number; y: number }>(undefined);
  const dates = rows.flatMap((r) => r.dates ?? []);
  const first = [season.from, ...dates].reduce((a, b) => (b < a ? b : a));
  const last = [season.to ?? addDays(season.from, USUAL_DAYS), ...dates].reduce((a, b) => (b > a ? b : a));
  const days = Math.max(1, daysBetween(first, last));
  const x = (day: string): number => LEFT + (daysBetween(first, day) / days) * (RIGHT - LEFT);
  const most = Math.max(1, ...rows.map(nitrogenOf));
  const height = (row: ComputedRow): number => LOWEST + (nitrogenOf(row) / most) * (HIGHEST - LOWEST);
  const marks = rows.flatMap((row, i) =>
    (row.dates ?? []).map((day, nth) => ({
      day,
      nth,
      row,
      i,
      number: numbers[i] ?? i + 1,
      name: row.doing.given.name,
    })),
  );
  const scale = (): number => (svg.current?.getBoundingClientRect().width ?? 760) / 760;
  const moved = (event: PointerEvent): Hold | undefined => {
    const from = held.current;
    if (!from) return undefined;
    const perDay = ((RIGHT - LEFT) / days) * scale();
    const up = (from.y - event.clientY) / scale();
    return { row: from.row, days: Math.round((event.clientX - from.x) / perDay), factor: Math.max(0.05, 1 + up / 50) };
  };
  const drop = (event: PointerEvent): void => {
    const hold = moved(event);
    held.current = undefined;
    if (hold) onMove(hold, true);
  };
  const key = (event: KeyboardEvent, row: number): void => {
    const [by, factor] = KEYS[event.key] ?? [0, 1];
    if (by === 0 && factor === 1) return;
    event.preventDefault();
    const large = event.shiftKey;
    onMove(
      {
        row,
        days: by * (large ? WEEK : 1),
        factor: large && factor !== 1 ? (factor > 1 ? QUARTER : 1 / QUARTER) : factor,
      },
      true,
    );
  };
  return (
    <figure className="mb-4">
      <svg
        ref={svg}
        viewBox="0 0 760 136"
        className="w-full touch-none select-none"
        role="group"
        aria-label={`From ${printDay(first)} to ${printDay(last)}: ${marks.length === 0 ? 'nothing given yet' : `something is given ${marks.length === 1 ? 'once' : `${marks.length} times`}`}`}
        data-testid="season-line"
        onPointerMove={(event) => {
          const hold = moved(event);
          if (hold) onMove(hold, false);
        }}
        onPointerUp={drop}
        onPointerCancel={drop}
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
        <path d={`M${x(season.from)} ${LINE - 7}V${LINE + 7}`} stroke="var(--moss)" strokeWidth="3" />
        <text x={Math.min(x(season.from), RIGHT - 60)} y={LINE + 33} fontSize="12" fill="var(--moss)" fontWeight="600">
          {season.crop.name}
        </text>
        {marks.slice(0, MOST_MARKS).map(({ day, nth, row, i, number, name }) => {
          const top = LINE - height(row) - MARK;
          const kg = nitrogenOf(row);
          return (
            <g
              key={`${i} ${nth}`}
              transform={`translate(${x(day)} 0)`}
              className="cursor-grab focus-visible:outline-2"
              {...(nth === 0
                ? {
                    role: 'slider',
                    tabIndex: 0,
                    'aria-label': `Row ${number}, ${name}`,
                    'aria-valuemin': 0,
                    'aria-valuemax': days,
                    'aria-valuenow': daysBetween(first, day),
                    'aria-valuetext': `${printDay(day)}, ${formatGiven(Number(kg.toPrecision(3)))} kg N/ha`,
                    onKeyDown: (event: KeyboardEvent) => key(event, i),
                    'data-testid': 'mark',
                  }
                : {})}
              onPointerDown={(event) => {
                held.current = { row: i, x: event.clientX, y: event.clientY };
                event.currentTarget.setPointerCapture(event.pointerId);
              }}
            >
              <title>{`${number} ${name}, ${printDay(day)}`}</title>
              <path d={`M0 ${LINE}V${top + MARK}`} stroke="var(--wheat)" strokeWidth="3" />
              <circle cy={top} r={MARK} fill="var(--wheat)" />
              <text y={top + 4} textAnchor="middle" fontSize="12" fontWeight="700" fill="var(--on-wheat)">
                {number}
              </text>
            </g>
          );
        })}
      </svg>
      {marks.length > 0 && (
        <figcaption className="no-print text-sm text-faint">
          Drag a mark along the season, and up or down for its amount. Arrow keys do the same.
        </figcaption>
      )}
    </figure>
  );
}

import { useMemo } from 'react';
import { Link } from 'react-router';
import { formatTrimmed, REPLAY_LIMITS, yearsThat, type ReplayedYear } from '@wheat-ledger/core';
import { Empty } from '../ui/Sheet';
import { TaskNote } from '../ui/TaskNote';
import { useTask } from '../ui/useTask';
import type { Planned } from '../workers/release.worker';
import { REPLAYS } from './programmeJobs';

const FEW_YEARS = 3;
const percent = (share: number): string => `${Math.round(share * 100)} %`;
/** "3 of 19 years". */
export const ofYears = (years: readonly ReplayedYear[], what: 'short' | 'late' | 'drains'): string =>
  `${yearsThat(years, what)} of ${years.length}`;

const [BAR, GAP, HIGH, LOW, TOP, LEFT] = [18, 8, 74, 44, 12, 104];
const SCALE_STEP = 10;

/** Each year as a stem: up what the crop was short of, down what drained; a ring where nitrogen came late. */
function YearStems({ years }: { years: readonly ReplayedYear[] }) {
  const shortOf = (y: ReplayedYear): number => Math.max(0, y.demand - y.takenUp);
  const most = Math.max(SCALE_STEP, ...years.map((y) => Math.max(shortOf(y), (y.drained * HIGH) / LOW)));
  const axis = TOP + HIGH;
  const width = LEFT + years.length * (BAR + GAP);
  return (
    <div className="overflow-x-auto">
      <svg
        width={width}
        height={axis + LOW + 26}
        role="img"
        aria-label={`Of ${years.length} years the crop goes short in ${yearsThat(years, 'short')}, nitrogen comes late in ${yearsThat(years, 'late')}, and much drains in ${yearsThat(years, 'drains')}.`}
        fontSize="12"
        fill="var(--faint)"
      >
        <text x={LEFT - 8} y={axis - HIGH / 2} textAnchor="end">
          short of
        </text>
        <text x={LEFT - 8} y={axis - HIGH / 2 + 14} textAnchor="end">
          up to {formatTrimmed(most, 2)} kg/ha
        </text>
        <text x={LEFT - 8} y={axis + LOW / 2 + 4} textAnchor="end">
          drained
        </text>
        {years.map((y, i) => {
          const x = LEFT + i * (BAR + GAP);
          const up = (shortOf(y) / most) * HIGH;
          const down = (y.drained / most) * HIGH;
          return (
            <g key={y.year}>
              <title>
                {`${y.year}: short of ${formatTrimmed(shortOf(y), 3)}, drained ${formatTrimmed(y.drained, 3)} kg N/ha${y.late ? ', came late' : ''}`}
              </title>
              <rect x={x} y={axis - up} width={BAR} height={up} fill={y.short ? 'var(--beet)' : 'var(--line-strong)'} />
              <rect
                x={x}
                y={axis}
                width={BAR}
                height={Math.min(down, LOW)}
                fill="var(--slate)"
                opacity={y.drains ? 1 : 0.45}
              />
              {y.late && (
                <circle cx={x + BAR / 2} cy={axis - up - 7} r="4" fill="none" stroke="var(--wheat)" strokeWidth="2" />
              )}
              <text x={x + BAR / 2} y={axis + LOW + 18} textAnchor="middle">
                {`’${String(y.year % 100).padStart(2, '0')}`}
              </text>
            </g>
          );
        })}
        <path d={`M${LEFT} ${axis}H${width}`} stroke="var(--pine)" />
      </svg>
    </div>
  );
}

/** A programme through every year of the plot's own weather. */
export function YearsPart({ planned, plotId }: { planned: Planned; plotId: string }) {
  const asked = useMemo(() => [planned], [planned]);
  const task = useTask(REPLAYS, asked);
  const years = task.latest?.[0];
  return (
    <section data-testid="years">
      <h2 className="mb-1 text-xl">Through the years</h2>
      {years && years.length >= FEW_YEARS ? (
        <>
          <p className="mb-2">
            In {years.length} years of this plot’s own weather the crop goes short in <b>{yearsThat(years, 'short')}</b>
            , nitrogen comes late in <b>{yearsThat(years, 'late')}</b>, and much of it drains in{' '}
            <b>{yearsThat(years, 'drains')}</b>.
          </p>
          <YearStems years={years} />
          <p className="mt-1 text-sm text-faint">
            Short: more than {percent(REPLAY_LIMITS.short)} of its nitrogen is missing at the end. Late (ring): more
            than {percent(REPLAY_LIMITS.late)} behind at half of its uptake. Drains: more than{' '}
            {REPLAY_LIMITS.drainedKgPerHa} kg N/ha. Each year at the middle of every assumption.
          </p>
        </>
      ) : (
        years && (
          <Empty>
            This asks for a log of rain and evapotranspiration over {FEW_YEARS} seasons or more.{' '}
            <Link to={`/ground/${plotId}/weather`} className="plain">
              Add a weather file
            </Link>
            .
          </Empty>
        )
      )}
      {task.latest && !years && <Empty>What the crop takes up, or when, is not known.</Empty>}
      <TaskNote task={task} what="the years" />
    </section>
  );
}

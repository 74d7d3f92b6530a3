import { CartesianGrid, Line, LineChart, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import type { TrialRecord } from '@wheat-ledger/contract';
import {
  formatTrimmed,
  leaders,
  printDay,
  type TrialOutcome,
  type TrialReading,
  type TrialUnit,
} from '@wheat-ledger/core';
import { DAY_AXIS } from '../ui/dayAxis';
import { EDGE } from '../ui/weekAxes';
import { planOf } from './useTrial';

const COLOURS = ['var(--pine)', 'var(--wheat)', 'var(--beet)', 'var(--moss)', 'var(--slate)'];
const DASHES = ['', '6 3', '2 3', '8 3 2 3', '1 2'];

interface CourseProps {
  readonly trial: TrialRecord;
  readonly outcome: TrialOutcome;
  readonly readings: readonly TrialReading[];
  readonly units: readonly TrialUnit[];
}
/** How a harvest adds up over the days, arm by arm, with who led when: the early leader is often not the last. */
export function HarvestPart({ trial, outcome, readings, units }: CourseProps) {
  const own = readings.filter((r) => r.measure === outcome.key);
  const names = trial.arms.map((a) => a.name);
  const led = leaders(planOf(trial), own, units, outcome.better);
  if (led.length < 2) return null;
  const points = led.map((l) => ({
    day: Date.parse(l.on),
    ...Object.fromEntries(l.totals.map((t, a) => [`a${a}`, t])),
  }));
  const changes = led.filter((l, i) => i === 0 || l.arm !== led[i - 1]?.arm);
  return (
    <figure data-testid="leaders">
      <p>
        {changes.map((l, i) => `${i === 0 ? 'On' : 'from'} ${printDay(l.on)} ${names[l.arm] ?? ''} led`).join(', ')}
        {changes.length > 1 ? ': the early leader was not the last.' : ', and to the end.'}
      </p>
      <figcaption className="flex flex-wrap gap-x-4 text-sm text-faint">
        {names.map((name, a) => (
          <span key={name} className="flex items-center gap-1.5">
            <span className="size-2.5 rounded-full" style={{ background: COLOURS[a % COLOURS.length] }} />
            {name}
          </span>
        ))}
        <span>
          {outcome.unit} a unit, added up; {formatTrimmed(led.length, 2)} days
        </span>
      </figcaption>
      <div
        className="h-44 max-w-3xl"
        role="img"
        aria-label={names.map((n, a) => `${n} ${formatTrimmed(led.at(-1)?.totals[a] ?? 0, 3)}`).join(', ')}
      >
        <ResponsiveContainer width="100%" height="100%">
          <LineChart data={points} margin={{ top: 8, right: 12, bottom: 0, left: 0 }}>
            <CartesianGrid stroke="var(--rule)" vertical={false} />
            <XAxis {...DAY_AXIS} ticks={points.map((p) => p.day)} />
            <YAxis {...EDGE} width={44} />
            {names.map((name, a) => (
              <Line
                key={name}
                dataKey={`a${a}`}
                name={name}
                stroke={COLOURS[a % COLOURS.length] ?? 'var(--pine)'}
                strokeDasharray={DASHES[a % DASHES.length] ?? ''}
                strokeWidth={2}
                isAnimationActive={false}
              />
            ))}
          </LineChart>
        </ResponsiveContainer>
      </div>
    </figure>
  );
}

import type { TrialRecord } from '@wheat-ledger/contract';
import {
  decimalsOf,
  formatFixed,
  formatTrimmed,
  lastUsefulLook,
  leastP,
  logRank,
  meanTime,
  mmPerMinute,
  peek,
  printDay,
  type ArmReading,
  type OutcomeReading,
  type Permuted,
  type Timed,
  type TrialOutcome,
  type TrialReading,
  type TrialUnit,
} from '@wheat-ledger/core';
import { Term } from '../glossary/Term';
import { FormPart } from '../ui/EditForm';
import { stateOf } from './useTrial';

interface Found {
  readonly reading: OutcomeReading;
  readonly permuted: Permuted | undefined;
}

/** Writes the means of a trial, their intervals and differences alike: as fine as two figures of the narrowest interval's half. */
function alike(arms: readonly ArmReading[]): (value: number) => string {
  const half = Math.min(...arms.flatMap((a) => (a.interval ? [(a.interval.high - a.interval.low) / 2] : [])));
  if (!(half > 0 && half < Infinity)) return (value) => formatTrimmed(value, 4);
  return (value) => formatFixed(value, decimalsOf(half, 2));
}

/** How much more an arm has than the control; a bound where times were not over. */
function differenceText(arm: ArmReading, control: ArmReading | undefined, written: (value: number) => string): string {
  if (!arm.against) return arm.values.length === 0 || control?.values.length === 0 ? 'nothing measured' : '–';
  if (arm.atLeast && control?.atLeast) return 'unknown';
  const bound = arm.atLeast ? '≥ ' : control?.atLeast ? '≤ ' : '';
  const { difference, interval } = arm.against;
  const between = interval ? ` (${written(interval.low)} to ${written(interval.high)})` : '';
  return `${bound}${written(difference)}${between}`;
}

/** Means, differences and how likely they are chance. */
export function ArmsTable({ trial, outcome, found }: { trial: TrialRecord; outcome: TrialOutcome; found: Found }) {
  const { reading, permuted } = found;
  const written = alike(reading.arms);
  return (
    <div className="relative overflow-x-auto">
      <table className="ledger" data-testid="arms">
        <caption className="pb-1 text-left text-sm text-faint">
          {outcome.name}, {outcome.unit}; means are adjusted for the layout and for lost units; intervals hold 95 %, by
          the error of the whole trial
        </caption>
        <thead>
          <tr>
            <th scope="col">Arm</th>
            <th scope="col" className="num">
              units
            </th>
            <th scope="col" className="num">
              mean
            </th>
            <th scope="col" className="num">
              between
            </th>
            <th scope="col" className="num">
              more than the control
            </th>
            <th scope="col" className="num">
              <Term of="pValue">p</Term>
            </th>
          </tr>
        </thead>
        <tbody>
          {reading.arms.map((a) => {
            const against = permuted?.outcomes[0]?.find((x) => x.arm === a.arm);
            return (
              <tr key={a.arm}>
                <th scope="row">{trial.arms[a.arm]?.name}</th>
                <td className="num">{a.values.length}</td>
                <td className="num">{Number.isNaN(a.mean) ? '–' : `${a.atLeast ? '≥ ' : ''}${written(a.mean)}`}</td>
                <td className="num">
                  {a.interval ? `${written(a.interval.low)} to ${written(a.interval.high)}` : '–'}
                </td>
                <td className="num">
                  {a.arm === trial.control ? 'the control' : differenceText(a, reading.arms[trial.control], written)}
                </td>
                <td className="num">{against ? formatTrimmed(against.p, 2) : '–'}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

/** The same as mm of water a minute, where it is water that soaks in; empty otherwise. */
const soaks = ({ litres, groundM2 }: TrialRecord['outcomes'][number], minutes: number): string =>
  litres !== undefined && groundM2 !== undefined && minutes > 0
    ? `, ${formatTrimmed(mmPerMinute(litres, groundM2, minutes), 2)} mm a minute`
    : '';

/** Runs that were not over, by the log-rank test, and between what and what their mean lies. */
export function TimedPart({
  trial,
  outcome,
  units,
  readings,
  permuted,
}: {
  trial: TrialRecord;
  outcome: TrialRecord['outcomes'][number];
  units: readonly TrialUnit[];
  readings: readonly TrialReading[];
  /** Without it nothing can be judged, and no test is told. */
  permuted: Permuted | undefined;
}) {
  const last = new Map<number, TrialReading>();
  for (const r of [...readings].sort((a, b) => a.on.localeCompare(b.on))) last.set(r.unit, r);
  const timesOf = (arm: number): readonly Timed[] =>
    units.flatMap((u) => {
      const r = last.get(u.number);
      return u.arm === arm && r ? [{ minutes: r.value, over: r.notOver !== true }] : [];
    });
  const control = timesOf(trial.control);
  return (
    <ul className="ml-5 list-disc" data-testid="timed">
      {trial.arms.map((a, i) => {
        const times = timesOf(i);
        if (times.length === 0) return null;
        const mean = meanTime(times);
        const judged = permuted?.outcomes[0]?.some((x) => x.arm === i);
        const test = judged ? logRank(times, control) : undefined;
        return (
          <li key={a.name}>
            {a.name}: {mean.high === undefined ? `at least ${formatTrimmed(mean.low, 3)}` : formatTrimmed(mean.low, 3)}{' '}
            min on average{soaks(outcome, mean.low)}
            {test && `; log-rank against the control, p ${formatTrimmed(test.p, 2)}`}
          </li>
        );
      })}
    </ul>
  );
}

/** Whether stopping now is fair, for who looks before the day. */
export function PeekPart({
  trial,
  days,
  permuted,
}: {
  trial: TrialRecord;
  days: number;
  permuted: Permuted | undefined;
}) {
  if (stateOf(trial) !== 'running' || days < 1) return null;
  const times = trial.layout === 'latin' ? trial.arms.length : trial.replicates;
  const least = permuted?.least[0] ?? leastP(trial.layout, trial.arms.length, times);
  const p = permuted?.outcomes[0]?.reduce((smallest, a) => Math.min(smallest, a.p), 1);
  const look = peek(days, p ?? 1, least);
  return (
    <FormPart title="May I stop now?">
      <p data-testid="peek">
        This is look {days}. To stop now is fair at a p of {formatTrimmed(look.needed, 2)} or less
        {p === undefined ? '.' : `; it is ${formatTrimmed(p, 2)}: `}
        {p !== undefined && <b>{look.fair ? 'you may stop.' : 'go on, until the day.'}</b>}
      </p>
      <p className="text-sm text-faint">
        At the k-th look 0.05 × 6 ÷ (π² k²) is needed, so that all looks together err in at most 5 of 100 trials. It
        costs power:{' '}
        {lastUsefulLook(least) === 0
          ? 'so few units can never stop early'
          : `so many units can stop early at the first ${lastUsefulLook(least)} looks only`}
        . The reading on {printDay(trial.until)} stands apart.
      </p>
    </FormPart>
  );
}

/** By what a reading was judged. */
export function HowJudged({ outcome, found: { reading, permuted } }: { outcome: TrialOutcome; found: Found }) {
  const { anova } = reading;
  const oneEach = reading.arms.every((a) => a.values.length <= 1);
  return (
    <p className="text-sm text-faint">
      {permuted
        ? `p by ${permuted.exact ? 'all' : ''} ${permuted.arrangements} arrangements that chance could have made, each with its own error, the largest difference counting (max-T)${outcome.kind === 'score' ? ', on ranks' : reading.arms.some((a) => a.atLeast) ? ', on log-rank scores' : ''}. `
        : oneEach
          ? 'With one of each there is nothing to set a difference against. '
          : 'Too little was measured to tell a difference from chance. '}
      {permuted && !reading.arms.some((a) => a.atLeast) && anova?.f !== undefined && anova.p !== undefined
        ? `Analysis of variance: F ${formatTrimmed(anova.f, 4)} on ${anova.arms.df} and ${anova.error.df}, p ${formatTrimmed(anova.p, 2)}; spread of like units ${formatTrimmed((anova.cv ?? 0) * 100, 2)} %.`
        : ''}
    </p>
  );
}

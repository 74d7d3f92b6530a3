import { useMemo, useState } from 'react';
import type { TrialRecord, TrialSheetRecord } from '@wheat-ledger/contract';
import {
  answerWords,
  formatTrimmed,
  lastUsefulLook,
  leastP,
  logRank,
  meanTime,
  peek,
  printDay,
  rankedUnits,
  readOutcome,
  valueOf,
  type CourseSummary,
  type OutcomeReading,
  type Permuted,
  type Timed,
  type TrialOutcome,
  type TrialReading,
  type TrialUnit,
} from '@wheat-ledger/core';
import { FormPart } from '../ui/EditForm';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { PrintButton } from '../ui/PrintButton';
import { Empty, Loading, Remark, Sheet } from '../ui/Sheet';
import { TaskNote } from '../ui/TaskNote';
import { useKeep } from '../ui/useKeep';
import { useTask } from '../ui/useTask';
import type { TrialQuestion } from '../workers/trial.worker';
import { DecidePart } from './DecidePart';
import { DotsPicture } from './DotsPicture';
import { HarvestPart } from './HarvestPart';
import { PERMUTE } from './readingJobs';
import { studyOf } from './studyOf';
import { TrialPages } from './TrialPages';
import { planOf, readingsOf, stateOf, useTrial } from './useTrial';

interface Found {
  readonly reading: OutcomeReading;
  readonly permuted: Permuted | undefined;
}

/** Means, differences and how likely they are chance. */
function ArmsTable({ trial, outcome, found }: { trial: TrialRecord; outcome: TrialOutcome; found: Found }) {
  const { reading, permuted } = found;
  return (
    <div className="relative overflow-x-auto">
      <table className="ledger" data-testid="arms">
        <caption className="pb-1 text-left text-sm text-faint">
          {outcome.name}, {outcome.unit}; intervals hold 95 %, by the error of the whole trial
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
              p
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
                <td className="num">{Number.isNaN(a.mean) ? '–' : formatTrimmed(a.mean, 4)}</td>
                <td className="num">
                  {a.interval ? `${formatTrimmed(a.interval.low, 3)} to ${formatTrimmed(a.interval.high, 3)}` : '–'}
                </td>
                <td className="num">
                  {a.arm === trial.control
                    ? 'the control'
                    : formatTrimmed(a.mean - (reading.arms[trial.control]?.mean ?? 0), 3)}
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

/** Runs that were not over, by the log-rank test, and between what and what their mean lies. */
function TimedPart({
  trial,
  units,
  readings,
}: {
  trial: TrialRecord;
  units: readonly TrialUnit[];
  readings: readonly TrialReading[];
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
        const test = i === trial.control ? undefined : logRank(times, control);
        return (
          <li key={a.name}>
            {a.name}: {mean.high === undefined ? `at least ${formatTrimmed(mean.low, 3)}` : formatTrimmed(mean.low, 3)}{' '}
            min on average
            {test && `; log-rank against the control, p ${formatTrimmed(test.p, 2)}`}
          </li>
        );
      })}
    </ul>
  );
}

/** Whether stopping now is fair, for who looks before the day. */
function PeekPart({ trial, days, p }: { trial: TrialRecord; days: number; p: number | undefined }) {
  if (stateOf(trial) !== 'running' || days < 1) return null;
  const times = trial.layout === 'latin' ? trial.arms.length : trial.replicates;
  const least = leastP(trial.layout, trial.arms.length, times);
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

function Reading({
  trial,
  units,
  sheets,
  outcome,
}: {
  trial: TrialRecord;
  units: readonly TrialUnit[];
  sheets: readonly TrialSheetRecord[];
  outcome: TrialOutcome;
}) {
  const [summary, setSummary] = useState<CourseSummary>('last');
  const [withOdd, setWithOdd] = useState(true);
  const { keep, saving } = useKeep('study');
  const all = useMemo(() => readingsOf(sheets).filter((r) => r.measure === outcome.key), [sheets, outcome]);
  const left = useMemo(
    () => new Set(trial.odd.filter((o) => o.state === 'lost' || !withOdd).map((o) => o.unit)),
    [trial.odd, withOdd],
  );
  const values = useMemo(
    () =>
      new Map(
        units.map((u) => [
          u.number,
          left.has(u.number)
            ? Number.NaN
            : valueOf(
                outcome,
                all.filter((r) => r.unit === u.number),
                summary,
                trial.until,
              ),
        ]),
      ),
    [units, all, outcome, summary, left, trial.until],
  );
  const plan = useMemo(() => planOf(trial), [trial]);
  const reading = useMemo(
    () => readOutcome(plan, units, (u) => values.get(u.number) ?? Number.NaN),
    [plan, units, values],
  );
  const question = useMemo((): TrialQuestion | undefined => {
    const placed = units.map(({ arm, block, row, column, number }) => ({
      ...{ arm, row, column, values: [values.get(number) ?? Number.NaN] },
      ...(block === undefined ? {} : { block }),
    }));
    if (placed.every((u) => Number.isNaN(u.values[0] ?? Number.NaN))) return undefined;
    return {
      units: outcome.kind === 'score' ? rankedUnits(placed, trial.layout) : placed,
      options: { layout: trial.layout, control: trial.control, seed: trial.seed },
    };
  }, [units, values, outcome, trial]);
  const task = useTask(PERMUTE, question);
  const permuted = task.result;
  if (all.length === 0) return <Empty>Nothing of {outcome.name} is measured yet.</Empty>;
  const days = new Set(all.map((r) => r.on)).size;
  const early = stateOf(trial) !== 'finished';
  const p = permuted?.outcomes[0]?.reduce((least, a) => Math.min(least, a.p), 1);
  const { anova } = reading;
  const done = !task.running;
  return (
    <div className="flex flex-col gap-5">
      <div>
        <p className="text-[1.1875rem]" data-testid="answer">
          {early && <span className="text-beet">Before its day: </span>}
          {done ? answerWords(plan, outcome, reading, permuted) : 'Working it out …'}
        </p>
        {outcome.key !== trial.decides && (
          <p className="text-faint">This outcome was not named as the one that decides: it is exploration.</p>
        )}
        <TaskNote task={task} what="the chance of it" />
      </div>
      <div className="no-print flex flex-wrap gap-x-5 gap-y-1">
        {(outcome.kind === 'number' || outcome.kind === 'count') && (
          <label className="flex items-center gap-2 text-faint">
            Told by
            <select
              className="field !w-auto"
              value={summary}
              onChange={(e) => setSummary(e.target.value as CourseSummary)}
            >
              <option value="last">its last value</option>
              <option value="slope">its change a day</option>
              <option value="area">the mean of its course</option>
            </select>
          </label>
        )}
        {trial.odd.some((o) => o.state === 'odd') && (
          <label className="flex items-center gap-1.5">
            <input
              type="checkbox"
              className="size-4 accent-wheat"
              checked={withOdd}
              onChange={(e) => setWithOdd(e.target.checked)}
            />
            with the odd units
          </label>
        )}
      </div>
      <DotsPicture
        arms={reading.arms}
        names={trial.arms.map((a) => a.name)}
        control={trial.control}
        unit={summary === 'slope' ? `${outcome.unit} a day` : outcome.unit}
      />
      <ArmsTable trial={trial} outcome={outcome} found={{ reading, permuted }} />
      <p className="text-sm text-faint">
        {permuted
          ? `p by ${permuted.exact ? 'all' : ''} ${permuted.arrangements} arrangements that chance could have made, each with its own error, the largest difference counting (max-T)${outcome.kind === 'score' ? ', on ranks' : ''}. `
          : 'With one of each there is nothing to set a difference against. '}
        {anova?.f !== undefined && anova.p !== undefined
          ? `Analysis of variance: F ${formatTrimmed(anova.f, 4)} on ${anova.arms.df} and ${anova.error.df}, p ${formatTrimmed(anova.p, 2)}; spread of like units ${formatTrimmed((anova.cv ?? 0) * 100, 2)} %.`
          : ''}
      </p>
      {outcome.kind === 'timed' && <TimedPart trial={trial} units={units} readings={all} />}
      {outcome.kind === 'harvest' && (
        <HarvestPart outcome={outcome} readings={all} units={units} names={trial.arms.map((a) => a.name)} />
      )}
      <PeekPart trial={trial} days={days} p={p} />
      {outcome.key === trial.decides && <DecidePart trial={trial} outcome={outcome} reading={reading} />}
      <p className="no-print flex flex-wrap items-center gap-3">
        <span className="text-faint">As a study of the claims:</span>
        {trial.arms.map((a, arm) =>
          arm === trial.control ? null : (
            <button
              key={a.name}
              type="button"
              className="action"
              disabled={saving}
              onClick={() =>
                void keep(studyOf(trial, outcome, reading, arm), undefined, `“${a.name}” is a study now, under Claims.`)
              }
            >
              {a.name} against the control
            </button>
          ),
        )}
      </p>
      {early && (
        <Remark tone="note">
          It is read on {printDay(trial.until)}. What is seen before is a look, and looking changes nothing of the plan.
        </Remark>
      )}
    </div>
  );
}

/** What a trial found, as a gardener reads it and as a statistician checks it. */
export function ReadView() {
  const { trial, units, sheets, isLoading } = useTrial();
  const [key, setKey] = useState('');
  if (isLoading) return <Loading what="the reading" />;
  if (!trial)
    return (
      <Sheet title="No such trial" question="It was taken out, or was never here.">
        <Empty>What was taken out can be restored from the book.</Empty>
      </Sheet>
    );
  const outcome = trial.outcomes.find((o) => o.key === (key || trial.decides)) ?? trial.outcomes[0];
  return (
    <Sheet title={trial.name} question={trial.question} actions={<PrintButton />}>
      <TrialPages id={trial.id} />
      {trial.outcomes.length > 1 && (
        <label className="no-print mb-3 flex items-center gap-2 text-faint">
          Outcome
          <select
            className="field !w-auto"
            aria-label="Outcome"
            value={outcome?.key ?? ''}
            onChange={(e) => setKey(e.target.value)}
          >
            {trial.outcomes.map((o) => (
              <option key={o.key} value={o.key}>
                {o.name}
                {o.key === trial.decides ? ', decides' : ''}
              </option>
            ))}
          </select>
        </label>
      )}
      {outcome && <Reading key={outcome.key} trial={trial} units={units} sheets={sheets} outcome={outcome} />}
      <MarginNotes>
        <MarginNote title="What p is">
          <p>
            If nothing did anything, how often chance alone would set some arm so far apart. It is not the chance that
            the arm works.
          </p>
        </MarginNote>
        <MarginNote title="One test decides">
          <p>
            It was named before the start. The others may well show something: that is a question for the next trial.
          </p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}

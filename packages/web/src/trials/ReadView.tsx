import { useState } from 'react';
import type { TrialRecord, TrialSheetRecord } from '@wheat-ledger/contract';
import { answerWords, printDay, type CourseSummary, type TrialUnit } from '@wheat-ledger/core';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { PrintButton } from '../ui/PrintButton';
import { Empty, Loading, Remark, Sheet } from '../ui/Sheet';
import { TaskNote } from '../ui/TaskNote';
import { useKeep } from '../ui/useKeep';
import { ChainPart } from './ChainPart';
import { DecidePart } from './DecidePart';
import { DotsPicture } from './DotsPicture';
import { GardensPart } from './GardensPart';
import { HarvestPart } from './HarvestPart';
import { ArmsTable, HowJudged, PeekPart, TimedPart } from './ReadParts';
import { JarsPart } from './JarsPart';
import { studyOf } from './studyOf';
import { OutcomeChoice } from './OutcomeChoice';
import { NoTrial, TrialPages } from './TrialPages';
import { useReading } from './useReading';
import { stateOf, useTrial } from './useTrial';

function Reading({
  trial,
  units,
  sheets,
  outcome,
}: {
  trial: TrialRecord;
  units: readonly TrialUnit[];
  sheets: readonly TrialSheetRecord[];
  outcome: TrialRecord['outcomes'][number];
}) {
  const [summary, setSummary] = useState<CourseSummary>('last');
  const [withOdd, setWithOdd] = useState(true);
  const { keep, saving } = useKeep('study');
  const { all, plan, present, reading, task, values, notOver, losses } = useReading(
    trial,
    units,
    sheets,
    outcome,
    summary,
    withOdd,
  );
  const permuted = task.result;
  if (all.length === 0) return <Empty>Nothing of {outcome.name} is measured yet.</Empty>;
  const days = new Set(all.map((r) => r.on)).size;
  const early = stateOf(trial) !== 'finished';
  const done = task.settled;
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
        {losses.map((sentence) => (
          <p key={sentence} data-testid="losses">
            {sentence}
          </p>
        ))}
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
        notOver={notOver}
      />
      <ArmsTable trial={trial} outcome={outcome} found={{ reading, permuted }} />
      {done && <HowJudged outcome={outcome} found={{ reading, permuted }} />}
      {outcome.kind === 'timed' && (
        <TimedPart trial={trial} outcome={outcome} units={present} readings={all} permuted={permuted} />
      )}
      {trial.jars && outcome.key === trial.decides && (
        <JarsPart trial={trial} jars={trial.jars} units={present} readings={all} />
      )}
      {outcome.kind === 'harvest' && <HarvestPart trial={trial} outcome={outcome} readings={all} units={present} />}
      <PeekPart trial={trial} days={days} permuted={permuted} />
      {outcome.key === trial.decides && <ChainPart trial={trial} />}
      <GardensPart
        trial={trial}
        outcome={outcome}
        units={units}
        // What was not over makes no difference between two units.
        values={new Map([...values].filter(([unit]) => !notOver.has(unit)))}
      />
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
  if (!trial) return <NoTrial />;
  const outcome = trial.outcomes.find((o) => o.key === (key || trial.decides)) ?? trial.outcomes[0];
  return (
    <Sheet title={trial.name} question={trial.question} actions={<PrintButton />}>
      <TrialPages id={trial.id} />
      {trial.outcomes.length > 1 && (
        <label className="no-print mb-3 flex items-center gap-2 text-faint">
          Outcome
          <OutcomeChoice trial={trial} open={outcome?.key} onChoose={setKey} />
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

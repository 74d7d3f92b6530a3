import type { StudyInput, TrialInput } from '@wheat-ledger/contract';
import { printDay, sdFromDifference, type OutcomeReading, type TrialOutcome } from '@wheat-ledger/core';

/** One arm of a trial against its control as a study, with the design it really had: one of each is somebody's word. */
export function studyOf(trial: TrialInput, outcome: TrialOutcome, reading: OutcomeReading, arm: number): StudyInput {
  const [treated, control] = [reading.arms[arm], reading.arms[trial.control]];
  const se = treated?.against?.se;
  // Times that were not over have no mean that a study could keep.
  const known = treated && control && !treated.atLeast && !control.atLeast;
  const judged = known && se !== undefined && se > 0;
  const [nTreated, nControl] = [treated?.values.length ?? 0, control?.values.length ?? 0];
  // The spread that gives the error of the adjusted difference; with nothing lost it is that of the trial.
  const sd = judged ? sdFromDifference(se, nTreated, nControl) : 0;
  return {
    title: `${trial.name}: ${trial.arms[arm]?.name ?? ''}, ${outcome.name}`.slice(0, 500),
    authors: '',
    year: Number(trial.until.slice(0, 4)),
    source: 'own trial',
    doi: '',
    design: !judged ? 'testimonial' : trial.unitWidthM * trial.unitDepthM < 0.3 ? 'pot' : 'field',
    control: trial.controlIs,
    randomised: judged ? 'yes' : 'no',
    blinded: 'unknown',
    funding: 'independent',
    likeHere: 'yes',
    sameOutcome: 'yes',
    result: judged
      ? {
          kind: 'means',
          treated: treated.mean,
          control: control.mean,
          nTreated,
          nControl,
          spread: 'sd',
          first: sd,
          second: sd,
        }
      : { kind: 'words' },
    trial: trial.name,
    note: `${trial.question} Read on ${printDay(trial.until)}.`.slice(0, 2000),
    sample: false,
  };
}

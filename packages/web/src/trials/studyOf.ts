import type { StudyInput, TrialInput } from '@wheat-ledger/contract';
import { printDay, type OutcomeReading, type TrialOutcome } from '@wheat-ledger/core';

/** One arm of a trial against its control as a study, with the design it really had: one of each is somebody's word. */
export function studyOf(trial: TrialInput, outcome: TrialOutcome, reading: OutcomeReading, arm: number): StudyInput {
  const [treated, control] = [reading.arms[arm], reading.arms[trial.control]];
  const ms = reading.anova?.error.ms;
  // Times that were not over have no mean that a study could keep.
  const known = treated && control && !treated.atLeast && !control.atLeast;
  const judged = known && ms !== undefined && ms > 0 && (reading.anova?.error.df ?? 0) > 0;
  const sd = judged ? Math.sqrt(ms) : 0;
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
          nTreated: treated.values.length,
          nControl: control.values.length,
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

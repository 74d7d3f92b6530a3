import { MOST_UNITS } from '@wheat-ledger/core';
import type { TrialInput, TrialSheetInput } from './trial.js';
import type { FieldProblem } from './validate.js';

/** What of a trial is fixed once it has begun. */
export const FIXED_FIELDS = [
  'question',
  'until',
  'wouldChangePercent',
  'decides',
  'layout',
  'replicates',
  'seed',
  'control',
  'controlIs',
] as const satisfies readonly (keyof TrialInput)[];

/** What does not fit together in a trial. */
export function trialProblems(t: TrialInput): readonly FieldProblem[] {
  const units = unitCount(t);
  const keys = t.outcomes.map((o) => o.key);
  const names = t.arms.map((a) => a.name.trim().toLowerCase());
  const blocks = t.layout === 'blocks' ? t.replicates : 1;
  const placed = t.blockPlaces?.length ?? blocks;
  return [
    ...(placed === blocks
      ? []
      : [{ path: 'blockPlaces', message: `Read places of ${placed} blocks, expected ${blocks}.` }]),
    ...(t.control >= t.arms.length
      ? [{ path: 'control', message: `Read arm ${t.control + 1}, expected one of ${t.arms.length}.` }]
      : []),
    ...(units > MOST_UNITS
      ? [{ path: 'replicates', message: `Read ${units} units, expected at most ${MOST_UNITS}.` }]
      : []),
    ...(keys.includes(t.decides)
      ? []
      : [{ path: 'decides', message: 'Expected one of the outcomes as the one that decides.' }]),
    ...(new Set(keys).size < keys.length ? [{ path: 'outcomes', message: 'Expected each outcome once.' }] : []),
    ...(new Set(names).size < names.length
      ? [{ path: 'arms', message: 'Expected each arm with a name of its own.' }]
      : []),
  ];
}

/** How many units a trial has. */
export const unitCount = ({ layout, arms, replicates }: Pick<TrialInput, 'layout' | 'arms' | 'replicates'>): number =>
  arms.length * (layout === 'latin' ? arms.length : replicates);

/** What of a sheet is not of its trial: an outcome that is not measured there, a unit beyond the last, a unit twice. */
export function sheetProblems(
  { outcome, values }: TrialSheetInput,
  trial: Pick<TrialInput, 'outcomes' | 'layout' | 'arms' | 'replicates'>,
): readonly FieldProblem[] {
  const units = unitCount(trial);
  const seen = new Set<number>();
  return [
    ...(trial.outcomes.some((o) => o.key === outcome)
      ? []
      : [{ path: 'outcome', message: `Read ${outcome}, expected an outcome of this trial.` }]),
    ...values.flatMap(({ unit }, i): FieldProblem[] => {
      const path = `values.${i}.unit`;
      if (unit > units) return [{ path, message: `Read unit ${unit}, expected at most ${units}.` }];
      if (seen.has(unit)) return [{ path, message: `Read unit ${unit} twice, expected it once.` }];
      seen.add(unit);
      return [];
    }),
  ];
}

/** What was changed of a trial that has begun although it is fixed. */
export function fixedProblems(before: TrialInput, after: TrialInput): readonly FieldProblem[] {
  if (!before.startedOn) return [];
  const fixed = FIXED_FIELDS.filter((f) => before[f] !== after[f]);
  const names = (t: TrialInput): string => JSON.stringify(t.arms.map((a) => a.name));
  return [
    ...fixed.map((path) => ({ path, message: 'This was fixed when the trial began. A new question is a new trial.' })),
    ...(names(before) === names(after)
      ? []
      : [{ path: 'arms', message: 'The arms were fixed when the trial began. Other arms are a new trial.' }]),
  ];
}

import { StudyInput, validateInput, type TrialInput } from '@wheat-ledger/contract';
import { TRIALS } from '@wheat-ledger/demo';
import { layOut, readOutcome } from '@wheat-ledger/core';
import { groundOf } from './groundOf';
import { studyOf } from './studyOf';
import { planOf, readingsOf, unitsOf } from './useTrial';
import { valuesOf } from './valuesOf';

const [ferment, , magnesium] = TRIALS as unknown as readonly (TrialInput & { sheets: never[] })[];
const height = ferment!.outcomes[0]!;

/** The sample's finished trial as it was read. */
function readFerment() {
  const units = unitsOf(ferment!);
  const readings = readingsOf(ferment!.sheets).filter((r) => r.measure === 'height');
  const values = valuesOf(ferment!, height, units, readings, new Set([1]), 'last');
  return { units, values, reading: readOutcome(planOf(ferment!), units, (u) => values.get(u.number) ?? Number.NaN) };
}

test('who stands where follows from the seed; a trial that cannot be laid out has no units', () => {
  expect(unitsOf(ferment!)).toEqual(layOut('blocks', 3, 6, ferment!.seed));
  expect(unitsOf({ ...ferment!, arms: [] })).toEqual([]);
});

test('a unit comes to its last value up to the day, and a lost one to nothing', () => {
  const { values } = readFerment();
  const last = ferment!.sheets.filter((s: { outcome: string }) => s.outcome === 'height').at(-1)! as {
    values: readonly { unit: number; value: number }[];
  };
  expect(values.get(2)).toBe(last.values.find((v) => v.unit === 2)!.value);
  expect(values.get(1)).toBeNaN();
});

test('a study has the means, the error of the trial as its spread, the units that were left, and the design it had', () => {
  const { reading } = readFerment();
  const study = studyOf(ferment!, height, reading, 1);
  expect(validateInput(StudyInput, study).ok).toBe(true);
  expect(study).toMatchObject({ design: 'pot', control: 'water', randomised: 'yes', trial: ferment!.name });
  expect(study.result).toMatchObject({ kind: 'means', spread: 'sd', treated: reading.arms[1]!.mean });
  // With a unit lost the spread is what makes the error of the adjusted difference.
  const { nTreated = 0, nControl = 0, first = 0 } = study.result;
  expect(first * Math.sqrt(1 / nTreated + 1 / nControl)).toBeCloseTo(reading.arms[1]!.against!.se!, 12);
  expect((study.result.nTreated ?? 0) + (study.result.nControl ?? 0)).toBeGreaterThanOrEqual(11);
  expect(studyOf({ ...ferment!, unitWidthM: 2, unitDepthM: 2 }, height, reading, 1).design).toBe('field');
});

test('one of each is somebody’s word: no numbers, and not randomised', () => {
  const units = unitsOf(magnesium!);
  const reading = readOutcome(planOf(magnesium!), units, (u) => u.arm + 1);
  const study = studyOf(magnesium!, magnesium!.outcomes[0]!, reading, 1);
  expect(study).toMatchObject({ design: 'testimonial', randomised: 'no', result: { kind: 'words' } });
  expect(validateInput(StudyInput, study).ok).toBe(true);
});

test('nitrogen is what programmes say, else what is typed', () => {
  expect(groundOf(ferment!).nitrogen).toEqual([undefined, 12, 12]);
  expect(groundOf(ferment!, [0, 20, 12]).nitrogen).toEqual([0, 20, 12]);
});

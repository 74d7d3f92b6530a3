import { inputOf, TrialInput, trialProblems, validateInput } from '@wheat-ledger/contract';
import { TRIALS } from '@wheat-ledger/demo';
import { blankArm, blankTrial, nextKey, readTrial, trialText } from './trialText';

/** A trial of the sample without what names its plot and holds its sheets. */
const kept = (at: number): TrialInput => {
  const { name, question, until, wouldChangePercent, cvPercent, decides, layout, replicates, seed, arms, control } =
    TRIALS[at]!;
  const { controlIs, outcomes, plantsPerUnit, unitWidthM, unitDepthM, heldEqual, shaded, usedLastYear, asksNutrients } =
    TRIALS[at]!;
  const { startedOn, odd, note } = TRIALS[at]!;
  return {
    ...{ name, question, until, wouldChangePercent, cvPercent, decides, layout, replicates, seed, arms, control },
    ...{ controlIs, outcomes, plantsPerUnit, unitWidthM, unitDepthM, heldEqual, shaded, usedLastYear, asksNutrients },
    ...(startedOn === undefined ? {} : { startedOn }),
    ...{ odd, note },
  };
};

test.each([0, 1, 2])('trial %d of the sample typed again is the same, and valid', (at) => {
  const trial = kept(at);
  const read = readTrial(trialText(trial), trial);
  expect(read.problems).toEqual([]);
  expect(read.plain).toEqual(trial);
  expect(validateInput(TrialInput, read.plain).ok).toBe(true);
  expect(trialProblems(read.plain)).toEqual([]);
});

test('blank rows are left out, and the control keeps its arm', () => {
  const text = { ...trialText(kept(0)), control: '3' };
  text.arms = [text.arms[0]!, blankArm(), text.arms[1]!, text.arms[2]!];
  const read = readTrial(text);
  expect(read.plain.arms.map((a) => a.name)).toEqual(['Water', 'Nettle ferment', 'Same nitrogen']);
  expect(read.plain.control).toBe(2);
  expect(read.rows!.arms).toEqual([0, 2, 3]);
});

test('what cannot be read is told by its field', () => {
  const read = readTrial({ ...trialText(kept(0)), until: 'some day', cv: 'wide', width: 'two steps' });
  expect(read.problems.map((p) => p.path)).toEqual(['until', 'cvPercent', 'unitWidthM']);
});

test('water that soaks in is of a timed run only', () => {
  const text = trialText(kept(1));
  expect(readTrial(text).plain.outcomes[0]).toMatchObject({ litres: 1, groundM2: 0.07 });
  const number = { ...text, outcomes: [{ ...text.outcomes[0]!, kind: 'number' as const }] };
  expect(readTrial(number).plain.outcomes[0]).not.toHaveProperty('litres');
});

test('a new trial is nearly one: it lacks its name, its question and its day', () => {
  const read = readTrial(blankTrial(7));
  const checked = validateInput(TrialInput, read.plain);
  expect(checked.ok).toBe(false);
  expect(nextKey([{ key: 'o1' }, { key: 'o3' }])).toBe('o2');
  expect(inputOf({ ...kept(0), id: 'x', version: 1, updatedAt: '', deletedAt: null })).toEqual(kept(0));
});

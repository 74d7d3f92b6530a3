import { readLine } from '../ui/useScale';
import { begin, grown, inTub, mended, nextStep, withTaken, type Weighing } from './weighSteps';

const PARTS = [
  { name: 'Urea', share: 0.25 },
  { name: 'Meal', share: 0.75 },
];
const after = (...kg: readonly number[]): Weighing => kg.reduce((w, taken) => withTaken(PARTS, w, taken), begin(4));

test('one part after the other, each by its share of the batch, and then nothing', () => {
  expect(nextStep(PARTS, begin(4))).toEqual({ at: 0, kg: 1, again: false });
  expect(nextStep(PARTS, after(1))).toEqual({ at: 1, kg: 3, again: false });
  expect(nextStep(PARTS, after(1, 3))).toBeUndefined();
});

test('a batch that grew asks for more of what was weighed before, at the end', () => {
  const over = after(1, 3.6);
  const larger = grown(over, mended(PARTS, over, {}, 'kg'));
  expect(larger.batchKg).toBeCloseTo(4.8, 9);
  const step = nextStep(PARTS, larger);
  expect(step).toEqual({ at: 0, kg: expect.closeTo(0.2, 9), again: true });
  const done = withTaken(PARTS, larger, 0.2);
  expect(nextStep(PARTS, done)).toBeUndefined();
  expect(inTub(PARTS, done)).toEqual([expect.closeTo(1.2, 9), 3.6]);
});

test('without room the batch stays as it is', () => {
  const over = after(1, 3.6);
  const found = mended(PARTS, over, { tubKg: 4.5 }, 'kg');
  expect(found.kind).toBe('noRoom');
  expect(grown(over, found)).toBe(over);
});

test('a line of the scale, and what is none', () => {
  expect(readLine('1.200 kg steady')).toEqual({ kind: 'reading', kg: 1.2, steady: true });
  expect(readLine('-0.004 kg moving')).toEqual({ kind: 'reading', kg: -0.004, steady: false });
  expect(readLine('too much')).toEqual({ kind: 'tooMuch' });
  for (const line of ['gone', '', 'kg', '1.2 lb steady']) expect(readLine(line)).toEqual({ kind: 'gone' });
});

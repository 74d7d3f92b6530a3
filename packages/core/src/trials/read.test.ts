import type { TrialOutcome } from './course.js';
import { layOut } from './layout.js';
import { permute } from './permute.js';
import {
  answerWords,
  HELD_EQUAL,
  readOutcome,
  seeWords,
  trialDoubts,
  type TrialGround,
  type TrialPlan,
} from './read.js';

const height: TrialOutcome = { key: 'h', name: 'height', kind: 'number', unit: 'cm', better: 'more' };
const plan = (given: Partial<TrialPlan> = {}): TrialPlan => ({
  layout: 'blocks',
  arms: [{ name: 'Water' }, { name: 'Ferment' }],
  control: 0,
  replicates: 6,
  plantsPerUnit: 1,
  ...given,
});
const ground = (given: Partial<TrialGround> = {}): TrialGround => ({
  heldEqual: HELD_EQUAL,
  shaded: false,
  usedLastYear: false,
  nitrogen: [50, 50],
  asksNutrients: false,
  ...given,
});
const texts = (p: TrialPlan, g: TrialGround): string =>
  trialDoubts(p, g)
    .map((d) => d.text)
    .join(' ');

test('a good trial has no doubts; one plant each is talked out of, five blocks of two are told what they cannot do', () => {
  expect(trialDoubts(plan(), ground())).toEqual([]);
  expect(texts(plan({ replicates: 1 }), ground())).toMatch(/One of each cannot tell/);
  expect(texts(plan({ replicates: 5 }), ground())).toMatch(/once in 16: 0\.05 cannot be reached\. 6 blocks can/);
  expect(texts(plan({ replicates: 6 }), ground())).toBe('');
});

test('unequal pots and plants, shade, beds used before and nitrogen that differs are each told with their reason', () => {
  expect(texts(plan(), ground({ heldEqual: ['water', 'soil', 'start'] }))).toMatch(
    /several sizes.*more plants give more/,
  );
  expect(texts(plan(), ground({ heldEqual: ['pot', 'plants', 'soil', 'start'] }))).toMatch(
    /Not held equal: the same water\./,
  );
  expect(texts(plan(), ground({ shaded: true }))).toMatch(/blocks run along it/);
  expect(texts(plan(), ground({ usedLastYear: true }))).toMatch(/carry it over/);
  expect(texts(plan(), ground({ nitrogen: [50, 100] }))).toMatch(/differ in nitrogen/);
  expect(texts(plan(), ground({ nitrogen: [50, 100], asksNutrients: true }))).toBe('');
  expect(texts(plan(), ground({ nitrogen: [undefined, 100] }))).toBe('');
  expect(texts(plan(), ground({ nitrogen: [95, 100] }))).toBe('');
});

test('with two each and a CV of 12 % about 70 % can be seen without blocks, and about 200 % in two', () => {
  expect(seeWords('random', 2, 2, 0.12)).toMatch(/about (?:6[789]|7[01]) %/);
  expect(seeWords('blocks', 2, 2, 0.12)).toMatch(/about (?:19|20|21)\d %/);
  expect(seeWords('blocks', 2, 1, 0.12)).toMatch(/no difference at all/);
});

/** A trial in which the second arm is so much taller, in blocks that differ. */
function grown(by: number, replicates: number) {
  const p = plan({ replicates });
  const units = layOut('blocks', 2, replicates, 3);
  const valueOfUnit = (u: (typeof units)[number]): number =>
    20 + (u.block ?? 0) * 3 + u.arm * by + ((u.number * 7) % 3) * 0.2;
  const reading = readOutcome(p, units, valueOfUnit);
  const permuted = permute(
    units.map((u) => ({ ...u, values: [valueOfUnit(u)] })),
    { layout: 'blocks', control: 0 },
  );
  return { p, units, reading, permuted };
}

test('six blocks with one arm always ahead: better, by how much, and likely real', () => {
  const { p, reading, permuted } = grown(4, 6);
  expect(reading.arms.map((a) => a.values.length)).toEqual([6, 6]);
  expect(reading.arms[1]!.mean - reading.arms[0]!.mean).toBeGreaterThan(3.5);
  expect(reading.arms[0]!.interval!.low).toBeLessThan(reading.arms[0]!.mean);
  expect(answerWords(p, height, reading, permuted)).toMatch(
    /^Ferment was better by 1\d % than the control: likely real \(p 0\.031\)\.$/,
  );
  expect(answerWords(p, { ...height, better: 'less' }, reading, permuted)).toMatch(/worse by/);
});

test('three blocks say that they cannot tell; one of each has a difference and the words, and never a p', () => {
  const three = grown(4, 3);
  expect(answerWords(three.p, height, three.reading, three.permuted)).toMatch(/So few blocks cannot tell.*0\.25/);
  const one = grown(4, 1);
  expect(one.permuted).toBeUndefined();
  expect(one.reading.arms[0]!.interval).toBeUndefined();
  const words = answerWords(one.p, height, one.reading, one.permuted);
  expect(words).toMatch(/Ferment 2\d(?:\.\d)? against 20(?:\.\d)? cm: no inference possible\.$/);
  expect(words).not.toMatch(/\bp\b/);
});

test('a lost unit is left out of its arm', () => {
  const { p, units } = grown(4, 6);
  const reading = readOutcome(p, units, (u) => (u.number === 1 ? Number.NaN : u.arm));
  expect(reading.arms.reduce((n, a) => n + a.values.length, 0)).toBe(11);
});

test('a time that was not over makes a mean a least one, without an interval and without a share', () => {
  const { p, units, permuted } = grown(4, 6);
  const minutes: TrialOutcome = { key: 'soak', name: 'soaks in', kind: 'timed', unit: 'min', better: 'less' };
  const reading = readOutcome(
    p,
    units,
    (u) => (u.arm === 0 ? 10 : 15),
    new Set([units.find((u) => u.arm === 1)!.number]),
  );
  expect(reading.arms.map((a) => [a.atLeast, a.interval === undefined])).toEqual([
    [false, false],
    [true, true],
  ]);
  expect(answerWords(p, minutes, reading, permuted)).toMatch(
    /^Ferment was worse than the control: likely real \(p 0\.031\)\. Some were not over: by how much is not known\.$/,
  );
});

test('a difference of ranks is told without a share of anything', () => {
  const { p, reading, permuted } = grown(4, 6);
  const crumb: TrialOutcome = { key: 'crumb', name: 'crumb', kind: 'score', unit: '', better: 'more' };
  expect(answerWords(p, crumb, reading, permuted)).toBe('Ferment was better than the control: likely real (p 0.031).');
});

test('without blocks so few units cannot tell: of 3 and 3 the least p is 0.1', () => {
  const p = plan({ layout: 'random', replicates: 3 });
  const units = layOut('random', 2, 3, 3);
  const valueOfUnit = (u: (typeof units)[number]): number => 20 + u.arm * 9 + u.number * 0.1;
  const permuted = permute(
    units.map((u) => ({ ...u, values: [valueOfUnit(u)] })),
    { layout: 'random', control: 0 },
  );
  expect(answerWords(p, height, readOutcome(p, units, valueOfUnit), permuted)).toMatch(
    /So few units cannot tell: even the clearest result has a p of 0\.1\.$/,
  );
});

import { leastOf, type TrialOutcome } from './course.js';
import { layOut } from './layout.js';
import { lossesOf, lossWords } from './losses.js';
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

/** Three arms in four blocks with steps of 100, effects 0, 10 and 20 and a little of chance; the control of the last block is lost. */
const noise = [0.3, -0.4, 0.1, -0.2, 0.5, -0.3, 0.2, -0.1, 0.4, -0.5, 0.1, 0.2];
const stepped = (lost: (u: { arm: number; block: number }) => boolean, arms = 3) =>
  [0, 1, 2, 3].flatMap((block) =>
    Array.from({ length: arms }, (_, arm) => {
      const value = block * 100 + arm * 10 + (noise[block * arms + arm] ?? 0);
      const number = block * arms + arm + 1;
      return {
        ...{ number, arm, block, row: block, column: arm, code: '' },
        value: lost({ arm, block }) ? Number.NaN : value,
      };
    }),
  );
const readStepped = (units: ReturnType<typeof stepped>) => {
  const p = plan({ arms: [{ name: 'Water' }, { name: 'Ferment' }, { name: 'Meal' }], replicates: 4 });
  const reading = readOutcome(p, units, (u) => (u as (typeof units)[number]).value);
  const permuted = permute(
    units.map((u) => ({ ...u, values: [u.value] })),
    { layout: 'blocks', control: 0 },
  );
  return { reading, permuted, words: answerWords(p, height, reading, permuted) };
};

test('a lost unit shifts no mean: the control of the last block is what the other arms of that block say', () => {
  const { reading, permuted, words } = readStepped(stepped((u) => u.arm === 0 && u.block === 3));
  // Plain mean of the three controls left: 100.
  expect(reading.arms[0]!.mean).toBeCloseTo(150, 0);
  expect(reading.arms.map((a) => a.against && Math.round(a.against.difference))).toEqual([undefined, 10, 20]);
  expect(permuted!.outcomes[0]!.map((a) => a.difference)).toEqual(
    reading.arms.slice(1).map((a) => expect.closeTo(a.against!.difference, 9)),
  );
  const { se } = reading.arms[2]!.against!;
  expect(permuted!.outcomes[0]![1]!.t).toBeCloseTo(reading.arms[2]!.against!.difference / se!, 6);
  expect(permuted!.outcomes[0]![1]!.t).toBeGreaterThan(40);
  // The lost unit makes the intervals of its own arm wider than those of the others.
  const width = (arm: number): number => reading.arms[arm]!.interval!.high - reading.arms[arm]!.interval!.low;
  expect(width(0)).toBeGreaterThan(width(1));
  expect(words).toMatch(/Meal was better by 13 % than the control/);
});

test('an arm without readings has no p and no percentage, and the others are judged without it', () => {
  const { reading, permuted, words } = readStepped(stepped((u) => u.arm === 1));
  expect(reading.arms[1]).toMatchObject({ values: [], interval: undefined, against: undefined });
  expect(reading.arms[1]!.mean).toBeNaN();
  // Meal and water alone: two arms in four blocks.
  expect(permuted!.outcomes[0]!.map((a) => a.arm)).toEqual([2]);
  expect(permuted!.outcomes[0]![0]!.p).toBeCloseTo(2 / 16, 12);
  expect([permuted!.arrangements, permuted!.least]).toEqual([16, [2 / 16]]);
  expect(words).toMatch(/Nothing was measured of Ferment\. So few blocks cannot tell/);
});

test('without readings of the control there is nothing to compare with', () => {
  const { reading, permuted, words } = readStepped(stepped((u) => u.arm === 0));
  expect(permuted).toBeUndefined();
  expect(reading.arms[2]!.against).toBeUndefined();
  expect(words).toBe('Nothing was measured of the control: there is nothing to compare with.');
});

test('arms that share no block are not compared', () => {
  const { reading, permuted } = readStepped(stepped((u) => (u.block < 2 ? u.arm > 0 : u.arm === 0)));
  expect(permuted).toBeUndefined();
  expect(reading.arms.map((a) => [a.interval, a.against])).toEqual(reading.arms.map(() => [undefined, undefined]));
});

test('one layout is told the same least p before and after: nine units of three arms reach 4 of 216', () => {
  const units = stepped(() => false).filter((u) => u.block < 3);
  const { permuted, words } = readStepped(units);
  expect(permuted!.outcomes[0]![1]!.p).toBeCloseTo(4 / 216, 12);
  expect(permuted!.least[0]).toBeCloseTo(4 / 216, 12);
  expect(words).not.toMatch(/cannot tell/);
  const three = plan({ arms: [{ name: 'a' }, { name: 'b' }, { name: 'c' }], replicates: 3 });
  expect(trialDoubts(three, ground())).toEqual([
    {
      hard: false,
      text: expect.stringMatching(/one treatment alone differs, p can be 0\.11.*With 4 blocks/) as string,
    },
  ]);
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
    /^Ferment was worse than the control: likely real \(p 0\.031\)\. Some were not over: by how much is unknown\.$/,
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

test('an interval does not reach below what the outcome can be, unless a value did', () => {
  const units = layOut('random', 2, 3, 3);
  const small = (u: (typeof units)[number]): number => (u.number % 3 === 0 ? 5 : 0.1);
  const lows = (least?: number, of = small): readonly number[] =>
    readOutcome(plan({ layout: 'random', replicates: 3 }), units, of, new Set(), least).arms.map(
      (a) => a.interval!.low,
    );
  expect(Math.min(...lows())).toBeLessThan(0);
  expect(Math.min(...lows(0))).toBe(0);
  expect(Math.min(...lows(0, (u) => small(u) - 1))).toBeLessThan(-1);
  const kinds = [
    { kind: 'harvest', unit: 'kg' },
    { kind: 'score', unit: '' },
    { kind: 'number', unit: 'cm' },
    { kind: 'number', unit: '°C' },
  ] as const;
  expect(kinds.map(leastOf)).toEqual([0, 1, 0, undefined]);
});

test('losses are told arm by arm; where they are unlike, survival is tested and the means speak of survivors only', () => {
  const p = plan();
  const units = layOut('blocks', 2, 6, 3);
  const treated = units.filter((u) => u.arm === 1).map((u) => u.number);
  const told = (lost: ReadonlySet<number>): readonly string[] =>
    lossWords(
      p,
      lossesOf(2, units, lost),
      permute(
        units.map((u) => ({ ...u, values: [lost.has(u.number) ? 0 : 1] })),
        { layout: 'blocks', control: 0 },
      ),
    );
  expect(told(new Set())).toEqual([]);
  expect(told(new Set(treated))).toEqual([
    'Lost: Water 0 of 6, Ferment 6 of 6.',
    'Ferment lost more than the control: likely real (p 0.031).',
    'The means speak of survivors only: losses may come from the treatment.',
  ]);
  expect(told(new Set(treated.slice(0, 1)))[1]).toMatch(/lost more.*as likely chance as not \(p 1\)/);
  expect(told(new Set([treated[0]!, units.find((u) => u.arm === 0)!.number]))).toEqual([
    'Lost: Water 1 of 6, Ferment 1 of 6.',
  ]);
});

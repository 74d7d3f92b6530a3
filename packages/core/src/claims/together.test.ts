import { meanOfArms, pool } from '../statistics/index.js';
import { evidenceOf } from './evidence.js';
import { CLAIM_KINDS, CLAIM_KIND_KEYS } from './kinds.js';
import { PRACTICES, practicesFor } from './practices.js';
import { READING_LIST } from './readingList.js';
import { studyEffect, type Study } from './study.js';

const study = (id: string, treated: number, given: Partial<Study> = {}): Study => ({
  id,
  name: id,
  design: 'field',
  control: 'sameNutrients',
  randomised: 'yes',
  blinded: 'yes',
  funding: 'independent',
  doseMultiple: 1,
  likeHere: 'yes',
  sameOutcome: 'yes',
  result: { kind: 'means', treated, control: 10, nTreated: 5, nControl: 5, spread: 'sd', first: 1, second: 1 },
  leftOut: undefined,
  sample: false,
  ...given,
});
const NO_FIGURE = { gain: undefined, less: false };

test('the mean of two arms with one control is less certain than of two with their own', () => {
  const apart = [
    { effect: 0.1, variance: 0.02, shared: 0 },
    { effect: 0.3, variance: 0.02, shared: 0 },
  ];
  expect(meanOfArms(apart)).toEqual({ effect: 0.2, variance: expect.closeTo(0.01, 12) });
  const together = meanOfArms(apart.map((a) => ({ ...a, shared: 0.01 })));
  expect(together).toEqual({ effect: 0.2, variance: expect.closeTo(0.015, 12) });
  expect(() => meanOfArms([])).toThrow(/no arm/);
});

test('arms of one trial are put together before they are pooled, and are told as arms', () => {
  const arms = [study('half dose', 11, { trial: 'Bed 7' }), study('full dose', 13, { trial: 'Bed 7' })];
  const other = study('elsewhere', 12);
  const { units, pooled, studies, text } = evidenceOf([...arms, other], [], NO_FIGURE);
  expect(studies).toHaveLength(3);
  expect(units.map((u) => u.name)).toEqual(['Bed 7 (2 arms)', 'elsewhere']);
  const effects = [...arms, other].map((s) => {
    const found = studyEffect(s, 'logRatio');
    if (found.kind === 'none') throw new Error(found.why);
    return found.effect;
  });
  // The control’s part of the variance: 1² ÷ (5 × 10²).
  expect(effects[0]!.shared).toBeCloseTo(0.002, 12);
  expect(pooled!.effect).toBeCloseTo(pool([meanOfArms(effects.slice(0, 2)), effects[2]!]).effect, 12);
  expect(text).toMatch(/^2 studies together/);
});

test('two arms of a single trial are one study, which is not pooled', () => {
  const { pooled, reasons } = evidenceOf(
    [study('a', 11, { trial: 'x' }), study('b', 12, { trial: 'x' })],
    [],
    NO_FIGURE,
  );
  expect(pooled).toBeUndefined();
  expect(reasons).toContain('a single study');
});

test('the pool is looked at without each study, by design, dose and soil, and by size', () => {
  const { looks } = evidenceOf(
    [
      study('a', 11),
      study('b', 12, { design: 'pot', doseMultiple: 4 }),
      study('c', 15, { design: 'pot', likeHere: 'no' }),
    ],
    [],
    NO_FIGURE,
  );
  expect(looks.without.map((w) => w.name)).toEqual(['a', 'b', 'c']);
  expect(looks.without[2]!.pooled.effect).toBeLessThan(looks.without[0]!.pooled.effect);
  expect(looks.groups.map((g) => g.by)).toEqual(['design', 'dose', 'crop and soil']);
  expect(looks.groups[0]!.groups).toMatchObject([
    { group: 'field, replicated', studies: 1, pooled: undefined },
    { group: 'pots', studies: 2 },
  ]);
  expect(looks.small!.enough).toBe(false);
});

test('a promise of less is held against what is spared: a tenth less does not keep the promise of half', () => {
  const less = (gain: number) =>
    evidenceOf(
      [
        study('a', 9, { result: counts(90) }),
        study('b', 9, { result: counts(88) }),
        study('c', 9, { result: counts(86) }),
      ],
      [],
      {
        gain,
        less: true,
      },
    );
  const counts = (treatedEvents: number): Study['result'] => ({
    kind: 'counts',
    treatedEvents,
    nTreated: 1000,
    controlEvents: 200,
    nControl: 1000,
  });
  expect(less(0.9).answer).toBe('against');
  expect(less(0.4).answer).toBe('supports');
});

describe('practices', () => {
  test('are known by their own keys, answer kinds that exist and name work that is on the list', () => {
    expect(new Set(PRACTICES.map((p) => p.key)).size).toBe(PRACTICES.length);
    const reading = READING_LIST.map((r) => r.key);
    for (const p of PRACTICES) {
      for (const key of p.answers) expect(CLAIM_KIND_KEYS).toContain(key);
      for (const key of p.reading) expect(reading).toContain(key);
      expect(p.hoursPer100M2.low).toBeLessThanOrEqual(p.hoursPer100M2.high);
    }
  });

  test('every effect has one, and doing nothing and counting is among those of a growth claim', () => {
    for (const kind of CLAIM_KINDS.filter((k) => k.about === 'effect'))
      expect(practicesFor(kind.key).length).toBeGreaterThan(0);
    expect(practicesFor('stimulates')[0]!.key).toBe('nothing');
  });
});

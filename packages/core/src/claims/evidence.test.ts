import { evidenceOf, SMALL_GAIN, type Promised } from './evidence.js';
import { CLAIM_KINDS, claimKind } from './kinds.js';
import { READING_LIST } from './readingList.js';
import { scaleFor, studyEffect, type MeansResult, type Study } from './study.js';

const means = (treated: number, control: number, given: Partial<MeansResult> = {}): MeansResult => ({
  kind: 'means',
  treated,
  control,
  nTreated: 6,
  nControl: 6,
  spread: 'sd',
  first: treated / 20,
  second: control / 20,
  ...given,
});
const study = (result: Study['result'], given: Partial<Study> = {}): Study => ({
  id: given.name ?? 'a',
  name: 'A study',
  design: 'field',
  control: 'sameNutrients',
  randomised: 'yes',
  blinded: 'yes',
  funding: 'independent',
  doseMultiple: 1,
  likeHere: 'yes',
  sameOutcome: 'yes',
  result,
  leftOut: undefined,
  sample: false,
  ...given,
});
const NO_FIGURE: Promised = { gain: undefined, less: false };
const of = (studies: readonly Study[], promised = NO_FIGURE) => evidenceOf(studies, [], promised);

describe('the effect of a study', () => {
  test('by SD, SE, interval, p and LSD of one and the same result it is the same', () => {
    const bySd = studyEffect(study(means(12, 10, { first: 2, second: 2 })), 'logRatio');
    if (bySd.kind !== 'effect') throw new Error(bySd.why);
    // SD 2 in both of six: SE of the difference 2 × √(1/3); t(10) = 2.22814.
    const se = 2 * Math.sqrt(1 / 3);
    const t = 2.2281388;
    const ways: readonly Partial<MeansResult>[] = [
      { spread: 'se', first: 2 / Math.sqrt(6), second: 2 / Math.sqrt(6) },
      { spread: 'interval', first: 2 - t * se, second: 2 + t * se },
      { spread: 'lsd', first: t * se, second: 0 },
    ];
    for (const way of ways) {
      const found = studyEffect(study(means(12, 10, way)), 'logRatio');
      if (found.kind !== 'effect') throw new Error(found.why);
      expect(found.effect.variance).toBeCloseTo(bySd.effect.variance, 6);
      expect(found.working.length).toBeGreaterThan(0);
    }
  });

  test('words, single units, means without a ratio and mixed kinds have none, and say why', () => {
    const why = (result: Study['result'], scale: 'logRatio' | 'logRisk' = 'logRatio'): string => {
      const found = studyEffect(study(result), scale);
      return found.kind === 'none' ? found.why : 'an effect';
    };
    expect(why({ kind: 'words' })).toMatch(/no numbers/);
    expect(why(means(12, 10, { nTreated: 1 }))).toMatch(/fewer than two units/);
    expect(why(means(0, 10, { first: 1, second: 1 }))).toMatch(/expected one above zero/);
    expect(why(means(12, 10, { first: 0, second: 0 }))).toMatch(/no spread/);
    expect(why(means(12, 10), 'logRisk')).toMatch(/others give counts/);
  });

  test('the scale is the one on which most studies have an effect', () => {
    const counts = study({ kind: 'counts', treatedEvents: 3, nTreated: 20, controlEvents: 9, nControl: 20 });
    expect(scaleFor([study(means(12, 10)), counts])).toBe('logRatio');
    expect(scaleFor([counts, counts, study(means(12, 10))])).toBe('logRisk');
    // A mean below zero allows no ratio.
    expect(scaleFor([study(means(-2, -5, { first: 1, second: 1 }))])).toBe('g');
  });
});

describe('what studies say together', () => {
  test('no study: it cannot be told, and whether anybody looked is told', () => {
    expect(of([])).toMatchObject({ answer: 'cannotTell', sure: 'very low', pooled: undefined });
    const searched = evidenceOf([], [{ where: 'a library', on: '2026-01-01', words: 'nettle', found: '' }], NO_FIGURE);
    expect(searched.text).toMatch(
      /Searched \(a library\) and found nothing that counts: that is not the same as shown not to work/,
    );
  });

  test('one study is never pooled', () => {
    const one = of([study(means(12, 10))]);
    expect(one.pooled).toBeUndefined();
    expect(one.text).toMatch(/One study is not pooled/);
    expect(one.reasons).toContain('a single study');
  });

  test('four alike and fair are sure: above zero it supports', () => {
    const four = [11.8, 12, 12.1, 12.3].map((t, i) => study(means(t, 10), { name: `S${i}` }));
    const found = of(four);
    expect([found.answer, found.sure, found.pooled?.studies]).toEqual(['supports', 'high', 4]);
    expect(found.reasons).toEqual([]);
  });

  test('what is promised decides: a gain of 20 % is not 60 %, and none at all is against', () => {
    const four = [11.8, 12, 12.1, 12.3].map((t, i) => study(means(t, 10), { name: `S${i}` }));
    expect(of(four, { gain: 0.6, less: false }).answer).toBe('against');
    expect(of(four, { gain: 0.15, less: false }).answer).toBe('supports');
    const none = [9.9, 10, 10.05, 9.95].map((t, i) =>
      study(means(t, 10, { nTreated: 60, nControl: 60 }), { name: `N${i}` }),
    );
    expect(of(none).answer).toBe('against');
    expect(SMALL_GAIN).toBe(0.03);
    // Of a pest, less is better.
    const fewer = [6, 6.2, 5.9].map((t, i) => study(means(t, 10), { name: `F${i}` }));
    expect(of(fewer).answer).toBe('against');
    expect(of(fewer, { gain: undefined, less: true }).answer).toBe('supports');
  });

  test('a study that is left out is shown with its reason and does not count', () => {
    const found = of([
      study(means(12, 10), { name: 'In' }),
      study(means(12.1, 10), { name: 'In too' }),
      study(means(30, 10), { name: 'Out', leftOut: 'the control got no water' }),
    ]);
    expect(found.pooled?.studies).toBe(2);
    expect(found.studies[2]).toMatchObject({ why: 'the control got no water' });
    expect(Math.exp(found.pooled!.effect)).toBeLessThan(1.3);
  });

  test.each([
    [{ control: 'none' }, 'no control'],
    [{ design: 'pot' }, 'not replicated in a field'],
    [{ randomised: 'unknown' }, 'not known to be allotted at random'],
    [{ doseMultiple: 1.51 }, 'another dose than on the label'],
    [{ doseMultiple: undefined }, 'another dose than on the label'],
    [{ likeHere: 'no' }, 'another crop or soil than here'],
    [{ funding: 'seller' }, 'the seller’s own data'],
    [{ sameOutcome: 'no' }, 'it measured something else than is promised'],
  ] as const)('%j makes it less sure: %s', (given, reason) => {
    const four = [11.8, 12, 12.1, 12.3].map((t, i) => study(means(t, 10), { ...given, name: `S${i}` }));
    expect(of(four).reasons).toEqual([reason]);
    expect(of(four).sure).toBe('moderate');
  });
  test('a dose of one and a half times the label rate still counts as the label’s', () => {
    const four = [11.8, 12, 12.1, 12.3].map((t, i) => study(means(t, 10), { doseMultiple: 1.5, name: `S${i}` }));
    expect(of(four).reasons).toEqual([]);
  });
});

test('every kind of claim names what usually decides it and what to ask, and only published work of the list', () => {
  const keys = new Set(READING_LIST.map((r) => r.key));
  expect(keys.size).toBe(21);
  for (const kind of CLAIM_KINDS) {
    expect(kind.decides.length).toBeGreaterThan(0);
    expect(kind.ask).toMatch(/\?$/);
    for (const key of kind.reading) expect(keys.has(key)).toBe(true);
  }
  const named = new Set(CLAIM_KINDS.flatMap((k): readonly string[] => k.reading));
  expect([...keys].filter((k) => !named.has(k))).toEqual([]);
  expect(claimKind('nonsense').key).toBe('other');
});

import fc from 'fast-check';
import { bag, direction, featherMeal, line, seasonOf } from '../../test/bags.js';
import { addDays } from '../quantity/index.js';
import {
  bagAs,
  computeProgramme,
  PLAIN_WATER,
  type Application,
  type Given,
  type When,
  type Where,
} from '../season/index.js';
import { bagsOf, carry, latestNitrogen, taskKey, tasksBetween, weatherWords, type Planned } from './round.js';

const season = { ...seasonOf('wheat', '2026-03-15'), to: '2026-08-01' };
const application = (when: When, where: Where = { kind: 'surface' }): Application => ({
  amount: { kind: 'rate', rate: { amount: 50, unit: 'g', per: { amount: 1, unit: 'm²' } } },
  when,
  where,
  part: { share: 1 },
});
const weekly: When = { kind: 'repeat', from: '2026-05-01', to: '2026-05-31', everyDays: 7 };
const plan = (when: When, given: Given = bagAs(featherMeal), where?: Where, rest: Partial<Planned> = {}): Planned => ({
  programmeId: 'p',
  name: 'Feeding',
  plotId: 'a',
  plotName: 'Wheat strip',
  season,
  rows: computeProgramme([{ application: application(when, where), given }], { areaM2: 900 }, season, []).rows,
  ...rest,
});
const NOBODY = new Set<string>();

test('each day of a repeat is a task of its own: late, due, coming or ticked off', () => {
  const done = new Set([taskKey('p', 0, '2026-05-01')]);
  const tasks = tasksBetween([plan(weekly)], '2026-05-01', '2026-05-31', done, '2026-05-15');
  expect(tasks.map((t) => [t.on, t.state])).toEqual([
    ['2026-05-01', 'done'],
    ['2026-05-08', 'late'],
    ['2026-05-15', 'due'],
    ['2026-05-22', 'coming'],
    ['2026-05-29', 'coming'],
  ]);
});

test('what was left undone comes along for two weeks, and what is done does not', () => {
  const from = (day: string, done = NOBODY) =>
    tasksBetween([plan({ kind: 'date', on: '2026-05-01' })], day, day, done, day).map((t) => t.on);
  expect(from('2026-05-10')).toEqual(['2026-05-01']);
  expect(from('2026-05-16')).toEqual([]);
  expect(from('2026-05-10', new Set([taskKey('p', 0, '2026-05-01')]))).toEqual([]);
});

test('what is carried adds up over plots by bag: 45 kg each on 900 m², a mix by its parts', () => {
  const mix = {
    name: 'Mix',
    parts: [
      { product: featherMeal, share: 0.4 },
      { product: bag({ id: 'b', name: 'Other' }), share: 0.6 },
    ],
  };
  const day: When = { kind: 'date', on: '2026-05-01' };
  const tasks = tasksBetween(
    [plan(day), plan(day, mix, undefined, { programmeId: 'q', plotName: 'Back field' })],
    '2026-05-01',
    '2026-05-01',
    NOBODY,
    '2026-05-01',
  );
  expect(tasks.map((t) => t.planned.plotName)).toEqual(['Back field', 'Wheat strip']);
  const { bags, unknown } = carry(tasks);
  expect(bags.map((b) => [b.name, Math.round(b.kg.value.mid * 1000) / 1000])).toEqual([
    ['Feather meal', 45 + 18],
    ['Other', 27],
  ]);
  expect(unknown).toEqual([]);
  // The share is in the working, so that it comes to what is shown.
  const [first] = bagsOf(tasks[0]!);
  expect(first!.kg.how).toMatchObject({ kind: 'operation', sign: '×', of: [{}, { value: { mid: 0.4 } }] });
  expect(carry(tasks.map((t) => ({ ...t, state: 'done' as const }))).bags).toEqual([]);
});

test('an amount that cannot be told is named with its reason; plain water is not', () => {
  const loose = bagAs(bag({ id: 'x', name: 'Loose' }));
  const layer = computeProgramme(
    [
      {
        application: {
          ...application(weekly),
          amount: { kind: 'layer', thicknessM: { low: 0.01, mid: 0.01, high: 0.01 } },
        },
        given: loose,
      },
      { application: application(weekly), given: PLAIN_WATER },
    ],
    { areaM2: 900 },
    season,
    [],
  ).rows;
  const { unknown } = carry(
    tasksBetween([plan(weekly, loose, undefined, { rows: layer })], '2026-05-01', '2026-05-02', NOBODY, '2026-05-01'),
  );
  expect(unknown).toEqual([{ name: 'Loose', why: expect.stringMatching(/density/) }]);
});

test('the weather of a day is what the station wrote, and nothing where it wrote nothing', () => {
  const logged = [{ from: '2026-05-01', series: { rainMm: [4.2, null], airC: [17.3, 18] } }];
  expect(weatherWords(logged, '2026-05-01')).toBe('4.2 mm of rain, 17 °C');
  expect(weatherWords(logged, '2026-05-02')).toBe('18 °C');
  expect(weatherWords(logged, '2026-06-01')).toBe('');
});

describe('what to mind', () => {
  const minds = (where: Where, given: Given, rest: Partial<Planned> = {}, on = '2026-05-01') =>
    tasksBetween([plan({ kind: 'date', on }, given, where, rest)], on, on, NOBODY, on)[0]!.minds.map(
      (m) => `${m.hard ? '! ' : ''}${m.text}`,
    );
  const urea = bagAs(bag({ id: 'u', derivedFrom: ['urea'], analysis: [line('N', 46)] }));
  const feed = bagAs(bag({ id: 'f', analysis: [line('N', 5)] }));
  const logged = (rainMm: readonly number[], airC: number) => [
    { from: '2026-04-29', series: { rainMm, airC: [airC, airC, airC] } },
  ];

  test('urea on top is watered in; worked in it is not asked', () => {
    expect(minds({ kind: 'surface' }, urea)).toEqual([
      expect.stringMatching(/^Water it in within a day, with 12 mm at least/),
    ]);
    expect(minds({ kind: 'workedIn', depthM: 0.1 }, urea)).toEqual([]);
  });

  test('a dose above the label’s highest rate says so; at it and below nothing is said', () => {
    const labelled = (rate: string) =>
      bagAs(bag({ id: 'l', name: 'Labelled', directions: [direction('10 g/m²'), direction(rate)] }));
    const said = (rate: string) => minds({ kind: 'workedIn', depthM: 0.1 }, labelled(rate));
    expect(said('40 g/m²')).toEqual(['! The label of Labelled asks for 40 g/m² at most: this is 50.']);
    expect(said('50 g/m²')).toEqual([]);
    expect(said('30–60 g/m²')).toEqual([]);
  });

  test('nitrogen after its latest day is shown, not hidden', () => {
    const { crop } = season;
    const latest = latestNitrogen(crop, season);
    expect(latest).toBeDefined();
    expect(minds({ kind: 'workedIn', depthM: 0.1 }, urea, {}, '2026-07-30')).toEqual([
      expect.stringMatching(/^! After .* nitrogen/),
    ]);
    expect(latestNitrogen({ ...crop, latestNitrogen: undefined }, season)).toBeUndefined();
  });

  test('heat and drought before a feed, and a downpour, are read off the station; without one nothing is said', () => {
    expect(minds({ kind: 'inWater' }, feed)).toEqual([]);
    expect(minds({ kind: 'inWater' }, feed, { logged: logged([0, 0, 0], 18) })).toEqual([
      expect.stringMatching(/not rained for three days/),
    ]);
    expect(minds({ kind: 'inWater' }, feed, { logged: logged([0, 0, 0], 31) })).toEqual([
      expect.stringMatching(/^! It is 31 °C: wet the roots/),
    ]);
    expect(minds({ kind: 'inWater' }, feed, { logged: logged([30, 15, 0], 18) })).toEqual([
      expect.stringMatching(/^! 45 mm fell/),
    ]);
    expect(minds({ kind: 'foliar' }, feed)).toEqual([expect.stringMatching(/cool of the morning/)]);
  });
});

describe('windows', () => {
  const urea = bag({ id: 'u', name: 'Urea', analysis: [line('N', 46), line('N.urea', 46)], derivedFrom: ['urea'] });
  const hard = (on: string, given = bagAs(featherMeal), rest: Partial<Planned> = {}) =>
    tasksBetween([plan({ kind: 'date', on }, given, undefined, rest)], on, on, NOBODY, on)[0]!.minds;
  const texts = (...asked: Parameters<typeof hard>) =>
    hard(...asked)
      .map((m) => m.text)
      .join(' ');

  test('after the season it is marked, on its last day not', () => {
    expect(texts('2026-08-02')).toContain('The season ended');
    expect(texts('2026-08-01')).not.toContain('The season ended');
  });

  test('soluble nitrogen on bare ground is marked from three weeks before planting on; a meal is not', () => {
    expect(texts('2026-02-21', bagAs(urea))).toContain('Nothing grows here until');
    expect(texts('2026-02-22', bagAs(urea))).not.toContain('Nothing grows here');
    expect(texts('2026-02-01')).not.toContain('Nothing grows here');
  });

  test('50 g/m² of urea are 230 kg N/ha: on sand in five parts, on loam at once', () => {
    expect(texts('2026-05-01', bagAs(urea), { texture: 'sand' })).toContain(
      '230 kg of soluble nitrogen a hectare at once',
    );
    expect(texts('2026-05-01', bagAs(urea), { texture: 'sand' })).toContain('5 parts');
    expect(texts('2026-05-01', bagAs(urea), { texture: 'loam' })).not.toContain('sand');
    expect(texts('2026-05-01', bagAs(urea))).not.toContain('sand');
  });

  test('no day outside its window goes unmarked, whenever it is', () => {
    fc.assert(
      fc.property(fc.integer({ min: -200, max: 400 }), (day) => {
        const on = addDays(season.from, day);
        const latest = latestNitrogen(season.crop, season);
        const outside = day < -21 || on > season.to || (latest !== undefined && on > latest);
        expect(hard(on, bagAs(urea)).some((m) => m.hard)).toBe(outside);
      }),
    );
  });
});

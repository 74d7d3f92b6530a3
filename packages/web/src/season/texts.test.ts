import { CROPS, PROGRAMMES } from '@wheat-ledger/demo';
import {
  CropInput,
  ProgrammeInput,
  Reader,
  SeasonInput,
  validateInput,
  type ApplicationInput,
  rangeText,
} from '@wheat-ledger/contract';
import { idOf, sampleSeasons } from '../../test/show';
import { blankCrop, cropHints, cropText, readCrop } from './cropText';
import { blankDoing, programmeText, readProgramme } from './programmeText';
import { readSeason, readShare, seasonText, shareWords } from './seasonText';

const plot = { id: idOf(501), areaM2: 900 };

test('every season of the sample turned into text and read again is the same', () => {
  for (const season of sampleSeasons) {
    const { plain, problems } = readSeason(seasonText(season), { ...plot, id: season.plotId });
    expect(problems).toEqual([]);
    expect(season).toMatchObject(plain);
    expect(validateInput(SeasonInput, plain).ok).toBe(true);
  }
});

test.each([
  ['all', 1],
  ['', 1],
  ['Half', 0.5],
  ['40 %', 0.4],
  ['1/3', 1 / 3],
  ['90 m²', 0.1],
  ['0.25', 0.25],
])('"%s" of a plot is %p of it', (text, share) => {
  const read = new Reader();
  expect(readShare(read, 'share', text, 900)).toBeCloseTo(share, 12);
  expect(read.problems).toEqual([]);
});
test.each(['some', '0', '120 %', '1000 m²', '-1'])('"%s" of 900 m² is refused', (text) => {
  const read = new Reader();
  expect(readShare(read, 'share', text, 900)).toBeUndefined();
  expect(read.problems[0]?.message).toContain('expected all, half, 40 %');
});
test('shares are shown as they are typed', () =>
  expect([1, 0.5, 0.25, 1 / 3].map(shareWords)).toEqual(['all', 'half', '25 %', '33.33 %']));

test('own crops turned into text and read again are the same; what is blank is the library’s', () => {
  for (const crop of CROPS) {
    const { plain, problems } = readCrop(cropText(crop));
    expect([plain, problems]).toEqual([crop, []]);
    expect(validateInput(CropInput, plain).ok).toBe(true);
  }
  const { plain } = readCrop({ ...blankCrop('leek'), name: 'Mine' });
  expect(plain).toEqual({ name: 'Mine', basedOn: 'leek', note: '' });
  expect(cropHints('leek').uptake.N).toBe('110–160–210');
  expect(cropHints('').uptake.N).toBe('not known');
});
test('ranges are read as they are shown, a harvest with its unit, and what is none is refused', () => {
  expect(rangeText({ low: 2, mid: 2, high: 2 })).toBe('2');
  const typed = { ...blankCrop(''), name: 'Mine', yield: '20–30–45 t/ha', rooting: '0.5 m', row: '40 cm' };
  expect(readCrop(typed).plain).toMatchObject({
    yieldTPerHa: { low: 20, mid: 30, high: 45 },
    rootingM: { low: 0.5, mid: 0.5, high: 0.5 },
    rowM: 0.4,
  });
  const wrong = readCrop({ ...typed, uptake: { ...typed.uptake, N: '< 5' }, row: 'wide' });
  expect(wrong.problems.map((p) => p.path)).toEqual(['uptake.N', 'row']);
});

const ground = { id: idOf(701), areaM2: 900 };
const applications = PROGRAMMES.flatMap((p) => p.applications).map(
  ({ what, amount, when, where, part, note }): ApplicationInput => ({
    what,
    amount,
    when,
    where,
    part,
    note,
    productId: idOf(1),
  }),
);
test('every application of the sample turned into text and read again is the same', () => {
  const programme = { name: 'All', seasonId: ground.id, note: '', applications };
  const { plain, problems } = readProgramme(programmeText(programme), ground);
  expect([plain, problems]).toEqual([programme, []]);
  expect(validateInput(ProgrammeInput, plain).ok).toBe(true);
});

test('a ring, plants and water read as they are typed', () => {
  const rows = [
    {
      ...blankDoing(`product ${idOf(1)}`),
      amount: '100 g/m²',
      where: 'ring',
      depth: '20 to 60 cm',
      plants: '30',
      share: 'half',
    },
    { ...blankDoing('water'), amount: '10 L', when: '2 May 2026' },
    { ...blankDoing(`recipe ${idOf(3)}`), amount: '10 kg', where: 'workedIn', depth: '' },
  ];
  const { plain, problems } = readProgramme({ name: 'P', note: '', applications: rows }, ground);
  expect(problems).toEqual([]);
  expect(plain.applications).toMatchObject([
    { where: { kind: 'ring', innerM: 0.2, outerM: 0.6 }, part: { share: 0.5, plants: 30 } },
    { what: 'water', when: { kind: 'date', on: '2026-05-02' } },
    { what: 'recipe', recipeId: idOf(3), where: { kind: 'workedIn', depthM: 0.15 } },
  ]);
  expect(validateInput(ProgrammeInput, plain).ok).toBe(true);
});

test('rows that can be read keep the numbers they were typed under', () => {
  const water = { ...blankDoing('water'), amount: '10 L' };
  const rows = [
    { ...water, when: 'soon' },
    { ...water, when: '2 May 2026' },
  ];
  expect(readProgramme({ name: 'P', note: '', applications: rows }, ground).rows).toEqual({ applications: [1] });
});

test('what cannot be read is refused beside its own field', () => {
  const rows = [
    { ...blankDoing(''), amount: '40 g/m²' },
    { ...blankDoing('water'), amount: '10 L', when: 'soon', share: 'some', plants: 'many' },
    { ...blankDoing(`product ${idOf(1)}`), amount: 'a lot', where: 'ring', depth: '60 cm' },
  ];
  expect(readProgramme({ name: 'P', note: '', applications: rows }, ground).problems.map((p) => p.path)).toEqual([
    'applications.0.what',
    'applications.1.when',
    'applications.1.share',
    'applications.1.plants',
    'applications.2.amount',
    'applications.2.depth',
  ]);
});

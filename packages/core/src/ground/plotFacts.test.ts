import { plotFacts, plotGaps, SUPPOSED_YEAR, type PlotKnown } from './plotFacts.js';
import type { Site } from './site.js';
import type { SoilFigure, SoilReport } from './soilReport.js';

const SITE: Site = {
  areaM2: 100,
  medium: 'mineralSoil',
  texture: 'loam',
  pH: undefined,
  temperature: { kind: 'monthly', meansC: [4, 4, 6, 9, 13, 16, 18, 18, 15, 11, 7, 5] },
};
const figure = (given: Partial<SoilFigure> & Pick<SoilFigure, 'analyte'>, value: number): SoilFigure => ({
  method: 'notSaid',
  unit: '',
  ...given,
  value: { kind: 'number', value },
});
const report = (...figures: SoilFigure[]): SoilReport => ({ sampledOn: '2025-10-01', depthM: 0.2, figures });
const known = (given: Partial<PlotKnown> = {}): PlotKnown => ({
  site: SITE,
  report: undefined,
  jar: undefined,
  school: 'US',
  from: '2026-04-15',
  ...given,
});
const fact = (name: string, given: Partial<PlotKnown> = {}) => plotFacts(known(given)).find((f) => f.name === name);

describe('what the soil is, and what it means', () => {
  test('what is not known is said with what would tell', () => {
    const unknown = plotFacts(known({ from: undefined })).filter((f) => f.says === undefined);
    expect(unknown.map((f) => f.name)).toEqual([
      'pH',
      'Organic matter',
      'Phosphorus',
      'Potassium',
      'Salt and sodium',
      'Warmth at planting',
      'Water that drains away',
    ]);
    for (const { means } of unknown) expect(means).toMatch(/tell|test|say/);
  });
  test.each([
    [6.4, 'roots get every nutrient as easily as they can'],
    [7.6, 'it keeps P, Fe'],
  ])('pH %p of the plot: %s', (pH, means) => {
    const found = fact('pH', { site: { ...SITE, pH } });
    expect(found).toMatchObject({ says: String(pH), place: 'plot', figure: undefined });
    expect(found?.means).toContain(means);
  });
  test('a pH of a salt solution is turned into that in water, opens to its working, and outranks the plot’s', () => {
    const found = fact('pH', {
      site: { ...SITE, pH: 7 },
      report: report(figure({ analyte: 'pH', method: 'CaCl2' }, 5)),
    });
    expect(found?.says).toBe('5.3–6');
    expect(found?.figure?.value.mid).toBeCloseTo(5.6, 9);
    expect(found?.place).toBe('soil');
  });
  test('phosphorus 32 mg/kg Olsen is high; a method nobody classes is not called anything', () => {
    const high = report(figure({ analyte: 'P', method: 'olsen', unit: 'mg/kg' }, 32));
    expect(fact('Phosphorus', { report: high })).toMatchObject({
      says: 'high by Olsen',
      means: 'there is plenty: more of it feeds nothing',
    });
    const other = report(figure({ analyte: 'P', method: 'other', unit: 'mg/kg' }, 32));
    expect(fact('Phosphorus', { report: other })?.says).toBeUndefined();
  });
  test.each([
    [1.9, /^low/],
    [2, /^usual/],
    [4.9, /^usual/],
    [5, /^high/],
  ])('%p %% organic matter', (percent, means) => {
    const found = fact('Organic matter', { report: report(figure({ analyte: 'organicMatter', unit: '%' }, percent)) });
    expect(found?.says).toBe(`${percent} %`);
    expect(found?.means).toMatch(means);
  });
  test('salt known and sodium not is said so; neither is never taken for no', () => {
    const salty = report(figure({ analyte: 'EC', method: 'saturatedPaste', unit: 'mS/cm' }, 6));
    expect(fact('Salt and sodium', { report: salty })?.says).toBe('saline, sodium not measured');
    const fine = report(
      figure({ analyte: 'EC', method: 'saturatedPaste', unit: 'mS/cm' }, 1),
      figure({ analyte: 'ESP', unit: '%' }, 3),
    );
    expect(fact('Salt and sodium', { report: fine })?.says).toBe('neither');
    expect(fact('Salt and sodium', { report: report() })?.says).toBeUndefined();
  });
  test.each([
    ['2026-02-01', /^cold/],
    ['2026-05-01', /^cool/],
    ['2026-07-15', /^warm/],
  ])('the warmth on %s', (from, means) => expect(fact('Warmth at planting', { from })?.means).toMatch(means));
  test('a usual year of rain tells what drains, and opens', () => {
    const year = { rainMm: 62, irrigationMm: 0, etMm: 40 };
    const climate = Object.fromEntries(
      Object.entries(year).map(([key, mm]) => [key, Array.from({ length: 12 }, () => mm)]),
    ) as unknown as NonNullable<Site['climate']>;
    const found = fact('Water that drains away', { site: { ...SITE, climate } });
    expect(found?.says).toMatch(/^2\d0 mm a year$/);
    expect(found?.figure).toBeDefined();
    expect(found?.means).toMatch(/takes nitrate along/);
  });
  test('a potting medium is called so, and its drainage is not made up', () => {
    const site: Site = { ...SITE, medium: 'inertPotting' };
    expect(plotFacts(known({ site }))[0]).toMatchObject({ name: 'Grown in', place: 'plot' });
    expect(fact('Water that drains away', { site })?.means).toMatch(/pots drain/);
  });
});

describe('what is missing, the first thing first', () => {
  const gaps = (given: Partial<PlotKnown>, measured = true, today = '2026-05-01'): readonly string[] =>
    plotGaps(known(given), measured, today).map((g) => g.what);
  test('a plot of which nothing is known', () =>
    expect(gaps({ from: undefined, site: { ...SITE, temperature: SUPPOSED_YEAR } }, false)).toEqual([
      'Say what grows here, and from when',
      'Test the pH',
      'Send a soil sample in and enter the report',
      'Enter how warm the soil is',
      'Enter rain and evapotranspiration, or read a logger’s file',
      'Measure the sides',
    ]));
  test('pots need no soil report', () => expect(gaps({ site: { ...SITE, medium: 'organicPotting' } })).toEqual([]));
  test.each([
    ['2029-12-31', false],
    ['2030-01-01', true],
  ])('a report of 2025 on %s is old: %s', (today, old) =>
    expect(
      gaps({ report: report(figure({ analyte: 'pH', method: 'water' }, 6)) }, true, today).some((w) =>
        w.includes('from 2025'),
      ),
    ).toBe(old),
  );
  test('a logger’s soil temperature stands in for the year that is supposed', () => {
    const supposed = { ...SITE, pH: 6.5, temperature: SUPPOSED_YEAR };
    expect(gaps({ site: supposed })).toContain('Enter how warm the soil is');
    const logged = [{ from: '2026-01-01', series: { soilC: [4, 5] } }];
    expect(gaps({ site: { ...supposed, logged } })).not.toContain('Enter how warm the soil is');
  });
});

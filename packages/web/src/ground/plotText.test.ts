import { PlotInput, SoilReportInput, validateInput } from '@wheat-ledger/contract';
import { blankPlot, plotText, readPlot } from './plotText';
import { readSoil, soilText } from './soilText';

const kept: PlotInput = {
  name: 'Bed',
  areaM2: 14.4,
  medium: 'mineralSoil',
  texture: 'loam',
  pH: 6.4,
  temperature: { kind: 'sine', meanC: 10, amplitudeC: 7, warmestDay: 205 },
  shape: { kind: 'rectangle', lengthsM: [12, 1.2] },
};

test.each<[string, PlotInput]>([
  ['with a shape', kept],
  ['with counted beds', { ...kept, areaM2: 72, shape: { kind: 'beds', lengthsM: [10, 1.2], count: 6 } }],
  [
    'with five uneven sides',
    { ...kept, areaM2: 18.9999963, shape: { kind: 'polygon', lengthsM: [4, 4, 2.5, 2.5, 4, 5.65685, 5.85235] } },
  ],
  ['of pots', { ...kept, areaM2: 1.25663706, shape: { kind: 'containers', lengthsM: [0.4], count: 10, litres: 30 } }],
  [
    'with a usual year of water and a water analysis',
    {
      ...kept,
      climate: {
        rainMm: Array.from({ length: 12 }, (_, i) => 40 + i),
        irrigationMm: Array<number>(12).fill(0),
        etMm: Array<number>(12).fill(55.5),
      },
      water: { ecMsPerCm: 0.6, alkalinityMgPerL: 190 },
    },
  ],
  [
    'with a typed area and monthly means',
    {
      name: 'Strip',
      areaM2: 900,
      medium: 'mineralSoil',
      texture: 'clay',
      temperature: { kind: 'monthly', meansC: [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12] },
    },
  ],
])('a plot %s turned into text and read again is the same', (_name, plot) => {
  const { plain, problems } = readPlot(plotText(plot));
  expect([plain, problems]).toEqual([plot, []]);
  expect(validateInput(PlotInput, plain).ok).toBe(true);
});

const typed = (given: Partial<ReturnType<typeof blankPlot>>) => readPlot({ ...blankPlot(), name: 'Ring', ...given });
test('a ring in feet: 1 ft to 3 ft from the middle is π × 8 ft² = 2.335 m²', () => {
  expect(typed({ shape: 'ring', lengths: ['1 ft', '3 ft', '', '', ''] }).plain.areaM2).toBeCloseTo(
    Math.PI * 8 * 0.3048 ** 2,
    6,
  );
});
test.each([
  [{ shape: 'triangle', lengths: ['1 m', '2 m', '9 m', '', ''] }, 'lengths.0', /do not meet/],
  [{ shape: 'rectangle', lengths: ['long', '2 m', '', '', ''] }, 'lengths.0', /Read "long"/],
  [{ shape: 'beds', lengths: ['10', '1.2', '', '', ''], count: 'a few' }, 'count', /expected a number/],
  [
    { shape: 'containers', lengths: ['40 cm', '', '', '', ''], count: '10', litres: 'a bucket' },
    'litres',
    /expected a number/,
  ],
  [
    { area: '5', rainMm: ['60', 'wet', ...Array<string>(10).fill('50')], etMm: Array<string>(12).fill('40') },
    'rainMm.1',
    /Read "wet"/,
  ],
  [{ area: '5', rainMm: Array<string>(12).fill('60') }, 'etMm.0', /expected a number/],
  [{ area: 'big' }, 'area', /expected a number and a unit/],
])('%j is told on its field', (given, path, words) => {
  const { problems } = typed(given);
  expect(problems[0]?.path).toBe(path);
  expect(problems[0]?.message).toMatch(words);
});

test('a soil report turned into text and read again is the same', () => {
  const report: SoilReportInput = {
    plotId: '00000000-0000-4000-8000-000000000001',
    name: 'Slip',
    sampledOn: '2026-02-01',
    depthM: 0.15,
    note: '',
    figures: [
      { analyte: 'P', value: { kind: 'number', value: 27 }, unit: 'mg/kg', method: 'olsen' },
      { analyte: 'nitrateN', value: { kind: 'below', limit: 2 }, unit: 'mg/kg', method: 'water' },
    ],
  };
  const { plain, problems } = readSoil(report.plotId)(soilText(report));
  expect([plain, problems]).toEqual([report, []]);
  expect(validateInput(SoilReportInput, plain).ok).toBe(true);
});

test('months without irrigation may stay blank and are none; a year nobody typed is no year', () => {
  const year = (given: Partial<ReturnType<typeof blankPlot>>) => typed({ area: '5', ...given }).plain.climate;
  expect(
    year({
      rainMm: Array<string>(12).fill('60'),
      etMm: Array<string>(12).fill('40'),
      irrigationMm: ['', '12,5', ...Array<string>(10).fill('')],
    })?.irrigationMm,
  ).toEqual([0, 12.5, ...Array<number>(10).fill(0)]);
  expect(year({})).toBeUndefined();
});

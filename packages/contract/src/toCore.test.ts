import { plotArea, SHAPES } from '@wheat-ledger/core';
import {
  ofToday,
  polygonLengths,
  ProductInput,
  productProblems,
  SHAPE_LENGTHS,
  ShapeInput,
  toJarReadings,
  toLog,
  toProduct,
  toShape,
  toSite,
  toSoilReport,
  validateInput,
  type LoggerInput,
  type PlotInput,
  type SoilReportInput,
} from './index.js';

const area = (input: ShapeInput): number => plotArea(toShape(input)).value.mid;

test.each<[ShapeInput, number]>([
  [{ kind: 'rectangle', lengthsM: [12, 3] }, 36],
  [{ kind: 'circle', lengthsM: [2] }, Math.PI],
  [{ kind: 'ring', lengthsM: [0.3, 0.9] }, Math.PI * (0.81 - 0.09)],
  [{ kind: 'triangle', lengthsM: [3, 4, 5] }, 6],
  // A 3 × 4 rectangle cut by its diagonal of 5.
  [{ kind: 'polygon', lengthsM: [3, 4, 3, 4, 5] }, 12],
  // A house: a 4 × 3 wall below a roof of two sides of 2.5, seen from one corner of the floor.
  [{ kind: 'polygon', lengthsM: [4, 3, 2.5, 2.5, 3, 5, Math.hypot(2, 4.5)] }, 15],
  [{ kind: 'beds', lengthsM: [10, 1.2], count: 4 }, 48],
  [{ kind: 'rows', lengthsM: [20, 0.75], count: 6 }, 90],
  [{ kind: 'containers', lengthsM: [0.4], count: 10, litres: 30 }, 10 * Math.PI * 0.04],
])('%p is as large as by hand', (input, m2) => expect(area(input)).toBeCloseTo(m2, 9));

test('every shape says how many lengths it is measured by, and takes just as many', () => {
  for (const kind of SHAPES) {
    const { lengths, counted, holds } = SHAPE_LENGTHS[kind];
    const input = {
      kind,
      lengthsM: lengths.map(() => 2),
      ...(counted ? { count: 3 } : {}),
      ...(holds ? { litres: 5 } : {}),
    };
    expect([kind, validateInput(ShapeInput, input).ok]).toEqual([kind, true]);
  }
  expect(polygonLengths(5)).toEqual([
    'side 1',
    'side 2',
    'side 3',
    'side 4',
    'side 5',
    'first corner to corner 3',
    'first corner to corner 4',
  ]);
});

test('lengths that cannot close are refused by the core in words, not turned into a number', () => {
  expect(() => area({ kind: 'triangle', lengthsM: [1, 2, 9] })).toThrow(/sides/);
  expect(() => area({ kind: 'rectangle', lengthsM: [4] })).toThrow('Read 0, expected a length above zero.');
});

test('a plot written by an older ledger is read as one of today; nothing else is touched', () => {
  const old = { name: 'Corner', shape: { kind: 'fourSides', lengthsM: [3, 4, 3, 4, 5] } };
  expect(ofToday('plot', old)).toEqual({ name: 'Corner', shape: { kind: 'polygon', lengthsM: [3, 4, 3, 4, 5] } });
  expect(ofToday('product', old)).toBe(old);
  for (const input of [
    { name: 'Bed' },
    { name: 'Bed', shape: null },
    { name: 'Bed', shape: { kind: 'circle', lengthsM: [2] } },
  ])
    expect(ofToday('plot', input)).toBe(input);
});

test('the one label rate and the one dilution of an older ledger are directions today', () => {
  const input = { name: 'A', seller: '', form: 'liquid', analysis: [], derivedFrom: [], offers: [], note: '' };
  const today = ofToday('product', {
    ...input,
    labelRate: { amount: 3, unit: 'lb/1000 ft²', perYear: 2 },
    dilution: { amount: 5, unit: 'mL/L' },
  });
  expect(today).toEqual({
    ...input,
    directions: [
      { use: '', amount: 3, unit: 'lb', per: { amount: 1000, unit: 'ft²' }, perYear: 2 },
      { use: '', amount: 5, unit: 'mL', per: { amount: 1, unit: 'L of water' } },
    ],
  });
  expect(validateInput(ProductInput, today).ok).toBe(true);
  expect(ofToday('product', { ...input, labelRate: null })).toEqual(input);
  for (const labelRate of ['lots', { amount: 3 }])
    expect(validateInput(ProductInput, ofToday('product', { ...input, labelRate })).ok).toBe(false);
});

test('a rate whose least is above its most is refused, and the core has undefined where nothing was told', () => {
  const direction = { use: '', amount: 30, least: 50, unit: 'g', per: { amount: 1, unit: 'm²' } };
  expect(productProblems({ ...bag([]), directions: [direction] })).toEqual([
    { path: 'directions.0.amount', message: 'Read 50 to 30, expected the least before the most.' },
  ]);
  expect(
    toProduct({ ...bag([]), directions: [{ ...direction, least: null as unknown as number }] }).directions,
  ).toEqual([{ ...direction, least: undefined, perYear: undefined }]);
});

const bag = (analysis: object[]): ProductInput =>
  ({ name: 'A', seller: '', form: 'meal', analysis, derivedFrom: [], offers: [], note: '' }) as unknown as ProductInput;
const line = (analyte: string, basis: string, value: number): object => ({
  analyte,
  basis,
  value: { kind: 'number', value },
  unit: '%',
  provenance: 'label',
  source: '',
});

test('a basis that is not the element’s own and a value that cannot be block saving; a contradiction only warns', () => {
  expect(productProblems(bag([line('P', 'K2O', 3)]))).toEqual([
    expect.objectContaining({ path: 'analysis.0.basis', message: 'Read K2O for P, expected element or P2O5 or PO4.' }),
  ]);
  expect(productProblems(bag([line('N', 'element', 5), line('K', 'K2O', 104)])).map((p) => p.path)).toEqual([
    'analysis.1.value',
  ]);
  expect(productProblems({ ...bag([line('N', 'element', 5)]), grade: '12-0-0' })).toEqual([]);
});

test('censored values, logs and jar readings keep what they are on the way to the core', () => {
  const report = {
    plotId: 'p',
    name: 's',
    sampledOn: '2026-02-09',
    depthM: 0.15,
    note: '',
    figures: [{ analyte: 'nitrateN', value: { kind: 'below', limit: 2 }, unit: 'mg/kg', method: 'water' }],
  } as unknown as SoilReportInput;
  expect(toSoilReport(report).figures[0]?.value).toEqual({ kind: 'below', limit: 2 });
  const log: LoggerInput = { plotId: 'p', name: 'Probe', from: '2026-04-01', series: { soilC: [8, null, 9] } };
  expect(toLog(log)).toEqual({ from: '2026-04-01', series: { soilC: [8, null, 9] } });
  const plot = {
    name: 'Bed',
    areaM2: 12,
    medium: 'mineralSoil',
    texture: 'loam',
    pH: null,
    climate: null,
    temperature: { kind: 'monthly', meansC: [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12] },
  } as unknown as PlotInput;
  expect(toSite(plot, [log])).toMatchObject({
    pH: undefined,
    climate: undefined,
    logged: [{ from: '2026-04-01' }],
    temperature: { kind: 'monthly' },
  });
  expect(
    toJarReadings({
      readings: [
        { step: 'sand', value: 40 },
        { step: 'all', value: 100 },
      ],
    }),
  ).toEqual({ sand: 40, all: 100 });
});

import fc from 'fast-check';
import { instanceToPlain } from 'class-transformer';
import Papa from 'papaparse';
import { ProductInput } from '../product.js';
import { validateInput } from '../validate.js';
import { columnFor, CsvColumns, headingOf } from './csvColumns.js';
import { csvRow, guarded, readCsvRow, unguarded } from './csvRow.js';
import { productText } from './productText.js';

const line = (analyte: string, value: object, given: object = {}): object => ({
  analyte,
  basis: 'element',
  value,
  unit: '%',
  provenance: 'label',
  source: 'bag label',
  ...given,
});
const PRODUCTS = [
  {
    name: '=HYPERLINK("x")',
    seller: '-Larkmere',
    form: 'meal',
    note: 'two\nlines, "quoted"; and more',
    derivedFrom: ['feather meal', 'bone meal'],
    analysis: [
      line('N', { kind: 'number', value: 13 }),
      line('N', { kind: 'range', low: 12, mid: 12.5, high: 13 }, { provenance: 'measured', source: 'slip: two' }),
      line('P', { kind: 'below', limit: 20 }, { basis: 'P2O5', unit: 'mg/kg' }),
      line('N.nitrate', { kind: 'number', value: 1 }, { basis: 'NO3' }),
      line('K', { kind: 'number', value: 900 }, { unit: 'mg/kg', provenance: 'measured', extract: 'available' }),
    ],
    offers: [
      { size: 20, unit: 'kg', price: { amount: '34.50', currency: 'EUR' }, seenOn: '2026-02-20' },
      { size: 5, unit: 'US gal', seller: '@other' },
    ],
    densityKgPerL: 0.48,
    grade: '13-0-0',
    directions: [
      { use: 'new beds', amount: 5, least: 3, unit: 'mL', per: { amount: 1, unit: 'm²' }, perYear: 12 },
      { use: '', amount: 4, unit: 'g', per: { amount: 10, unit: 'L of water' } },
    ],
    longevity: { days: 150, referenceC: 25 },
    labelText: 'Nitrogen 13 %\nP < 20',
    organic: { status: 'yes', body: 'the list' },
    origins: ['animal', 'waste'],
    carbonToNitrogen: 4,
    saltIndex: 3,
    limingPer100Kg: -5.5,
    storage: 'dry',
  },
  { name: 'Plain', seller: '', form: 'granule', note: '', derivedFrom: [], analysis: [], offers: [] },
] as unknown as ProductInput[];

const roundTrip = (products: readonly ProductInput[]): readonly object[] => {
  const texts = products.map(productText);
  const gathered = new CsvColumns();
  for (const text of texts) gathered.add(text);
  const columns = gathered.list();
  const csv = Papa.unparse({ fields: columns.map(headingOf), data: texts.map((t) => csvRow(t, columns)) });
  const { data } = Papa.parse<string[]>(csv);
  const [heading = [], ...rows] = data;
  const meant = heading.map(columnFor);
  expect(meant).toEqual(columns);
  return rows.map((cells) => {
    const read = readCsvRow(meant, cells);
    return read.ok ? instanceToPlain(read.value) : read.problems;
  });
};

test('out to CSV and back is exact, for a bag with everything and for one with next to nothing', () => {
  expect(roundTrip(PRODUCTS)).toEqual(PRODUCTS);
  expect(PRODUCTS.every((p) => validateInput(ProductInput, p).ok)).toBe(true);
});

test('figures keep the order of their own label when another label names them otherwise', () => {
  const turned = [
    PRODUCTS[0]!,
    { ...PRODUCTS[0]!, analysis: [...PRODUCTS[0]!.analysis].reverse().filter((l) => l.analyte !== 'N') },
  ];
  expect(roundTrip(turned)).toEqual(turned);
});

test('what a spreadsheet would run is neutralised, numbers are left alone, and it comes back whole', () => {
  expect(['=1+1', '@sum', '+cmd', '-2+3', '\tx', "'=x"].map(guarded)).toEqual([
    "'=1+1",
    "'@sum",
    "'+cmd",
    "'-2+3",
    "'\tx",
    "''=x",
  ]);
  expect(['-5.5', '12', 'plain', "it's"].map(guarded)).toEqual(['-5.5', '12', 'plain', "it's"]);
  fc.assert(
    fc.property(fc.oneof(fc.string(), fc.constantFrom('=', "'=", "''-x", '+1')), (cell) =>
      expect(unguarded(guarded(cell))).toBe(cell),
    ),
  );
});

test.each([
  ['Name', 'name'],
  ['density', 'density kg/L'],
  ['N', 'N %'],
  ['P2O5', 'P2O5 %'],
  ['K2O %', 'K2O %'],
  ['N.urea mg/kg', 'N.urea mg/kg'],
  ['package (2)', 'package (2)'],
  ['Rate for', 'rate for'],
  ['rate (2)', 'rate (2)'],
  ['N % from', 'N % from'],
  ['Total nitrogen', 'N %'],
  ['Product name', 'name'],
  ['Supplier', 'seller'],
  ['P₂O₅', 'P2O5 %'],
  ['Zn (ppm)', 'Zn mg/kg'],
  ['Price (USD)', 'price'],
  ['Bag size', 'package'],
  ['Label rate', 'rate'],
  ['Bulk density', 'density kg/L'],
  ['Potash', 'K2O %'],
])('the heading %j is taken as %j', (typed, meant) => expect(headingOf(columnFor(typed)!)).toBe(meant));
test.each(['', 'colour', 'N furlongs', 'from'])('the heading %j means nothing here', (typed) =>
  expect(columnFor(typed)).toBeUndefined(),
);

test('a cell that does not fit is left out and told under its heading, an impossible value like an unreadable one; without a name there is no row', () => {
  const columns = ['name', 'N %', 'package', 'package (2)', 'price (2)'].map(columnFor);
  expect(readCsvRow(columns, ['Bag', 'lots', '20 kg'])).toMatchObject({ ok: true, leftOut: [{ path: 'N %' }] });
  expect(readCsvRow(columns, ['Bag', '140', '20 kg'])).toMatchObject({
    ok: true,
    leftOut: [{ path: 'N %', message: expect.stringMatching(/more than the whole/) }],
  });
  expect(readCsvRow(columns, ['Bag', '5', '', '3 furlongs', '9.90'])).toMatchObject({
    ok: true,
    leftOut: [{ path: 'package (2)' }],
  });
  expect(readCsvRow(columns, ['Bag', '5', '20 kg'])).toMatchObject({
    ok: true,
    leftOut: [],
    value: { name: 'Bag', offers: [{ size: 20, unit: 'kg' }] },
  });
  expect(readCsvRow(columns, ['', '5', '20 kg'])).toMatchObject({ ok: false, problems: [{ path: 'name' }] });
  expect(readCsvRow(columns, ['Bag', 'lots'])).toMatchObject({ ok: false, problems: [{ path: 'N %' }] });
});

test('a price has the currency of its row, else that of the file, and without either it is left out and told', () => {
  const columns = ['name', 'package', 'price', 'currency'].map(columnFor);
  const price = (cells: readonly string[], currency?: string) => {
    const read = readCsvRow(columns, cells, currency);
    if (!read.ok) return read.problems;
    return read.leftOut.length > 0 ? read.leftOut : read.value.offers[0]?.price;
  };
  expect(price(['Bag', '20 kg', '9.90', 'usd'], 'EUR')).toEqual({ amount: '9.90', currency: 'USD' });
  expect(price(['Bag', '20 kg', '9.90', ''], 'GBP')).toEqual({ amount: '9.90', currency: 'GBP' });
  expect(price(['Bag', '20 kg', '9.90'])).toEqual([
    { path: 'price', message: expect.stringMatching(/expected a three-letter currency code/) },
  ]);
  expect(price(['Bag', '20 kg', ''])).toBeUndefined();
});

test('a cell that could be two numbers is refused, and settled by the file’s decimal mark; words keep their commas', () => {
  const columns = ['name', 'N %', 'package', 'price', 'note'].map(columnFor);
  const row = ['Bag 1,250', '4', '2,500 kg', '12.125', 'bought 1,250 of them'];
  expect(readCsvRow(columns, row, 'EUR')).toMatchObject({
    ok: true,
    leftOut: [{ path: 'package' }, { path: 'price' }],
  });
  expect(readCsvRow(columns, row, 'EUR', 'point')).toMatchObject({
    ok: true,
    value: {
      name: 'Bag 1,250',
      note: 'bought 1,250 of them',
      offers: [{ size: 2500, price: { amount: '12.125' } }],
    },
  });
});

test('what is on hand goes out and comes in beside the bag', () => {
  const text = { ...productText(PRODUCTS[0]!), stock: '12.5 kg' };
  const gathered = new CsvColumns();
  gathered.add(text);
  const columns = gathered.list();
  const read = readCsvRow(columns, csvRow(text, columns));
  expect(read.ok && read.stock).toEqual({ amount: 12.5, unit: 'kg' });
  expect(read.ok && 'stock' in read.value).toBe(false);
});

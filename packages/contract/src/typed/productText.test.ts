import { instanceToPlain } from 'class-transformer';
import { ProductInput } from '../product.js';
import { validateInput } from '../validate.js';
import { columnFor, CsvColumns } from './csvColumns.js';
import { csvRow, readCsvRow } from './csvRow.js';
import { PLAIN_FIELDS, plainChanges } from './productFields.js';
import { blankDirection, blankProduct, productText, readProduct } from './productText.js';

const kept: ProductInput = {
  name: 'Everything',
  seller: 'Ossel & Wick',
  form: 'liquid',
  note: 'note',
  densityKgPerL: 1.18,
  grade: '4-2-8',
  derivedFrom: ['urea', 'potassium nitrate'],
  analysis: [
    {
      analyte: 'N',
      basis: 'element',
      value: { kind: 'range', low: 0.4, mid: 0.5, high: 0.7 },
      unit: '%',
      provenance: 'typical',
      source: 'textbook',
    },
    {
      analyte: 'P',
      basis: 'P2O5',
      value: { kind: 'below', limit: 20 },
      unit: 'mg/kg',
      provenance: 'measured',
      source: 'slip',
    },
    {
      analyte: 'P',
      basis: 'P2O5',
      value: { kind: 'number', value: 12 },
      unit: 'mg/kg',
      provenance: 'measured',
      source: 'slip',
      extract: 'available',
    },
  ],
  offers: [
    { size: 1, unit: 'L', price: { amount: '8.75', currency: 'EUR' }, seenOn: '2026-02-20', seller: 'The other shop' },
    { size: 5, unit: 'US gal' },
  ],
  directions: [
    { use: 'new beds', amount: 5, least: 3, unit: 'mL', per: { amount: 1, unit: 'm²' }, perYear: 12 },
    { use: '', amount: 4, unit: 'g', per: { amount: 10, unit: 'L of water' } },
  ],
  longevity: { days: 150, referenceC: 21 },
  labelText: 'Nitrogen 0.5 %',
  organic: { status: 'yes', body: 'the county list' },
  origins: ['synthetic'],
  carbonToNitrogen: 12.5,
  saltIndex: 46.1,
  limingPer100Kg: -5.5,
  storage: 'frost free',
};

test('a kept product turned into text and read again is the same product', () => {
  const { plain, problems } = readProduct(productText(kept));
  expect(problems).toEqual([]);
  expect(plain).toEqual(kept);
  expect(validateInput(ProductInput, plain).ok).toBe(true);
});

const typed = (given: Partial<ReturnType<typeof blankProduct>>) =>
  readProduct({ ...blankProduct(), name: 'A', ...given });

test('numbers are read as people type them', () => {
  const line = { analyte: 'N', unit: '%', basis: 'element', provenance: 'label', source: '' };
  const { plain } = typed({
    densityKgPerL: '0,48',
    analysis: [{ ...line, value: '5 ½' }],
    offers: [{ size: '50 lb', price: '1.250,5', currency: 'eur', seenOn: '', seller: '' }],
    directions: [{ amount: '15 L/ha', use: ' hedges ', perYear: '2' }],
  });
  expect(plain).toMatchObject({
    densityKgPerL: 0.48,
    analysis: [{ value: { kind: 'number', value: 5.5 } }],
    offers: [{ size: 50, unit: 'lb', price: { amount: '1250.50', currency: 'EUR' } }],
    directions: [{ use: 'hedges', amount: 15, unit: 'L', per: { amount: 1, unit: 'ha' }, perYear: 2 }],
  });
});

test('blank rows are left out, and messages still land on the row that was typed', () => {
  const line = { analyte: 'N', unit: '%', basis: 'element', provenance: 'label', source: '', value: '' };
  const { plain, rows, problems } = typed({
    analysis: [line, { ...line, value: 'lots' }, { ...line, value: '3' }],
    offers: [{ size: '1 cup', price: '', currency: 'EUR', seenOn: '', seller: '' }],
    directions: [
      blankDirection(),
      { amount: '2 tbsp/plant', use: '', perYear: '' },
      { amount: '5 mL/L', use: '', perYear: 'often' },
    ],
  });
  expect(plain.analysis).toHaveLength(1);
  expect(rows).toEqual({ analysis: [1, 2], offers: [0], directions: [1, 2] });
  expect(problems.map((p) => p.path)).toEqual([
    'analysis.1.value',
    'offers.0.size',
    'directions.1.amount',
    'directions.2.perYear',
  ]);
  expect(problems[1]?.message).toMatch(/US cup or metric cup/);
  expect(problems[2]?.message).toMatch(/US tbsp or metric tbsp or AU tbsp/);
});

test.each(['0.1', '24.9', '34.50', '8.7575', '1000'])('a price of %s keeps its value exactly', (price) => {
  const { plain } = typed({ offers: [{ size: '1 kg', price, currency: 'EUR', seenOn: '', seller: '' }] });
  expect(Number(plain.offers[0]?.price?.amount)).toBe(Number(price));
  expect(plain.offers[0]?.price?.amount).toMatch(/^\d+\.\d{2,4}$/);
});

test('ounces of a liquid and a rate of a nutrient are asked about, not taken for weights of product', () => {
  const problemsOf = (form: string, size: string, amount = '50 g/m²') =>
    readProduct({
      ...blankProduct(),
      name: 'x',
      form,
      offers: [{ size, price: '', currency: 'EUR', seenOn: '', seller: '' }],
      directions: [{ amount, use: '', perYear: '' }],
    }).problems.map((p) => [p.path, p.message]);
  expect(problemsOf('liquid', '32 oz')).toEqual([
    ['offers.0.size', expect.stringMatching(/say US fl oz, imp fl oz, or oz by weight/)],
  ]);
  expect(problemsOf('liquid', '32 oz by weight')).toEqual([]);
  expect(problemsOf('liquid', '32 US fl oz')).toEqual([]);
  expect(problemsOf('granule', '32 oz')).toEqual([]);
  expect(problemsOf('liquid', '1 L', '2 oz/US gal of water')).toEqual([
    ['directions.0.amount', expect.stringMatching(/of a liquid/)],
  ]);
  expect(problemsOf('granule', '1 kg', '1 lb N/1000 sq ft')).toEqual([
    ['directions.0.amount', expect.stringMatching(/so much N and not so much of the product/)],
  ]);
});

test('what is kept comes back into the form so that it can be read one way only', () => {
  const fine: ProductInput = {
    ...kept,
    densityKgPerL: 1.125,
    offers: [{ size: 2.375, unit: 'kg', price: { amount: '12.125', currency: 'EUR' } }],
  };
  const again = productText(fine);
  expect([again.densityKgPerL, again.offers[0]!.size, again.offers[0]!.price]).toEqual([
    '1.1250',
    '2.3750 kg',
    '12.1250',
  ]);
  expect(readProduct(again)).toMatchObject({
    problems: [],
    plain: { densityKgPerL: 1.125, offers: [{ size: 2.375, price: { amount: '12.125' } }] },
  });
});

/** A value for every plain field of the table, so that a new one is met without a new line here. */
const VALUES = { text: 'as the label says', number: 4.5, day: '2027-03-31' } as const;
const everyPlain = Object.fromEntries(PLAIN_FIELDS.map(({ key, kind }) => [key, VALUES[kind]]));

test('every plain field of the table is a field of the contract, and comes back from its text and from its own column', () => {
  const full = { ...kept, ...everyPlain };
  expect(validateInput(ProductInput, full).ok).toBe(true);
  const text = productText(full);
  expect(readProduct(text).plain).toEqual(full);
  const gathered = new CsvColumns();
  gathered.add(text);
  const columns = gathered.list();
  const row = readCsvRow(columns, csvRow(text, columns));
  expect(row.ok && instanceToPlain(row.value)).toEqual(full);
  expect(PLAIN_FIELDS.map(({ heading }) => columnFor(heading))).toEqual(
    PLAIN_FIELDS.map(({ heading }) => ({ kind: 'field', field: heading })),
  );
  expect(plainChanges(kept, full).map((c) => c.what)).toEqual(
    PLAIN_FIELDS.filter(({ key }) => kept[key] !== full[key]).map((f) => f.label.toLowerCase()),
  );
});

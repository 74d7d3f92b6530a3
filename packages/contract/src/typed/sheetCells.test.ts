import { columnFor } from './csvColumns.js';
import { readCsvRow } from './csvRow.js';
import { figureInCell } from '@wheat-ledger/core';
import { headingRow, priceCell } from './sheetCells.js';

const columns = ['name', 'grade', 'N %', 'package', 'price'].map(columnFor);
const read = (cells: readonly string[], currency = 'EUR') => readCsvRow(columns, cells, currency, 'point');
const good = (cells: readonly string[], currency?: string) => {
  const row = read(cells, currency);
  if (!row.ok) throw new Error(JSON.stringify(row.problems));
  return row;
};

test('titles, dates and blanks above the headings are none', () => {
  expect(
    headingRow([['Price list 2026'], ['', 'as of March'], ['Product', 'N (%)', 'Price (EUR)'], ['Urea', '46', '9']]),
  ).toBe(2);
  expect(
    headingRow([
      ['name', 'N %'],
      ['Urea', '46'],
    ]),
  ).toBe(0);
  expect(
    headingRow([
      ['what', 'how much'],
      ['Urea', '46'],
    ]),
  ).toBe(0);
  expect(headingRow([])).toBe(0);
});

test.each([
  ['12 %', '12', '%'],
  ['120 g/kg', '120', 'g/kg'],
  ['900 ppm', '900', 'mg/kg'],
  ['4 % w/v', '4', '% w/v'],
  ['0.4–0.7 %', '0.4–0.7', '%'],
  ['< 20', '< 20', undefined],
  ['plenty', 'plenty', undefined],
])('a figure %s', (cell, value, unit) => expect(figureInCell(cell)).toEqual({ value, unit }));

test.each([
  ['32,40 €', 'USD', '32,40', 'EUR'],
  ['£9.90', '', '9.90', 'GBP'],
  ['$24.99', 'AUD', '24.99', 'AUD'],
  ['CHF 12.00', 'EUR', '12.00', 'CHF'],
  ['12.00', 'EUR', '12.00', 'EUR'],
  ['call us', 'EUR', 'call us', 'EUR'],
])('a price %s where the file is in %s', (cell, currency, price, found) =>
  expect(priceCell(cell, currency)).toEqual({ price, currency: found }),
);

test('a row of a person’s own sheet: units and signs in the cells', () => {
  const { value, leftOut } = good(['Feather meal', '13-0-0', '13 %', '50 lb bag', '32.40 €'], 'USD');
  expect(leftOut).toEqual([]);
  expect(value).toMatchObject({
    analysis: [{ analyte: 'N', unit: '%', value: { value: 13 } }],
    offers: [{ size: 50, unit: 'lb', price: { amount: '32.40', currency: 'EUR' } }],
  });
  expect(good(['Feather meal', '', '130 g/kg', '20 kg', '9']).value.analysis).toMatchObject([
    { unit: 'g/kg', value: { value: 130 } },
  ]);
});

test.each(['5-Mar', '03.05.2004', '2004-03-05 00:00', 'May 2003', '5. Mai 2026'])(
  'a grade that a spreadsheet made into the date %s is refused with the way back, and the row is kept',
  (date) => {
    const { value, leftOut } = good(['Feather meal', date, '13', '20 kg', '9']);
    expect(value.grade).toBeUndefined();
    expect(leftOut).toEqual([{ path: 'grade', message: expect.stringContaining('Format the column as text') }]);
  },
);

test('a dollar is asked which; a cell that a spreadsheet could not work out is refused; neither costs the row', () => {
  const dollars = good(['Feather meal', '13-0-0', '13', '20 kg', '$24.99']);
  expect(dollars.leftOut[0]?.message).toMatch(/say which dollar/);
  expect(good(['Feather meal', '13-0-0', '13', '20 kg', '$24.99'], 'AUD').value.offers[0]?.price).toEqual({
    amount: '24.99',
    currency: 'AUD',
  });
  const broken = good(['Feather meal', '13-0-0', '#REF!', '20 kg', '9']);
  expect(broken.value.analysis).toEqual([]);
  expect(broken.leftOut[0]?.message).toMatch(/no value/);
});

test('a note below the table is no bag', () => {
  const note = read(['All prices without tax', '', '', '', '']);
  expect(note).toMatchObject({ ok: false, problems: [{ message: expect.stringContaining('taken for a note') }] });
});

import { columnFor, readCsvRow, toProduct } from '@wheat-ledger/contract';
import { catalogueFacts } from '@wheat-ledger/core';
import { catalogueListCsv } from './catalogueList.js';

const [head = '', ...rows] = catalogueListCsv().split('\n');
const columns = head.split(',').map((h) => columnFor(h));

test('every row is read whole by the shelf’s own reader, has a price, and is a product of its own', () => {
  expect(rows).toHaveLength(12 * 8 * 3);
  expect(columns.every((c) => c !== undefined)).toBe(true);
  const read = rows.map((row) => readCsvRow(columns, row.split(',')));
  for (const r of read) {
    expect(r).toMatchObject({ ok: true, leftOut: [] });
    if (r.ok) expect(catalogueFacts(toProduct(r.value)).price?.currency).toBe('EUR');
  }
  expect(new Set(read.map((r) => (r.ok ? `${r.value.name} ${r.value.seller}` : ''))).size).toBe(rows.length);
});

test('it is the same every time', () => expect(catalogueListCsv().split('\n').slice(1)).toEqual(rows));

import { columnFor, readCsvRow, toProduct } from '@wheat-ledger/contract';
import { catalogueFacts, readListed, type ListCells } from '@wheat-ledger/core';
import { catalogueListCsv, cataloguePricesCsv } from './catalogueList.js';

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

test('its later prices name products of the list but for one line, and some are dearer, some cheaper, one is gone', () => {
  const [heading, ...prices] = cataloguePricesCsv('2026-04-01').split('\n');
  const cells = (line: string): ListCells =>
    Object.fromEntries((heading ?? '').split(',').map((h, i) => [h, line.split(',')[i] ?? '']));
  const read = prices.map((line) => readListed(cells(line)));
  expect(read.every((r) => r.ok)).toBe(true);
  const names = new Set(rows.map((row) => row.split(',')[0]));
  expect(read.filter((r) => r.ok && !names.has(r.listed.item))).toHaveLength(1);
  expect(read.filter((r) => r.ok && !r.listed.price)).toHaveLength(1);
  const before = rows.map((row) => Number(row.split(',')[head.split(',').indexOf('price')]));
  const after = read.slice(0, rows.length).map((r) => (r.ok ? Number(r.listed.price?.amount ?? 0) : 0));
  expect(after.some((a, i) => a > (before[i] ?? 0))).toBe(true);
  expect(after.some((a, i) => a > 0 && a < (before[i] ?? 0))).toBe(true);
});

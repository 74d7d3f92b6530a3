import 'reflect-metadata';
import { catalogueFacts, RANKED_NUTRIENTS, type DecimalMark } from '@wheat-ledger/core';
import { columnFor, readCsvRow, toProduct, type CsvColumn, type ProductInput } from '@wheat-ledger/contract';
import { move, transferableSymbol, valueSymbol } from 'piscina';
import { csvRows } from '../shelf/csvText.js';

/** Whole rows of a list, with what its columns mean. */
export interface RowsToRead {
  readonly text: string;
  /** Rows at its start that are headings, or above them. */
  readonly skip: number;
  /** Which row of the file its first is. */
  readonly firstRow: number;
  readonly headings: readonly string[];
  readonly delimiter: string;
  readonly currency: string | undefined;
  readonly decimal: DecimalMark | undefined;
  readonly importId: string;
  readonly workspace: string;
}
/** The same as lines that the database copies into its staging table. */
export interface RowsRead {
  readonly copy: Uint8Array;
  readonly rows: number;
  readonly good: number;
  readonly problems: readonly { readonly row: number; readonly message: string }[];
}

/** Columns of the staging table in the order of a line. */
export const STAGED = [
  ...['import_id', 'workspace_id', 'row', 'key', 'name', 'words', 'seller', 'form', 'organic', 'origins'],
  ...['currency', 'price_per_kg', 'seen_on', 'in_stock', 'chloride_high'],
  ...RANKED_NUTRIENTS.flatMap((n) => [`${n.toLowerCase()}_low`, `${n.toLowerCase()}_high`]),
  'record',
] as const;

type Cell = string | number | undefined;
/** A cell as the database copies it; what is missing is \N. */
const copied = (cell: Cell): string =>
  cell === undefined
    ? '\\N'
    : String(cell).replace(/[\\\t\n\r]/g, (c) => ({ '\\': '\\\\', '\t': '\\t', '\n': '\\n', '\r': '\\r' })[c] ?? c);
/** A list of words as the database reads it. */
const array = (words: readonly string[]): string =>
  `{${words.map((w) => `"${w.replace(/[\\"]/g, (c) => `\\${c}`)}"`).join(',')}}`;

/** What makes a row the same product in the next list of this seller: its name, seller and package. */
function keyOf({ name, seller, offers }: ProductInput): string {
  const sizes = offers.map((o) => `${o.size} ${o.unit}`).join(', ');
  return [name, seller, sizes].join('|').toLowerCase();
}
/** The words it is found by. */
const wordsOf = (p: ProductInput): string =>
  [p.name, p.seller, p.grade ?? '', p.derivedFrom, p.organic?.body ?? '', ...(p.origins ?? [])].join(' ').toLowerCase();

function line(input: ProductInput, row: number, { importId, workspace, currency }: RowsToRead): string {
  const { price, fractions, chlorideHigh } = catalogueFacts(toProduct(input), currency);
  const cells: readonly Cell[] = [
    ...[importId, workspace, row, keyOf(input), input.name, wordsOf(input), input.seller, input.form],
    ...[input.organic?.status ?? 'unknown', array(input.origins ?? [])],
    ...[price?.currency, price?.perKg, price?.seenOn, undefined, chlorideHigh],
    ...RANKED_NUTRIENTS.flatMap((n) => [fractions[n]?.low, fractions[n]?.high]),
    JSON.stringify(input),
  ];
  return cells.map(copied).join('\t');
}

const isBlank = (cells: readonly string[]): boolean => cells.every((c) => c.trim() === '');

/** Reads whole rows of a list by the same reader as the shelf. Runs in a thread of its own. */
export default function readRows(some: RowsToRead): object {
  const columns: readonly (CsvColumn | undefined)[] = some.headings.map((heading) => columnFor(heading));
  const lines: string[] = [];
  const problems: { row: number; message: string }[] = [];
  let rows = 0;
  let at = some.firstRow - 1;
  for (const cells of csvRows(some.text, some.delimiter)) {
    at += 1;
    if (at < some.firstRow + some.skip || isBlank(cells)) continue;
    rows += 1;
    const read = readCsvRow(columns, cells, some.currency, some.decimal);
    if (read.ok) lines.push(line(read.value, at, some));
    const told = read.ok ? read.leftOut : read.problems;
    const words = told.map((p) => `${p.path}: ${p.message}`).join(' ');
    if (told.length > 0) problems.push({ row: at, message: read.ok ? `Without ${words}` : words });
  }
  const copy = new TextEncoder().encode(lines.map((l) => `${l}\n`).join(''));
  const read: RowsRead = { copy, rows, good: lines.length, problems };
  // The bytes go over to the server as they are: copies of them would pile up there.
  return move({ [transferableSymbol]: copy.buffer, [valueSymbol]: read });
}

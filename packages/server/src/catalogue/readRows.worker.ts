import 'reflect-metadata';
import {
  catalogueFacts,
  offersAfter,
  priceChanges,
  productNameOf,
  RANKED_NUTRIENTS,
  readListed,
  sameSize,
  type DecimalMark,
  type ListCells,
  type ListedPrice,
} from '@wheat-ledger/core';
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
  ...['currency', 'price_per_kg', 'package_kg', 'package_price', 'seen_on', 'in_stock', 'place', 'chloride_high'],
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
  const sizes = [...new Set(offers.map((o) => `${o.size} ${o.unit}`))].join(', ');
  return [name, seller, sizes].join('|').toLowerCase();
}
/** Bytes of words that go into an index beside what a line of the list shows: an entry of PostgreSQL's holds 2704. */
const MOST_WORD_BYTES = 1000;
/** The words it is found by, each once, and how many of them are more than fits. */
function wordsOf(p: ProductInput): { readonly words: string; readonly tooMany: number } {
  const said = [p.name, p.seller, p.grade ?? '', ...p.derivedFrom, p.organic?.body ?? '', ...(p.origins ?? [])];
  const all = [...new Set(said.join(' ').toLowerCase().split(/\s+/).filter(Boolean))];
  let bytes = 0;
  const fitting = all.filter((word) => (bytes += Buffer.byteLength(word) + 1) <= MOST_WORD_BYTES);
  return { words: fitting.join(' '), tooMany: all.length - fitting.length };
}

/** The least that a column of single precision holds in full; what is less is none. */
const LEAST_REAL = 1.2e-38;
const real = (share: number | undefined): number | undefined => (share !== undefined && share < LEAST_REAL ? 0 : share);

/** What only a list says of a product. */
interface OfList {
  readonly inStock: boolean | undefined;
  readonly place: string;
}
/** What a line of the staging table is besides the product: whose, and which. */
export interface StagedAs {
  readonly importId: string;
  readonly workspace: string;
  readonly row: number;
  readonly key: string;
  readonly words: string;
  /** The money it is told in, where it is priced in several. */
  readonly currency: string | undefined;
}
/** A product as the database copies it into the staging table. */
export function stagedLine(input: ProductInput, as: StagedAs, { inStock, place }: OfList): string {
  const { price, packages, fractions, chlorideHigh } = catalogueFacts(toProduct(input), as.currency);
  const cells: readonly Cell[] = [
    ...[as.importId, as.workspace, as.row, as.key, input.name, as.words, input.seller, input.form],
    ...[input.organic?.status ?? 'unknown', array(input.origins ?? [])],
    ...[
      price?.currency,
      price?.perKg,
      `{${packages.map((p) => p.kg).join()}}`,
      `{${packages.map((p) => p.price).join()}}`,
    ],
    ...[price?.seenOn, inStock === undefined ? undefined : String(inStock), place, real(chlorideHigh)],
    ...RANKED_NUTRIENTS.flatMap((n) => [real(fractions[n]?.low), real(fractions[n]?.high)]),
    JSON.stringify(input),
  ];
  return cells.map(copied).join('\t');
}

/** The bytes go over to the server as they are: copies of them would pile up there. */
function handedOver(lines: readonly string[], read: Omit<RowsRead, 'copy'>): object {
  const copy = new TextEncoder().encode(lines.map((l) => `${l}\n`).join(''));
  return move({ [transferableSymbol]: copy.buffer, [valueSymbol]: { copy, ...read } satisfies RowsRead });
}

/** Lines of a price list, with the products of the list that have their names. */
export interface PricesToRead {
  readonly lines: readonly { readonly row: number; readonly cells: ListCells }[];
  readonly known: readonly {
    readonly key: string;
    readonly inStock: boolean | null;
    readonly place: string;
    readonly record: ProductInput;
  }[];
  readonly today: string;
  readonly importId: string;
  readonly workspace: string;
}
type Known = PricesToRead['known'][number];

/** Which product of the list a line means: of its name and seller the one on sale in that size, or the only one. */
function meant(listed: ListedPrice, seller: string, named: readonly Known[]): Known | undefined {
  const sold = named.filter(({ record }) => seller === '' || productNameOf(record.seller) === seller);
  const sized = sold.filter(({ record }) => record.offers.some((o) => sameSize(o, listed)));
  const fits = sized.length > 0 ? sized : sold;
  return fits.length === 1 ? fits[0] : undefined;
}

/** Brings the prices of a list to what a price list says. Runs in a thread of its own. */
export function readPrices({ lines, known, today, importId, workspace }: PricesToRead): object {
  const problems: { row: number; message: string }[] = [];
  const of = new Map<Known, PricesToRead['lines'][number][]>();
  const byName = new Map<string, Known[]>();
  for (const k of known) {
    const name = productNameOf(k.record.name);
    byName.set(name, [...(byName.get(name) ?? []), k]);
  }
  for (const line of lines) {
    const read = readListed(line.cells);
    if (!read.ok) {
      problems.push({ row: line.row, message: read.why });
      continue;
    }
    const { item, size, unit } = read.listed;
    const product = meant(
      read.listed,
      productNameOf(line.cells['seller'] ?? ''),
      byName.get(productNameOf(item)) ?? [],
    );
    if (product) of.set(product, [...(of.get(product) ?? []), line]);
    else
      problems.push({
        row: line.row,
        message: `${item}, ${size} ${unit}: the list holds no such package, or several.`,
      });
  }
  const staged: string[] = [];
  let good = 0;
  for (const [{ key, inStock, place, record }, said] of of) {
    const product = toProduct(record);
    const changes = priceChanges(
      [product],
      said.map((l) => l.cells),
      record.seller,
    );
    changes.forEach((c, i) => {
      if (c.kind === 'refused') problems.push({ row: said[i]?.row ?? 0, message: c.why });
      else good += 1;
    });
    const offers = offersAfter(product, changes, today).map(({ size, unit, price, seenOn, seller }) => ({
      ...{ size, unit },
      ...(price ? { price } : {}),
      ...(seenOn ? { seenOn } : {}),
      ...(seller ? { seller } : {}),
    }));
    const currency = changes.flatMap((c) => ('after' in c && c.after.price ? [c.after.price.currency] : []))[0];
    if (changes.every((c) => c.kind === 'same' || c.kind === 'refused')) continue;
    // By the line of the price list, so that doubles are told by it; the row of the list comes back with the rest of it.
    const as = { importId, workspace, row: said[0]?.row ?? 0, key, currency, words: wordsOf(record).words };
    staged.push(stagedLine({ ...record, offers }, as, { inStock: inStock ?? undefined, place }));
  }
  return handedOver(staged, { rows: lines.length, good, problems });
}

const PLACE = /^(?:place|town|sold in)$/i;
const IN_STOCK = /^(?:in stock|available|availability)$/i;
const YES = /^(?:yes|y|true|1|in stock|available)$/i;
const NO = /^(?:no|n|false|0|out of stock|sold out)$/i;
/** What stands in the columns that only lists have. */
function ofList(headings: readonly string[], cells: readonly string[]): OfList {
  const cell = (heading: RegExp): string => (cells[headings.findIndex((h) => heading.test(h.trim()))] ?? '').trim();
  const said = cell(IN_STOCK);
  return { inStock: YES.test(said) ? true : NO.test(said) ? false : undefined, place: cell(PLACE).slice(0, 120) };
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
    if (read.ok) {
      const { importId, workspace, currency } = some;
      const { words, tooMany } = wordsOf(read.value);
      const as = { importId, workspace, currency, row: at, key: keyOf(read.value), words };
      lines.push(stagedLine(read.value, as, ofList(some.headings, cells)));
      if (tooMany > 0)
        problems.push({
          row: at,
          message: `It is not found by its last ${tooMany} words: a list is searched by so many letters only.`,
        });
    }
    const told = read.ok ? read.leftOut : read.problems;
    const why = told.map((p) => `${p.path}: ${p.message}`).join(' ');
    if (told.length > 0) problems.push({ row: at, message: read.ok ? `Without ${why}` : why });
  }
  return handedOver(lines, { rows, good: lines.length, problems });
}

import {
  figureInCell,
  PROVENANCES,
  writtenPlainly,
  type Analyte,
  type AnalysisUnit,
  type DecimalMark,
} from '@wheat-ledger/core';
import { ProductInput } from '../product.js';
import { productProblems } from '../productProblems.js';
import { validateInput, type FieldProblem, type Validated } from '../validate.js';
import {
  columnFor,
  counted,
  FIELDS,
  figureKey,
  headingOf,
  isOrdered,
  keyOf,
  rowHeading,
  type CsvColumn,
  type CsvField,
} from './csvColumns.js';
import {
  blankDirection,
  blankLine,
  blankOffer,
  blankProduct,
  readProduct,
  type AmountTyped,
  type LineText,
  type OfferText,
  type ProductText,
} from './productText.js';
import { PLAIN_FIELDS } from './productFields.js';
import { damage, isNote, priceCell } from './sheetCells.js';
import { given, typedPath } from './reader.js';

const fromText = (l: LineText): string => `${l.provenance}: ${l.source}`;
function readFrom(text: string): Pick<LineText, 'provenance' | 'source'> {
  const [, word = '', source = ''] = /^\s*(\w+)\s*:?\s*([^]*)$/.exec(text) ?? [];
  return (PROVENANCES as readonly string[]).includes(word)
    ? { provenance: word, source }
    : { provenance: 'label', source: text.trim() };
}

/** A product as its row: a cell for each column, safe to open in a spreadsheet. */
export function csvRow(product: ProductText, columns: readonly CsvColumn[]): readonly string[] {
  const lines = new Map(counted(product.analysis).map(({ line, nth }) => [`${figureKey(line)}|${nth}`, line] as const));
  const order = [...lines.keys()];
  const figureHeadings = new Map(
    columns.flatMap((c) => (c.kind === 'figure' ? [[`${figureKey(c)}|${c.nth}`, headingOf(c)] as const] : [])),
  );
  const inOrder = isOrdered(order, [...figureHeadings.keys()]);
  return columns.map((column) => {
    if (column.kind === 'field') return guarded(FIELDS[column.field].get(product));
    if (column.kind === 'order') return inOrder ? '' : order.map((key) => figureHeadings.get(key) ?? '').join('; ');
    if (column.kind === 'row')
      return guarded(
        (column.list === 'offers'
          ? product.offers[column.nth - 1]?.[column.part]
          : product.directions[column.nth - 1]?.[column.part]) ?? '',
      );
    const line = lines.get(`${figureKey(column)}|${column.nth}`);
    return line ? guarded(column.kind === 'figure' ? line.value : fromText(line)) : '';
  });
}

/** Where a problem's path stands in the file: its column's heading, or the path itself where no column is meant. */
function headingAt(path: string, text: ProductText): string {
  const [list = '', index = '', part = ''] = path.split('.');
  const line = list === 'analysis' ? counted(text.analysis)[Number(index)] : undefined;
  if (line)
    return headingOf({
      kind: 'figure',
      analyte: line.line.analyte as Analyte,
      basis: line.line.basis,
      unit: line.line.unit as AnalysisUnit,
      nth: line.nth,
    });
  if (list === 'offers' || list === 'directions') return rowHeading(list, part, Number(index) + 1);
  return PATH_HEADINGS[list] ?? list;
}
const PATH_HEADINGS: Readonly<Record<string, CsvField>> = {
  densityKgPerL: 'density kg/L',
  derivedFrom: 'derived from',
  longevity: 'lasts days',
  ...Object.fromEntries(PLAIN_FIELDS.map(({ key, heading }) => [key, heading])),
  labelText: 'label text',
};

/** A bag with what is on hand of it. */
interface RowRead {
  readonly plain: ProductInput;
  readonly stock?: AmountTyped;
}

/** A row that was read; what of it does not fit was left out and is told. */
export type CsvRowRead =
  | {
      readonly ok: true;
      readonly value: ProductInput;
      readonly stock?: AmountTyped;
      readonly leftOut: readonly FieldProblem[];
    }
  | { readonly ok: false; readonly problems: readonly FieldProblem[] };

/** A row whose bad cells may be left out one after the other; more rounds than this and the row is no bag. */
const MOST_ROUNDS = 4;

/**
 * A row as the product it makes. A cell that does not fit is left out where the rest is good, and told; a row without a name, or of which
 * nothing is left, is refused. Cells beyond the headings are told too.
 */
export function readCsvRow(
  columns: readonly (CsvColumn | undefined)[],
  cells: readonly string[],
  currency = '',
  mark?: DecimalMark,
): CsvRowRead {
  const beyond = cells.slice(columns.length).filter((cell) => cell.trim() !== '');
  const leftOut: FieldProblem[] =
    beyond.length === 0
      ? []
      : [
          {
            path: `behind column ${columns.length}`,
            message: `Read “${beyond.join(', ').slice(0, 60)}”, expected no more cells than headings.`,
          },
        ];
  let left = cells.slice(0, columns.length);
  if (isNote(columns, left))
    return {
      ok: false,
      problems: [{ path: 'row', message: 'Only one cell is filled: taken for a note, not for a bag.' }],
    };
  left = left.map((cell, i) => {
    const damaged = damage(columns[i], unguarded(cell), currency);
    leftOut.push(...damaged);
    return damaged.length > 0 ? '' : cell;
  });
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const read = readWholeRow(columns, left, currency, mark);
    if (read.ok) return { ok: true, value: read.value.plain, ...given('stock', read.value.stock), leftOut };
    const bad = new Set(read.problems.map((p) => p.path));
    const held = (some: readonly string[]): number =>
      some.filter((cell, i) => columns[i] && !isName(columns[i]) && cell.trim() !== '').length;
    let blanked = blankedWhere(left, columns, (column) => bad.has(headingOf(column)));
    // A price without its package does not fit either: then the whole package goes.
    if (held(blanked) === held(left))
      blanked = blankedWhere(
        left,
        columns,
        (column) =>
          column.kind === 'row' &&
          columns.some(
            (c) => c?.kind === 'row' && c.list === column.list && c.nth === column.nth && bad.has(headingOf(c)),
          ),
      );
    if (held(blanked) === held(left) || held(blanked) === 0)
      return { ok: false, problems: [...leftOut, ...read.problems] };
    leftOut.push(...read.problems.filter((p) => !leftOut.some((told) => told.path === p.path)));
    left = blanked;
  }
  return { ok: false, problems: leftOut };
}
/** A row without the cells of some columns; its name stays. */
const blankedWhere = (
  cells: readonly string[],
  columns: readonly (CsvColumn | undefined)[],
  goes: (column: CsvColumn) => boolean,
): string[] =>
  cells.map((cell, i) => {
    const column = columns[i];
    return column && column.kind !== 'order' && !isName(column) && goes(column) ? '' : cell;
  });
const isName = (column: CsvColumn | undefined): boolean => column?.kind === 'field' && column.field === 'name';

/**
 * A row as the product it makes, or everything about it that does not fit, each under its column's heading.
 * @param columns what each cell means; undefined is left out
 * @param mark the decimal mark of the file; without it a number that could be two is refused
 * @param currency that of prices whose row names none; without it such a price is refused
 */
function readWholeRow(
  columns: readonly (CsvColumn | undefined)[],
  cells: readonly string[],
  currency: string,
  mark: DecimalMark | undefined,
): Validated<RowRead> {
  const plain = cells
    .map(unguarded)
    .map((cell, i) => (mark && holdsNumbers(columns[i]) ? writtenPlainly(cell, mark) : cell));
  const text = productFromRow(columns, plain, currency);
  const read = readProduct(text);
  const refused = (problems: readonly FieldProblem[]): Validated<RowRead> => ({
    ok: false,
    problems: problems.map((p) => ({ ...p, path: headingAt(p.path, text) })),
  });
  if (read.problems.length > 0) return refused(read.problems);
  const asTyped = (problems: readonly FieldProblem[]): readonly FieldProblem[] =>
    problems.map((p) => ({ ...p, path: typedPath(p.path, read.rows) }));
  const checked = validateInput(ProductInput, read.plain);
  if (!checked.ok) return refused(asTyped(checked.problems));
  const problems = productProblems(checked.value);
  if (problems.length > 0) return refused(asTyped(problems));
  return { ok: true, value: { plain: checked.value, ...given('stock', read.stock) } };
}

const WORDS: readonly CsvField[] = [
  'name',
  'seller',
  'form',
  'grade',
  'derived from',
  'organic',
  'organic body',
  'origins',
  'incubation',
  'own figures',
  'note',
  'label text',
  ...PLAIN_FIELDS.filter(({ kind }) => kind !== 'number').map(({ heading }) => heading),
];
/** Whether a column's cells hold numbers, not words that may have some among them. */
const holdsNumbers = (column: CsvColumn | undefined): boolean =>
  column?.kind === 'figure' ||
  (column?.kind === 'field' && !WORDS.includes(column.field)) ||
  (column?.kind === 'row' && ['size', 'price', 'amount', 'perYear'].includes(column.part));

/** Rows with one more part, and blank rows before it where none had anything yet. */
const withPart = <Row>(
  rows: readonly Row[],
  blank: () => Row,
  { part, nth }: { readonly part: string; readonly nth: number },
  cell: string,
): Row[] =>
  Array.from({ length: Math.max(rows.length, nth) }, (_, i) =>
    i === nth - 1 ? { ...(rows[i] ?? blank()), [part]: cell.trim() } : (rows[i] ?? blank()),
  );

/** A figure of a row; the unit in its cell goes before that of its heading. */
function figureLine(line: LineText, cell: string): LineText {
  const { value, unit } = figureInCell(cell);
  return { ...line, value, unit: unit ?? line.unit };
}

/** Packages with one more part; the currency in a price's cell goes before that of the file. */
function offersWith(
  offers: readonly OfferText[],
  column: { readonly part: string; readonly nth: number },
  cell: string,
  currency: string,
): OfferText[] {
  if (column.part !== 'price') return withPart(offers, () => blankOffer(currency), column, cell);
  const found = priceCell(cell, currency);
  const priced = withPart(offers, () => blankOffer(currency), column, found.price);
  return found.currency === currency
    ? priced
    : withPart(priced, () => blankOffer(currency), { part: 'currency', nth: column.nth }, found.currency);
}

/** A row's cells as the text of a product; columns without a meaning are left out. */
function productFromRow(
  columns: readonly (CsvColumn | undefined)[],
  cells: readonly string[],
  currency: string,
): ProductText {
  let product: ProductText = { ...blankProduct(), analysis: [], offers: [], directions: [] };
  const lines: { key: string; line: LineText }[] = [];
  let order: readonly string[] = [];
  columns.forEach((column, i) => {
    const cell = cells[i] ?? '';
    if (!column || cell.trim() === '') return;
    if (column.kind === 'field') product = FIELDS[column.field].set(product, cell);
    else if (column.kind === 'order') order = cell.split(';').map((heading) => keyOf(columnFor(heading)));
    else if (column.kind === 'row')
      product = {
        ...product,
        ...(column.list === 'offers'
          ? { offers: offersWith(product.offers, column, cell, currency) }
          : { directions: withPart(product.directions, blankDirection, column, cell) }),
      };
    else {
      const key = keyOf(column);
      const found = lines.find((l) => l.key === key) ?? {
        key,
        line: { ...blankLine(column.analyte, column.basis), unit: column.unit, source: 'CSV file' },
      };
      if (!lines.includes(found)) lines.push(found);
      found.line = column.kind === 'figure' ? figureLine(found.line, cell) : { ...found.line, ...readFrom(cell) };
    }
  });
  const placeOf = (key: string): number => (order.includes(key) ? order.indexOf(key) : order.length);
  return { ...product, analysis: [...lines].sort((a, b) => placeOf(a.key) - placeOf(b.key)).map((l) => l.line) };
}

const COULD_RUN = /^'*[=+\-@\t\r]/;
const PLAIN_NUMBER = /^[+-]?\d+(?:[.,]\d+)?$/;
/** A cell that a spreadsheet would run as a formula gets an apostrophe before it. @example guarded('=1+1') // "'=1+1" */
export const guarded = (cell: string): string => (COULD_RUN.test(cell) && !PLAIN_NUMBER.test(cell) ? `'${cell}` : cell);
/** Takes the apostrophe away again. */
export const unguarded = (cell: string): string =>
  cell.startsWith("'") && COULD_RUN.test(cell) ? cell.slice(1) : cell;

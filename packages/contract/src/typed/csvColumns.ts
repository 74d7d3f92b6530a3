import {
  ANALYSIS_UNITS,
  ANALYTES,
  analyteNamed,
  basesOf,
  basisWord,
  readBasisWord,
  typedFormula,
  type Analyte,
  type AnalysisUnit,
} from '@wheat-ledger/core';
import { PLAIN_FIELDS, type PlainHeading } from './productFields.js';
import { incubationCell, incubationInCell } from './incubationText.js';
import { ownFiguresCell, ownFiguresInCell } from './ownFigureText.js';
import { given } from './reader.js';
import type { DirectionText, LineText, OfferText, ProductText } from './productText.js';

/** A column of the file: a plain field, a figure of the analysis, where that figure is from, a part of the n-th package or the n-th rate, or the order of the figures where it is not that of the columns. */
export type CsvColumn =
  | { readonly kind: 'field'; readonly field: CsvField }
  | {
      readonly kind: 'figure' | 'from';
      readonly analyte: Analyte;
      readonly basis: string;
      readonly unit: AnalysisUnit;
      readonly nth: number;
    }
  | (CsvRowPart & { readonly kind: 'row'; readonly nth: number })
  | { readonly kind: 'order' };

/** Plain fields by their heading, and how each is read from and written to the text of a product. */
const OWN_FIELDS = {
  name: { get: (p: ProductText) => p.name, set: (p: ProductText, v: string) => ({ ...p, name: v }) },
  seller: { get: (p: ProductText) => p.seller, set: (p: ProductText, v: string) => ({ ...p, seller: v }) },
  form: {
    get: (p: ProductText) => p.form,
    set: (p: ProductText, v: string) => ({ ...p, form: v.trim().toLowerCase() || 'granule' }),
  },
  grade: { get: (p: ProductText) => p.grade, set: (p: ProductText, v: string) => ({ ...p, grade: v }) },
  'density kg/L': {
    get: (p: ProductText) => p.densityKgPerL,
    set: (p: ProductText, v: string) => ({ ...p, densityKgPerL: v }),
  },
  'derived from': {
    get: (p: ProductText) => p.derivedFrom,
    set: (p: ProductText, v: string) => ({ ...p, derivedFrom: v }),
  },
  'lasts days': {
    get: (p: ProductText) => p.longevity.days,
    set: (p: ProductText, v: string) => ({ ...p, longevity: { ...p.longevity, days: v } }),
  },
  'rated at °C': {
    get: (p: ProductText) => (p.longevity.days ? p.longevity.referenceC : ''),
    set: (p: ProductText, v: string) => ({ ...p, longevity: { ...p.longevity, referenceC: v || '21' } }),
  },
  organic: {
    get: (p: ProductText) => (p.organic.status === 'unknown' ? '' : p.organic.status),
    set: (p: ProductText, v: string) => ({
      ...p,
      organic: { ...p.organic, status: v.trim().toLowerCase() || 'unknown' },
    }),
  },
  'organic body': {
    get: (p: ProductText) => p.organic.body,
    set: (p: ProductText, v: string) => ({ ...p, organic: { ...p.organic, body: v } }),
  },
  origins: {
    get: (p: ProductText) => p.origins.join(', '),
    set: (p: ProductText, v: string) => ({
      ...p,
      origins: v
        .split(/[,;]/)
        .map((o) => o.trim().toLowerCase())
        .filter(Boolean),
    }),
  },
  stock: { get: (p: ProductText) => p.stock, set: (p: ProductText, v: string) => ({ ...p, stock: v }) },
  incubation: {
    get: (p: ProductText) => incubationCell(p.incubation),
    set: (p: ProductText, v: string) => ({ ...p, ...given('incubation', incubationInCell(v)) }),
  },
  'own figures': {
    get: (p: ProductText) => ownFiguresCell(p.ownFigures),
    set: (p: ProductText, v: string) => ({ ...p, ...given('ownFigures', ownFiguresInCell(v)) }),
  },
  note: { get: (p: ProductText) => p.note, set: (p: ProductText, v: string) => ({ ...p, note: v }) },
  'label text': { get: (p: ProductText) => p.labelText, set: (p: ProductText, v: string) => ({ ...p, labelText: v }) },
} as const;

interface FieldDoor {
  readonly get: (product: ProductText) => string;
  readonly set: (product: ProductText, value: string) => ProductText;
}
export type CsvField = keyof typeof OWN_FIELDS | PlainHeading;
export const FIELDS = {
  ...OWN_FIELDS,
  ...Object.fromEntries(
    PLAIN_FIELDS.map(({ heading, key }): [PlainHeading, FieldDoor] => [
      heading,
      { get: (p) => p[key], set: (p, v) => ({ ...p, [key]: v }) },
    ]),
  ),
} as Readonly<Record<CsvField, FieldDoor>>;
export const CSV_FIELDS = Object.keys(FIELDS) as readonly CsvField[];

/** Lists of a product that are written part by part, each part of each row in a column of its own. */
export type CsvRowPart =
  | { readonly list: 'offers'; readonly part: keyof OfferText }
  | { readonly list: 'directions'; readonly part: keyof DirectionText };
const ROW_PARTS: readonly (CsvRowPart & { readonly heading: string })[] = [
  { list: 'offers', part: 'size', heading: 'package' },
  { list: 'offers', part: 'price', heading: 'price' },
  { list: 'offers', part: 'currency', heading: 'currency' },
  { list: 'offers', part: 'seenOn', heading: 'seen on' },
  { list: 'offers', part: 'seller', heading: 'asked by' },
  { list: 'directions', part: 'amount', heading: 'rate' },
  { list: 'directions', part: 'use', heading: 'rate for' },
  { list: 'directions', part: 'perYear', heading: 'times a year' },
];
/** The columns of the first so many rows of a list. */
export const rowColumns = (list: CsvRowPart['list'], rows: number): readonly CsvColumn[] =>
  Array.from({ length: rows }, (_, i) =>
    ROW_PARTS.flatMap((p): CsvColumn[] => (p.list === list ? [{ ...partOf(p), kind: 'row', nth: i + 1 }] : [])),
  ).flat();
const partOf = ({ list, part }: CsvRowPart): CsvRowPart => ({ list, part }) as CsvRowPart;

const numbered = (words: string, nth: number): string => (nth === 1 ? words : `${words} (${nth})`);
/** The heading of a part of a row; a part that has no column is told by the row's first. */
export const rowHeading = (list: CsvRowPart['list'], part: string, nth: number): string =>
  numbered(
    (ROW_PARTS.find((p) => p.list === list && p.part === part) ?? ROW_PARTS.find((p) => p.list === list))?.heading ??
      list,
    nth,
  );

/** What stands in a heading for a nutrient: its symbol or its compound, and "available" for what only an extract holds. */
function symbolOf(analyte: string, word: string): string {
  const { basis, extract } = readBasisWord(word);
  const symbol = basis === 'element' ? analyte : analyte.startsWith('N.') ? `${analyte} as ${basis}` : basis;
  return extract ? `${symbol} available` : symbol;
}

const ORDER_HEADING = 'order of figures';

/** A column's heading. @example headingOf({ kind: 'figure', analyte: 'P', basis: 'P2O5', unit: '%', nth: 1 }) // 'P2O5 %' */
export function headingOf(column: CsvColumn): string {
  switch (column.kind) {
    case 'field':
      return column.field;
    case 'order':
      return ORDER_HEADING;
    case 'row':
      return rowHeading(column.list, column.part, column.nth);
    case 'figure':
      return numbered(`${symbolOf(column.analyte, column.basis)} ${column.unit}`, column.nth);
    case 'from':
      return numbered(`${symbolOf(column.analyte, column.basis)} ${column.unit} from`, column.nth);
  }
}

const SYMBOLS = new Map(
  ANALYTES.flatMap((analyte) =>
    basesOf(analyte)
      .flatMap((b) => [b, basisWord(b, 'available')])
      .map((basis) => [symbolOf(analyte, basis).toLowerCase(), { analyte, basis }] as const),
  ),
);

/** Other words for our headings, as people's own sheets have them. */
const ALSO: readonly (readonly [string, readonly string[]])[] = [
  ['name', ['product', 'product name', 'bag', 'item', 'material', 'description']],
  ['seller', ['supplier', 'shop', 'store', 'vendor', 'brand', 'maker', 'manufacturer']],
  ['derived from', ['ingredients', 'made from', 'sources']],
  ['note', ['notes', 'comment', 'comments', 'remark', 'remarks']],
  ['stock', ['in stock', 'stock on hand', 'on hand']],
  ['package', ['size', 'bag size', 'pack size', 'package size', 'weight', 'net weight', 'contents']],
  ['price', ['cost', 'bag price']],
  ['seen on', ['date', 'price date']],
  ['rate', ['label rate', 'application rate', 'directions', 'dose']],
  ['times a year', ['applications a year', 'applications']],
  ['density kg/L', ['density', 'bulk density']],
];
const OURS = new Map(ALSO.flatMap(([ours, words]) => words.map((word) => [word, ours.toLowerCase()] as const)));

/** A heading in one spelling: subscripts as digits, ppm as mg/kg, a unit or a currency out of its brackets. */
function plainHeading(words: string): string {
  const plain = typedFormula(words.trim())
    .replace(/\s*[([]([^()[\]]*)[)\]]/g, ' $1')
    .replace(/\bppm\b/i, 'mg/kg')
    .replace(/\s+/g, ' ');
  const priced = plain.replace(/ (?:[A-Z]{3}|[€$£])$/, '').toLowerCase();
  return OURS.get(priced) ?? (priced === 'price' ? priced : (OURS.get(plain.toLowerCase()) ?? plain.toLowerCase()));
}

/** What a heading means, for our own headings and near spellings of them; undefined when it says nothing that is known. */
export function columnFor(heading: string): CsvColumn | undefined {
  const [, words = '', number] = /^(.*?)(?:\s*\((\d{1,2})\))?$/.exec(heading.trim()) ?? [];
  const plain = plainHeading(words);
  const nth = number === undefined ? 1 : Number(number);
  if (plain === ORDER_HEADING) return { kind: 'order' };
  const field = CSV_FIELDS.find((f) => f.toLowerCase() === plain || f.toLowerCase().replace(/ kg\/l$/, '') === plain);
  if (field && nth === 1) return { kind: 'field', field };
  const part = ROW_PARTS.find((p) => p.heading === plain);
  if (part) return { ...partOf(part), kind: 'row', nth };
  const from = / from$/.test(plain);
  const figure = from ? plain.slice(0, -5) : plain;
  const unit = [...ANALYSIS_UNITS]
    .sort((a, b) => b.length - a.length)
    .find((u) => figure.endsWith(` ${u.toLowerCase()}`));
  const symbol = SYMBOLS.get(unit ? figure.slice(0, -unit.length - 1) : figure);
  const named = symbol || from ? undefined : analyteNamed(figure);
  if (named) return { kind: 'figure', analyte: named.analyte, basis: named.basis, unit: '%', nth };
  return symbol && (unit || !from) ? { kind: from ? 'from' : 'figure', ...symbol, unit: unit ?? '%', nth } : undefined;
}

export const figureKey = (l: { readonly analyte: string; readonly basis: string; readonly unit: string }): string =>
  `${l.analyte}|${l.basis}|${l.unit}`;

export const keyOf = (column: CsvColumn | undefined): string =>
  column?.kind === 'figure' || column?.kind === 'from' ? `${figureKey(column)}|${column.nth}` : '';

/** Each line of an analysis with how many of its own kind stand before it, from 1. */
export function counted(lines: readonly LineText[]): readonly { readonly line: LineText; readonly nth: number }[] {
  const seen = new Map<string, number>();
  return lines.map((line) => {
    const nth = (seen.get(figureKey(line)) ?? 0) + 1;
    seen.set(figureKey(line), nth);
    return { line, nth };
  });
}

const orderOf = (product: ProductText): readonly string[] =>
  counted(product.analysis).map(({ line, nth }) => `${figureKey(line)}|${nth}`);
/** Whether some keys stand in the order of all. */
export const isOrdered = (some: readonly string[], all: readonly string[]): boolean => {
  const places = some.map((key) => all.indexOf(key));
  return places.every((place, i) => i === 0 || place > (places[i - 1] ?? 0));
};

/** Gathers the columns that products need together, one product after another: plain fields, then every figure that any declares, then packages and rates. */
export class CsvColumns {
  private readonly figures = new Map<string, CsvColumn[]>();
  private readonly fields = new Set<CsvField>(['name']);
  private readonly orders = new Set<string>();
  private packages = 1;
  private rates = 0;

  add(product: ProductText): this {
    for (const field of CSV_FIELDS) if (FIELDS[field].get(product) !== '') this.fields.add(field);
    for (const { line, nth } of counted(product.analysis)) {
      const shared = { analyte: line.analyte as Analyte, basis: line.basis, unit: line.unit as AnalysisUnit, nth };
      this.figures.set(`${figureKey(line)}|${nth}`, [
        { kind: 'figure', ...shared },
        { kind: 'from', ...shared },
      ]);
    }
    this.orders.add(orderOf(product).join(';'));
    this.packages = Math.max(this.packages, product.offers.length);
    this.rates = Math.max(this.rates, product.directions.filter((d) => d.amount !== '').length);
    return this;
  }

  list(): readonly CsvColumn[] {
    return [
      ...CSV_FIELDS.filter((f) => this.fields.has(f)).map((field): CsvColumn => ({ kind: 'field', field })),
      ...[...this.figures.values()].flat(),
      ...([...this.orders].every((order) => isOrdered(order.split(';'), [...this.figures.keys()]))
        ? []
        : [{ kind: 'order' } as const]),
      ...rowColumns('offers', this.packages),
      ...rowColumns('directions', this.rates),
    ];
  }
}

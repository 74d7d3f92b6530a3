import { ANALYSIS_UNITS, ANALYTES, analyteNamed, basesOf, PROVENANCES, type Analyte, type AnalysisUnit } from '@wheat-ledger/core';
import { blankLine, blankOffer, blankProduct, type LineText, type OfferText, type ProductText } from './productText';

/** A column of the file: a plain field, a figure of the analysis, where that figure is from, or a part of the n-th package. */
export type Column =
  | { readonly kind: 'field'; readonly field: PlainField }
  | { readonly kind: 'figure' | 'from'; readonly analyte: Analyte; readonly basis: string; readonly unit: AnalysisUnit; readonly nth: number }
  | { readonly kind: 'offer'; readonly part: keyof OfferText; readonly nth: number };

/** Plain fields by their heading, and how each is read from and written to the text of a product. */
const FIELDS = {
  name: { get: (p: ProductText) => p.name, set: (p: ProductText, v: string) => ({ ...p, name: v }) },
  seller: { get: (p: ProductText) => p.seller, set: (p: ProductText, v: string) => ({ ...p, seller: v }) },
  form: { get: (p: ProductText) => p.form, set: (p: ProductText, v: string) => ({ ...p, form: v.trim().toLowerCase() || 'granule' }) },
  grade: { get: (p: ProductText) => p.grade, set: (p: ProductText, v: string) => ({ ...p, grade: v }) },
  'density kg/L': { get: (p: ProductText) => p.densityKgPerL, set: (p: ProductText, v: string) => ({ ...p, densityKgPerL: v }) },
  'derived from': { get: (p: ProductText) => p.derivedFrom, set: (p: ProductText, v: string) => ({ ...p, derivedFrom: v }) },
  'label rate': { get: (p: ProductText) => p.labelRate.amount, set: (p: ProductText, v: string) => ({ ...p, labelRate: { ...p.labelRate, amount: v } }) },
  'applications a year': { get: (p: ProductText) => (p.labelRate.amount ? p.labelRate.perYear : ''), set: (p: ProductText, v: string) => ({ ...p, labelRate: { ...p.labelRate, perYear: v || '1' } }) },
  'lasts days': { get: (p: ProductText) => p.longevity.days, set: (p: ProductText, v: string) => ({ ...p, longevity: { ...p.longevity, days: v } }) },
  'rated at °C': { get: (p: ProductText) => (p.longevity.days ? p.longevity.referenceC : ''), set: (p: ProductText, v: string) => ({ ...p, longevity: { ...p.longevity, referenceC: v || '21' } }) },
  'C:N': { get: (p: ProductText) => p.carbonToNitrogen, set: (p: ProductText, v: string) => ({ ...p, carbonToNitrogen: v }) },
  'salt index': { get: (p: ProductText) => p.saltIndex, set: (p: ProductText, v: string) => ({ ...p, saltIndex: v }) },
  'liming kg CaCO3/100 kg': { get: (p: ProductText) => p.limingPer100Kg, set: (p: ProductText, v: string) => ({ ...p, limingPer100Kg: v }) },
  organic: { get: (p: ProductText) => (p.organic.status === 'unknown' ? '' : p.organic.status), set: (p: ProductText, v: string) => ({ ...p, organic: { ...p.organic, status: v.trim().toLowerCase() || 'unknown' } }) },
  'organic body': { get: (p: ProductText) => p.organic.body, set: (p: ProductText, v: string) => ({ ...p, organic: { ...p.organic, body: v } }) },
  origins: { get: (p: ProductText) => p.origins.join(', '), set: (p: ProductText, v: string) => ({ ...p, origins: v.split(/[,;]/).map((o) => o.trim().toLowerCase()).filter(Boolean) }) },
  stock: { get: (p: ProductText) => p.stock, set: (p: ProductText, v: string) => ({ ...p, stock: v }) },
  storage: { get: (p: ProductText) => p.storage, set: (p: ProductText, v: string) => ({ ...p, storage: v }) },
  note: { get: (p: ProductText) => p.note, set: (p: ProductText, v: string) => ({ ...p, note: v }) },
  'label text': { get: (p: ProductText) => p.labelText, set: (p: ProductText, v: string) => ({ ...p, labelText: v }) },
} as const;
export type PlainField = keyof typeof FIELDS;
export const PLAIN_FIELDS = Object.keys(FIELDS) as readonly PlainField[];

const OFFER_HEADINGS: Readonly<Record<keyof OfferText, string>> = { size: 'package', price: 'price', currency: 'currency', seenOn: 'seen on', seller: 'asked by' };
export const OFFER_PARTS = Object.keys(OFFER_HEADINGS) as readonly (keyof OfferText)[];

const numbered = (words: string, nth: number): string => (nth === 1 ? words : `${words} (${nth})`);
const symbolOf = (analyte: string, basis: string): string => (basis === 'element' ? analyte : analyte.startsWith('N.') ? `${analyte} as ${basis}` : basis);

/** A column's heading. @example headingOf({ kind: 'figure', analyte: 'P', basis: 'P2O5', unit: '%', nth: 1 }) // 'P2O5 %' */
export function headingOf(column: Column): string {
  switch (column.kind) {
    case 'field': return column.field;
    case 'offer': return numbered(OFFER_HEADINGS[column.part], column.nth);
    case 'figure': return numbered(`${symbolOf(column.analyte, column.basis)} ${column.unit}`, column.nth);
    case 'from': return numbered(`${symbolOf(column.analyte, column.basis)} ${column.unit} from`, column.nth);
  }
}

const SYMBOLS = new Map(ANALYTES.flatMap((analyte) => basesOf(analyte).map((basis) => [symbolOf(analyte, basis).toLowerCase(), { analyte, basis }] as const)));

/** What a heading means, for our own headings and near spellings of them; undefined when it says nothing that is known. */
export function columnFor(heading: string): Column | undefined {
  const [, words = '', number] = /^(.*?)(?:\s*\((\d{1,2})\))?$/.exec(heading.trim()) ?? [];
  const plain = words.trim().toLowerCase();
  const nth = number === undefined ? 1 : Number(number);
  const field = PLAIN_FIELDS.find((f) => f.toLowerCase() === plain || f.toLowerCase().replace(/ kg\/l$/, '') === plain);
  if (field && nth === 1) return { kind: 'field', field };
  const part = OFFER_PARTS.find((p) => OFFER_HEADINGS[p] === plain);
  if (part) return { kind: 'offer', part, nth };
  const from = / from$/.test(plain);
  const figure = from ? plain.slice(0, -5) : plain;
  const unit = [...ANALYSIS_UNITS].sort((a, b) => b.length - a.length).find((u) => figure.endsWith(` ${u.toLowerCase()}`));
  const symbol = SYMBOLS.get(unit ? figure.slice(0, -unit.length - 1) : figure);
  const named = symbol || from ? undefined : analyteNamed(figure);
  if (named?.kind === 'analyte') return { kind: 'figure', analyte: named.analyte, basis: named.basis, unit: '%', nth };
  return symbol && (unit || !from) ? { kind: from ? 'from' : 'figure', ...symbol, unit: unit ?? '%', nth } : undefined;
}

const figureKey = (l: Pick<LineText, 'analyte' | 'basis' | 'unit'>): string => `${l.analyte}|${l.basis}|${l.unit}`;

/** Each line of an analysis with how many of its own kind stand before it, from 1. */
function counted(lines: readonly LineText[]): readonly { readonly line: LineText; readonly nth: number }[] {
  const seen = new Map<string, number>();
  return lines.map((line) => {
    const nth = (seen.get(figureKey(line)) ?? 0) + 1;
    seen.set(figureKey(line), nth);
    return { line, nth };
  });
}

/** The columns that some products need together: plain fields, then every figure that any declares, then packages. */
export function columnsOf(products: readonly ProductText[]): readonly Column[] {
  const figures = new Map<string, Column[]>();
  for (const p of products) for (const { line, nth } of counted(p.analysis)) {
    const shared = { analyte: line.analyte as Analyte, basis: line.basis, unit: line.unit as AnalysisUnit, nth };
    figures.set(`${figureKey(line)}|${nth}`, [{ kind: 'figure', ...shared }, { kind: 'from', ...shared }]);
  }
  const packages = Math.max(1, ...products.map((p) => p.offers.length));
  return [
    ...PLAIN_FIELDS.filter((f) => f === 'name' || products.some((p) => FIELDS[f].get(p) !== '')).map((field): Column => ({ kind: 'field', field })),
    ...[...figures.values()].flat(),
    ...Array.from({ length: packages }, (_, i) => OFFER_PARTS.map((part): Column => ({ kind: 'offer', part, nth: i + 1 }))).flat(),
  ];
}

const fromText = (l: LineText): string => `${l.provenance}: ${l.source}`;
function readFrom(text: string): Pick<LineText, 'provenance' | 'source'> {
  const [, word = '', source = ''] = /^\s*(\w+)\s*:?\s*([^]*)$/.exec(text) ?? [];
  return (PROVENANCES as readonly string[]).includes(word) ? { provenance: word, source } : { provenance: 'label', source: text.trim() };
}

/** A product's cell in a column. */
export function cellOf(product: ProductText, column: Column): string {
  switch (column.kind) {
    case 'field': return FIELDS[column.field].get(product);
    case 'offer': return product.offers[column.nth - 1]?.[column.part] ?? '';
    case 'figure':
    case 'from': {
      const found = counted(product.analysis).find(({ line, nth }) => nth === column.nth && figureKey(line) === figureKey(column));
      return !found ? '' : column.kind === 'figure' ? found.line.value : fromText(found.line);
    }
  }
}

/** A row's cells as the text of a product; columns without a meaning are left out. */
export function productFromRow(columns: readonly (Column | undefined)[], cells: readonly string[]): ProductText {
  let product: ProductText = { ...blankProduct(), analysis: [], offers: [] };
  const offers = new Map<number, OfferText>();
  const lines: { key: string; line: LineText }[] = [];
  columns.forEach((column, i) => {
    const cell = cells[i] ?? '';
    if (!column || cell.trim() === '') return;
    if (column.kind === 'field') product = FIELDS[column.field].set(product, cell);
    else if (column.kind === 'offer') offers.set(column.nth, { ...(offers.get(column.nth) ?? blankOffer()), [column.part]: cell.trim() });
    else {
      const key = `${figureKey(column)}|${column.nth}`;
      const found = lines.find((l) => l.key === key) ?? { key, line: { ...blankLine(column.analyte, column.basis), unit: column.unit, source: 'CSV file' } };
      if (!lines.includes(found)) lines.push(found);
      found.line = column.kind === 'figure' ? { ...found.line, value: cell.trim() } : { ...found.line, ...readFrom(cell) };
    }
  });
  return { ...product, analysis: lines.map((l) => l.line), offers: [...offers].sort(([a], [b]) => a - b).map(([, o]) => o) };
}

const COULD_RUN = /^'*[=+\-@\t\r]/;
const PLAIN_NUMBER = /^[+-]?\d+(?:[.,]\d+)?$/;
/** A cell that a spreadsheet would run as a formula gets an apostrophe before it. @example guarded('=1+1') // "'=1+1" */
export const guarded = (cell: string): string => (COULD_RUN.test(cell) && !PLAIN_NUMBER.test(cell) ? `'${cell}` : cell);
/** Takes the apostrophe away again. */
export const unguarded = (cell: string): string => (cell.startsWith("'") && COULD_RUN.test(cell) ? cell.slice(1) : cell);

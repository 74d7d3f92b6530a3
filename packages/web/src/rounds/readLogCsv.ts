import Papa from 'papaparse';
import type { EntryInput } from '@wheat-ledger/contract';
import { parseDay, parseNumber, parseQuantity } from '@wheat-ledger/core';

/** Something that is known by a name. */
interface Named {
  readonly id: string;
  readonly name: string;
}
export interface LogRowProblem {
  /** Its line in the file, the heading being 1. */
  readonly line: number;
  readonly why: string;
}
export interface ReadLog {
  readonly entries: readonly EntryInput[];
  readonly problems: readonly LogRowProblem[];
}

/** What people call the columns; what the log's own file calls them comes first. */
const HEADINGS = {
  day: ['day', 'date', 'on', 'when', 'datum'],
  plot: ['plot', 'bed', 'field', 'where'],
  what: ['what', 'done', 'task'],
  bag: ['bag', 'product', 'material', 'fertilizer', 'fertiliser'],
  amount: ['amount', 'quantity', 'dose', 'kg'],
  unit: ['unit', 'units'],
  lot: ['lot', 'batch'],
  area: ['area_m2', 'area', 'm2', 'm²'],
  water: ['water_l', 'water', 'litres'],
  by: ['by', 'who'],
  weather: ['weather'],
  note: ['note', 'notes', 'remark', 'remarks'],
} as const;
type Column = keyof typeof HEADINGS;
const columnOf = (heading: string): Column | undefined =>
  (Object.keys(HEADINGS) as Column[]).find((c) =>
    (HEADINGS[c] as readonly string[]).includes(heading.trim().toLowerCase()),
  );
const MOST_ROWS = 5000;

const alike = (a: string): string => a.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '');
/** By its whole name, else by a name that begins or ends alike, where only one does. */
function named<T extends Named>(list: readonly T[], name: string): T | undefined {
  const wanted = alike(name);
  if (wanted === '') return undefined;
  const exact = list.find((x) => alike(x.name) === wanted);
  if (exact) return exact;
  const near = list.filter((x) => alike(x.name).startsWith(wanted) || alike(x.name).endsWith(wanted));
  return near.length === 1 ? near[0] : undefined;
}
/** A cell that was made text so that no spreadsheet runs it. */
const unescaped = (text: string): string => text.replace(/^'(?=[=+\-@\t\r])/, '');

type Cells = Readonly<Partial<Record<Column, string>>>;
function entryOf(cells: Cells, plots: readonly Named[], bags: readonly Named[]): EntryInput {
  const cell = (column: Column): string => unescaped(cells[column]?.trim() ?? '');
  const day = parseDay(cell('day'));
  if (!day.ok) throw new Error(day.reason);
  const plot = named(plots, cell('plot')) ?? (plots.length === 1 && cell('plot') === '' ? plots[0] : undefined);
  if (!plot)
    throw new Error(`Read the plot “${cell('plot')}”, expected one of ${plots.map((p) => p.name).join(', ')}.`);
  const number = (column: 'area' | 'water'): number | undefined => {
    if (cell(column) === '') return undefined;
    const read = parseNumber(cell(column));
    if (!read.ok) throw new Error(read.reason);
    return read.value;
  };
  const items: EntryInput['items'] = [];
  if (cell('bag') !== '') {
    const bag = named(bags, cell('bag'));
    if (!bag) throw new Error(`Read the bag “${cell('bag')}”, expected the name of one on the shelf.`);
    const typed = `${cell('amount')} ${cell('unit')}`.trim();
    const mass = parseQuantity(typed, 'mass', 'kg');
    const read = mass.ok ? mass : parseQuantity(typed, 'volume');
    if (!read.ok) throw new Error(mass.ok ? read.reason : mass.reason);
    items.push({ productId: bag.id, amount: read.value, unit: read.unit.symbol, lot: cell('lot').slice(0, 60) });
  }
  const [areaM2, waterL] = [number('area'), number('water')];
  return {
    plotId: plot.id,
    on: day.value,
    what: (cell('what') || cell('bag') || 'Plain water').slice(0, 200),
    items,
    ...(areaM2 === undefined ? {} : { areaM2 }),
    ...(waterL === undefined ? {} : { waterL }),
    by: cell('by').slice(0, 120),
    weather: cell('weather').slice(0, 300),
    note: cell('note').slice(0, 2000),
  };
}

/**
 * Reads a spreadsheet of what was done: a row each, columns by their headings in any order. A row that cannot be read is told and costs no other.
 * @throws Error where there is no heading that names a day, or too many rows
 */
export function readLogCsv(text: string, plots: readonly Named[], bags: readonly Named[]): ReadLog {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, '').trim(), { skipEmptyLines: 'greedy' });
  const [heading = [], ...rows] = data;
  const columns = heading.map(columnOf);
  if (!columns.includes('day'))
    throw new Error(`Read the headings ${heading.slice(0, 8).join(', ')}, expected one of them to be “day” or “date”.`);
  if (rows.length > MOST_ROWS) throw new Error(`Read ${rows.length} rows, expected at most ${MOST_ROWS} at once.`);
  const entries: EntryInput[] = [];
  const problems: LogRowProblem[] = [];
  rows.forEach((row, i) => {
    const cells: Cells = Object.fromEntries(columns.flatMap((column, at) => (column ? [[column, row[at] ?? '']] : [])));
    try {
      entries.push(entryOf(cells, plots, bags));
    } catch (e) {
      problems.push({ line: i + 2, why: e instanceof Error ? e.message : 'it could not be read' });
    }
  });
  return { entries, problems };
}

import type { EntryInput } from '@wheat-ledger/contract';
import { parseDay, parseNumber, parseQuantity } from '@wheat-ledger/core';
import { named, plotNamed, readSheet, type CellOf, type Named, type ReadSheet } from '../app/sheetRows';

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

function entryOf(cell: CellOf<Column>, plots: readonly Named[], bags: readonly Named[]): EntryInput {
  const day = parseDay(cell('day'));
  if (!day.ok) throw new Error(day.reason);
  const plot = plotNamed(plots, cell('plot'));
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
export const readLogCsv = (text: string, plots: readonly Named[], bags: readonly Named[]): ReadSheet<EntryInput> =>
  readSheet(text, HEADINGS, (cell) => entryOf(cell, plots, bags));

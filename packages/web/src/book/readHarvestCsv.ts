import type { HarvestInput, SeasonRecord } from '@wheat-ledger/contract';
import { parseDay, parseNumber, parseQuantity } from '@wheat-ledger/core';
import { plotNamed, readSheet, type CellOf, type Named, type ReadSheet } from '../app/sheetRows';

const HEADINGS = {
  day: ['day', 'date', 'on', 'when', 'datum'],
  plot: ['plot', 'bed', 'field', 'where'],
  amount: ['kg', 'harvest', 'amount', 'weight', 'yield'],
  unit: ['unit', 'units'],
  count: ['count', 'pieces', 'number'],
  note: ['note', 'notes', 'remark', 'remarks', 'crop'],
} as const;

/** The season that stood on a plot on a day, where only one did. */
function seasonOn(seasons: readonly SeasonRecord[], plotId: string, on: string): string | undefined {
  const there = seasons.filter((s) => s.plotId === plotId && s.from <= on && (!s.to || on <= s.to));
  return there.length === 1 ? there[0]?.id : undefined;
}

function harvestOf(
  cell: CellOf<keyof typeof HEADINGS>,
  plots: readonly Named[],
  seasons: readonly SeasonRecord[],
): HarvestInput {
  const day = parseDay(cell('day'));
  if (!day.ok) throw new Error(day.reason);
  const plot = plotNamed(plots, cell('plot'));
  const mass = parseQuantity(`${cell('amount')} ${cell('unit')}`.trim(), 'mass', 'kg');
  if (!mass.ok) throw new Error(mass.reason);
  const count = cell('count') === '' ? undefined : parseNumber(cell('count'));
  if (count && !count.ok) throw new Error(count.reason);
  const seasonId = seasonOn(seasons, plot.id, day.value);
  return {
    plotId: plot.id,
    ...(seasonId ? { seasonId } : {}),
    on: day.value,
    kg: mass.value * mass.unit.factor,
    ...(count?.ok ? { count: count.value } : {}),
    note: cell('note').slice(0, 500),
  };
}

/** Reads a spreadsheet of harvests; each goes to the season that stood there on its day, where only one did. */
export const readHarvestCsv = (
  text: string,
  plots: readonly Named[],
  seasons: readonly SeasonRecord[],
): ReadSheet<HarvestInput> => readSheet(text, HEADINGS, (cell) => harvestOf(cell, plots, seasons));

import Papa from 'papaparse';
import type { TrialRecord, TrialSheetInput, TrialSheetRecord } from '@wheat-ledger/contract';
import { parseDay, type TrialUnit } from '@wheat-ledger/core';
import { named, readSheet, type CellOf, type ReadSheet } from '../app/sheetRows';
import { readValue, valueText } from './sheetText';

/** What people call the columns; what the own file calls them comes first. */
const HEADINGS = {
  day: ['day', 'date', 'on', 'datum'],
  outcome: ['outcome', 'measure', 'what'],
  unit: ['unit', 'number', 'no', 'plant', 'pot'],
  code: ['code', 'label'],
  value: ['value', 'reading', 'measured'],
} as const;
type Column = keyof typeof HEADINGS;

/** All readings of a trial as CSV, a row each; codes and no arms. */
export function readingsCsv(
  trial: Pick<TrialRecord, 'outcomes'>,
  units: readonly TrialUnit[],
  sheets: readonly TrialSheetRecord[],
): string {
  const codes = new Map(units.map((u) => [u.number, u.code]));
  const rows = sheets.flatMap((s) =>
    s.values.map((v) => ({
      day: s.on,
      outcome: trial.outcomes.find((o) => o.key === s.outcome)?.name ?? s.outcome,
      unit: v.unit,
      code: codes.get(v.unit) ?? '',
      value: valueText(v),
    })),
  );
  return Papa.unparse({ fields: ['day', 'outcome', 'unit', 'code', 'value'], data: rows });
}

interface Row {
  readonly on: string;
  readonly outcome: string;
  readonly value: TrialSheetInput['values'][number];
}
function rowOf(cell: CellOf<Column>, trial: TrialRecord, units: readonly TrialUnit[]): Row {
  const day = parseDay(cell('day'));
  if (!day.ok) throw new Error(day.reason);
  const outcomes = trial.outcomes.map((o) => ({ ...o, id: o.key }));
  const outcome = named(outcomes, cell('outcome')) ?? (cell('outcome') === '' ? outcomes[0] : undefined);
  if (!outcome)
    throw new Error(
      `Read the outcome “${cell('outcome')}”, expected one of ${outcomes.map((o) => o.name).join(', ')}.`,
    );
  const [typed, code] = [cell('unit'), cell('code').toUpperCase()];
  const unit = units.find((u) => (typed === '' ? u.code === code : String(u.number) === typed));
  if (!unit) throw new Error(`Read the unit “${typed || code}”, expected 1 to ${units.length} or a code of the map.`);
  if (typed !== '' && code !== '' && unit.code !== code)
    throw new Error(`Read unit ${typed} with the code ${code}, expected ${unit.code} there.`);
  const value = readValue(outcome, unit.number, cell('value'));
  if (typeof value === 'string') throw new Error(value);
  if (!value) throw new Error('There is no value in this row.');
  return { on: day.value, outcome: outcome.key, value };
}

/**
 * Reads a spreadsheet of readings into sheets, one for each outcome and day; what a sheet that is kept already says of other units stays.
 * @throws Error where there is no heading that names a day, or too many rows
 */
export function readReadingsCsv(
  text: string,
  trial: TrialRecord,
  units: readonly TrialUnit[],
  sheets: readonly TrialSheetRecord[],
): ReadSheet<TrialSheetInput> {
  const { rows, problems } = readSheet(text, HEADINGS, (cell) => rowOf(cell, trial, units));
  const found = new Map<string, TrialSheetInput>();
  for (const { on, outcome, value } of rows) {
    const kept = keptSheet(sheets, { on, outcome });
    const sheet = found.get(`${outcome} ${on}`) ?? {
      trialId: trial.id,
      on,
      outcome,
      values: kept?.values ?? [],
      note: kept?.note ?? '',
    };
    const values = [...sheet.values.filter((v) => v.unit !== value.unit), value].sort((a, b) => a.unit - b.unit);
    found.set(`${outcome} ${on}`, { ...sheet, values });
  }
  return { rows: [...found.values()], problems };
}

/** The sheet of an outcome and a day, where there is one. */
export const keptSheet = (
  sheets: readonly TrialSheetRecord[],
  { on, outcome }: Pick<TrialSheetInput, 'on' | 'outcome'>,
): TrialSheetRecord | undefined => sheets.find((s) => s.outcome === outcome && s.on === on);

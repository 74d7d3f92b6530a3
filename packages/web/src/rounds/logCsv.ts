import Papa from 'papaparse';
import type { EntryRecord } from '@wheat-ledger/contract';

/** Log entries as CSV, a row for each bag; a cell that a spreadsheet would run as a formula is made text. */
export function logCsv(
  entries: readonly EntryRecord[],
  plotName: (id: string) => string,
  nameOf: (id: string) => string,
): string {
  const rows = entries.flatMap((e) => {
    const items = e.items.length > 0 ? e.items : [undefined];
    return items.map((i) => ({
      day: e.on,
      plot: plotName(e.plotId),
      what: e.what,
      bag: i ? nameOf(i.productId) : '',
      amount: i?.amount ?? '',
      unit: i?.unit ?? '',
      lot: i?.lot ?? '',
      area_m2: e.areaM2 ?? '',
      water_L: e.waterL ?? '',
      by: e.by,
      weather: e.weather,
      note: e.note,
    }));
  });
  return Papa.unparse(rows, { escapeFormulae: true });
}

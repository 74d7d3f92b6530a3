import { expose } from 'comlink';
import Papa from 'papaparse';
import readSheets, { type CellValue } from 'read-excel-file/web-worker';

/** A date that a spreadsheet made of a cell, as a file of commas has it; other cells as they are typed. */
const cellText = (cell: CellValue | null): string =>
  cell instanceof Date ? cell.toISOString().slice(0, 10) : cell === null ? '' : String(cell);

const sheetWorker = {
  /** The first sheet of an XLSX file that has rows, as comma-separated text. */
  async asCsv(file: Blob): Promise<string> {
    const sheets = await readSheets(file);
    const [first] = sheets.filter(({ data }) => data.length > 0);
    return Papa.unparse((first?.data ?? []).map((row) => row.map(cellText)));
  },
};

export type SheetWorker = typeof sheetWorker;
expose(sheetWorker);

import { expose } from 'comlink';
import Papa from 'papaparse';
import readSheets, { type CellValue } from 'read-excel-file/web-worker';

/** A date that a spreadsheet made of a cell, as a file of commas has it; other cells as they are typed. */
const cellText = (cell: CellValue | null): string =>
  cell instanceof Date ? cell.toISOString().slice(0, 10) : cell === null ? '' : String(cell);

/** Rows that a table can have: a cover or a note beside it has one cell in a row. */
const tableRows = ({ data }: { readonly data: readonly (readonly unknown[])[] }): number =>
  data.filter((row) => row.filter((cell) => cell !== null && cell !== '').length > 1).length;

const sheetWorker = {
  /** The sheet of an XLSX file that has most rows of a table, as comma-separated text; of several with rows also its name. */
  async asCsv(file: Blob): Promise<{ readonly text: string; readonly sheet: string | undefined }> {
    const sheets = (await readSheets(file)).filter(({ data }) => data.length > 0);
    const most = Math.max(0, ...sheets.map(tableRows));
    const found = sheets.find((s) => tableRows(s) === most);
    return {
      text: Papa.unparse((found?.data ?? []).map((row) => row.map(cellText))),
      sheet: sheets.length > 1 ? found?.sheet : undefined,
    };
  },
};

export type SheetWorker = typeof sheetWorker;
expose(sheetWorker);

import { wrap } from 'comlink';
import type { SheetWorker } from './sheet.worker';

/** Larger spreadsheets are refused: what they unpack to would fill the memory. */
export const MOST_SHEET_BYTES = 5_000_000;
const SHEET = /\.xlsx$/i;
export const isSheet = (file: File): boolean =>
  SHEET.test(file.name) || file.type === 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';
/** What a file chooser for tables takes. */
export const TABLE_FILES = '.csv,.tsv,.txt,.xlsx,text/csv,text/plain';

/** Longest that a spreadsheet is read before it is given up. */
const LONGEST_MS = 20_000;

/** A spreadsheet as a file of comma-separated text, named by its sheet where it has several; any other file as it is. @throws Error in words when it cannot be read */
export async function asTableFile(file: File): Promise<File> {
  if (!isSheet(file)) return file;
  if (file.size > MOST_SHEET_BYTES)
    throw new Error(
      `Read “${file.name}” of ${Math.ceil(file.size / 1e6)} MB, expected a spreadsheet of at most ${MOST_SHEET_BYTES / 1e6} MB.`,
    );
  const worker = new Worker(new URL('./sheet.worker.ts', import.meta.url), { type: 'module' });
  let timer: ReturnType<typeof setTimeout> | undefined;
  const failed = new Promise<never>((_, reject) => {
    worker.onerror = () => reject(new Error('The worker failed.'));
    timer = setTimeout(() => reject(new Error('It took too long.')), LONGEST_MS);
  });
  try {
    const { text, sheet } = await Promise.race([wrap<SheetWorker>(worker).asCsv(file), failed]);
    const which = sheet === undefined ? '' : ` (sheet ${sheet})`;
    return new File([text], file.name.replace(SHEET, `${which}.csv`), { type: 'text/csv' });
  } catch {
    throw new Error(`Read “${file.name}”, expected a spreadsheet that is whole.`);
  } finally {
    clearTimeout(timer);
    worker.terminate();
  }
}

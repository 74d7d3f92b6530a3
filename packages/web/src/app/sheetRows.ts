import Papa from 'papaparse';

/** Something that is known by a name. */
export interface Named {
  readonly id: string;
  readonly name: string;
}
/** What the columns of a sheet are called, by what they hold. */
export type Headings<C extends string> = Readonly<Record<C, readonly string[]>>;
/** The text of a row's cell; empty where the sheet has no such column. */
export type CellOf<C extends string> = (column: C) => string;
export interface ReadSheet<T> {
  readonly rows: readonly T[];
  /** Rows that could not be read, by their line in the file, the heading being 1. */
  readonly problems: readonly { readonly line: number; readonly why: string }[];
}
const MOST_ROWS = 5000;

const alike = (a: string): string => a.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '');
/** By its whole name, else by a name that begins or ends alike, where only one does. */
export function named<T extends Named>(list: readonly T[], name: string): T | undefined {
  const wanted = alike(name);
  if (wanted === '') return undefined;
  const exact = list.find((x) => alike(x.name) === wanted);
  if (exact) return exact;
  const near = list.filter((x) => alike(x.name).startsWith(wanted) || alike(x.name).endsWith(wanted));
  return near.length === 1 ? near[0] : undefined;
}
/** The plot a cell names; the only one there is where the cell is blank. @throws Error where it is none */
export function plotNamed(plots: readonly Named[], name: string): Named {
  const plot = named(plots, name) ?? (plots.length === 1 && name === '' ? plots[0] : undefined);
  if (!plot) throw new Error(`Read the plot “${name}”, expected one of ${plots.map((p) => p.name).join(', ')}.`);
  return plot;
}
/** A cell that was made text so that no spreadsheet runs it. */
const unescaped = (text: string): string => text.replace(/^'(?=[=+\-@\t\r])/, '');

/**
 * Reads a sheet a row each, columns by their headings in any order. A row that cannot be read is told and costs no other.
 * @param rowOf makes a row of its cells, and throws what is wrong with it
 * @throws Error where there is no heading that names a day, or too many rows
 */
export function readSheet<C extends string, T>(
  text: string,
  headings: Headings<C | 'day'>,
  rowOf: (cell: CellOf<C | 'day'>) => T,
): ReadSheet<T> {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, '').trim(), { skipEmptyLines: 'greedy' });
  const [heading = [], ...lines] = data;
  const columns = heading.map((h) =>
    (Object.keys(headings) as C[]).find((c) => headings[c].includes(h.trim().toLowerCase())),
  );
  if (!(columns as readonly (string | undefined)[]).includes('day'))
    throw new Error(`Read the headings ${heading.slice(0, 8).join(', ')}, expected one of them to be “day” or “date”.`);
  if (lines.length > MOST_ROWS) throw new Error(`Read ${lines.length} rows, expected at most ${MOST_ROWS} at once.`);
  const rows: T[] = [];
  const problems: { line: number; why: string }[] = [];
  lines.forEach((line, i) => {
    const cell: CellOf<C | 'day'> = (column) => unescaped(line[columns.indexOf(column as C)]?.trim() ?? '');
    try {
      rows.push(rowOf(cell));
    } catch (e) {
      problems.push({ line: i + 2, why: e instanceof Error ? e.message : 'it could not be read' });
    }
  });
  return { rows, problems };
}

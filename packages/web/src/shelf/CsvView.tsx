import { useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import Papa from 'papaparse';
import { Download, Upload } from 'lucide-react';
import { ProductInput, validateInput, WORKSPACE_FORMAT, WORKSPACE_VERSION } from '@wheat-ledger/contract';
import { ANALYTES, basesOf } from '@wheat-ledger/core';
import { problemOf, useImportWorkspaceMutation, useRecords } from '../app/api';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Empty, Remark, Sheet } from '../ui/Sheet';
import { typedPath } from '../ui/textForm';
import { cellOf, columnFor, columnsOf, guarded, headingOf, OFFER_PARTS, PLAIN_FIELDS, productFromRow, unguarded, type Column } from './csvColumns';
import { productText, readProduct } from './productText';

const MOST_ROWS = 20_000;
const MOST_BYTES = 30_000_000;
const PREVIEWED = 5;
const CHUNK = 100;

interface Table { readonly name: string; readonly heading: readonly string[]; readonly rows: readonly (readonly string[])[] }
interface RowProblem { readonly row: number; readonly message: string }

const CHOICES: readonly Column[] = [
  ...PLAIN_FIELDS.map((field): Column => ({ kind: 'field', field })),
  ...ANALYTES.flatMap((analyte) => basesOf(analyte).flatMap((basis) => (['%', 'mg/kg'] as const).map((unit): Column => ({ kind: 'figure', analyte, basis, unit, nth: 1 })))),
  ...[1, 2, 3].flatMap((nth) => OFFER_PARTS.map((part): Column => ({ kind: 'offer', part, nth }))),
];

/** Reads a file row by row; too large or too long a file is refused in words. */
function parse(file: File): Promise<Table | string> {
  if (file.size > MOST_BYTES) return Promise.resolve(`Read a file of ${Math.round(file.size / 1e6)} MB, expected at most ${MOST_BYTES / 1e6} MB.`);
  return new Promise((resolve) => {
    const rows: string[][] = [];
    Papa.parse<string[]>(file, {
      skipEmptyLines: 'greedy',
      step: ({ data }, parser) => { if (rows.push(data.map(unguarded)) > MOST_ROWS + 1) parser.abort(); },
      complete: () => {
        const [heading, ...data] = rows;
        if (!heading || data.length === 0) resolve(`Read “${file.name}”, expected a heading line and at least one row.`);
        else if (data.length > MOST_ROWS) resolve(`Read more than ${MOST_ROWS} rows, expected at most that many in one file.`);
        else resolve({ name: file.name, heading, rows: data });
      },
      error: () => resolve(`“${file.name}” could not be read.`),
    });
  });
}

/** Every row as a product, and what does not fit, by the row's number in the file. */
function readRows({ rows }: Table, columns: readonly (Column | undefined)[]): { readonly products: readonly ProductInput[]; readonly problems: readonly RowProblem[] } {
  const products: ProductInput[] = [];
  const problems: RowProblem[] = [];
  rows.forEach((cells, i) => {
    const read = readProduct(productFromRow(columns, cells));
    const result = read.problems.length > 0 ? undefined : validateInput(ProductInput, read.plain);
    const found = read.problems.length > 0 ? read.problems : result && !result.ok ? result.problems.map((p) => ({ ...p, path: typedPath(p.path, read.rows) })) : [];
    if (found.length > 0) problems.push({ row: i + 2, message: found.map((p) => `${p.path}: ${p.message}`).join(' ') });
    else products.push(read.plain);
  });
  return { products, problems };
}

type Sending = { readonly done: number; readonly of: number; readonly words: string; readonly over: boolean };

function Importer({ table, onClose }: { table: Table; onClose: () => void }) {
  const [columns, setColumns] = useState<readonly (Column | undefined)[]>(() => table.heading.map(columnFor));
  const { products, problems } = useMemo(() => readRows(table, columns), [table, columns]);
  const [sending, setSending] = useState<Sending>();
  const [send] = useImportWorkspaceMutation();
  const stopped = useRef(false);
  const write = async (): Promise<void> => {
    stopped.current = false;
    for (let done = 0; done < products.length; done += CHUNK) {
      if (stopped.current) return setSending({ done, of: products.length, words: `Stopped. ${done} of ${products.length} bags were written; the book can take each back.`, over: true });
      setSending({ done, of: products.length, words: '', over: false });
      const file = { format: WORKSPACE_FORMAT, version: WORKSPACE_VERSION, products: products.slice(done, done + CHUNK).map((p) => ({ ...p, id: crypto.randomUUID() })) };
      const result = await send({ file, write: true });
      const trouble = result.error ? problemOf(result.error).detail : result.data.problems.map((p) => p.message).join(' ');
      if (trouble) return setSending({ done, of: products.length, words: `After ${done} bags: ${trouble}`, over: true });
    }
    setSending({ done: products.length, of: products.length, words: `${products.length} bags were written.`, over: true });
  };
  return (
    <section className="mt-5" data-testid="csv-import">
      <h2 className="text-xl">{table.name}: {table.rows.length} rows</h2>
      <p className="mb-2 text-faint">Say what each column is. What means nothing here is left out.</p>
      <div className="overflow-x-auto">
        <table className="ledger">
          <caption className="sr-only">Columns of the file with their meaning and first rows</caption>
          <thead><tr><th scope="col">column</th><th scope="col">means</th>{table.rows.slice(0, PREVIEWED).map((_, i) => <th key={i} scope="col">row {i + 2}</th>)}</tr></thead>
          <tbody>
            {table.heading.map((heading, c) => {
              const column = columns[c];
              return (
                <tr key={c}>
                  <th scope="row">{heading}</th>
                  <td className="min-w-40">
                    <select aria-label={`Column ${heading}, means`} className="field !min-h-8 text-sm" value={column ? headingOf(column) : ''} onChange={(e) => setColumns(columns.map((old, i) => (i === c ? columnFor(e.target.value) : old)))}>
                      <option value="">nothing: leave it out</option>
                      {column && !CHOICES.some((o) => headingOf(o) === headingOf(column)) && <option value={headingOf(column)}>{headingOf(column)}</option>}
                      {CHOICES.map((o) => <option key={headingOf(o)} value={headingOf(o)}>{headingOf(o)}</option>)}
                    </select>
                  </td>
                  {table.rows.slice(0, PREVIEWED).map((cells, i) => <td key={i} className="max-w-40 truncate text-[0.875rem] text-faint">{cells[c]}</td>)}
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      {problems.length > 0 && (
        <div className="mt-3 border-l-4 border-beet bg-paper px-3 py-2" role="alert" data-testid="csv-problems">
          <p>{problems.length} {problems.length === 1 ? 'row does' : 'rows do'} not fit and will be left out:</p>
          <ul className="max-h-48 overflow-auto text-[0.9375rem]">{problems.slice(0, 200).map((p) => <li key={p.row}>row {p.row}: {p.message}</li>)}</ul>
        </div>
      )}
      <div className="mt-4 flex flex-wrap items-center gap-3">
        {!sending && <button type="button" className="action main" disabled={products.length === 0} onClick={() => void write()}>Write {products.length} {products.length === 1 ? 'bag' : 'bags'} to the shelf</button>}
        {sending && !sending.over && <><progress max={sending.of} value={sending.done} aria-label="Bags written" /><span>{sending.done} of {sending.of}</span><button type="button" className="action" onClick={() => { stopped.current = true; }}>Stop</button></>}
        {sending?.over && <span role="status">{sending.words} <Link to="/shelf" className="plain">To the shelf</Link></span>}
        <button type="button" className="action" disabled={sending !== undefined && !sending.over} onClick={onClose}>Another file</button>
      </div>
    </section>
  );
}

/** Bags out to a spreadsheet's CSV, and in from one: mapped, previewed, and written only when told to. */
export function CsvView() {
  const { records } = useRecords('product');
  const [table, setTable] = useState<Table>();
  const [refused, setRefused] = useState<string>();
  const take = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    const read = await parse(file);
    setTable(typeof read === 'string' ? undefined : read);
    setRefused(typeof read === 'string' ? read : undefined);
  };
  const download = (): void => {
    const texts = records.map(productText);
    const columns = columnsOf(texts);
    const csv = Papa.unparse({ fields: columns.map(headingOf), data: texts.map((t) => columns.map((c) => guarded(cellOf(t, c)))) });
    const link = document.createElement('a');
    link.href = URL.createObjectURL(new Blob([csv], { type: 'text/csv' }));
    link.download = 'shelf.csv';
    link.click();
    URL.revokeObjectURL(link.href);
  };
  return (
    <Sheet title="Shelf as CSV" question="One row a bag, for a spreadsheet." actions={<Link to="/shelf" className="action">Back to the shelf</Link>}>
      <div className="flex flex-wrap items-center gap-3">
        <button type="button" className="action" disabled={records.length === 0} onClick={download}><Download size={16} aria-hidden="true" />Export {records.length} bags</button>
        <label htmlFor="csv-file" className="action focus-within:outline-2"><Upload size={16} aria-hidden="true" />Choose a file
          <input id="csv-file" type="file" accept=".csv,text/csv,.tsv,text/plain" className="sr-only" onChange={(e) => { void take(e.target.files?.[0]); e.target.value = ''; }} />
        </label>
      </div>
      {refused && <div className="mt-4" role="alert"><Remark tone="caution">{refused}</Remark></div>}
      {table ? <Importer key={table.name + table.rows.length} table={table} onClose={() => setTable(undefined)} /> : <Empty>A file needs one heading line. Headings such as name, seller, N %, P2O5 %, K2O mg/kg, package and price are known; others can be told what they are.</Empty>}
      <MarginNotes>
        <MarginNote title="Safe to open"><p>Cells that a spreadsheet would run as a formula get an apostrophe before them on the way out, and lose it on the way in.</p></MarginNote>
        <MarginNote title="Exact"><p>What goes out comes back the same: ranges, “&lt; 20”, several packages, and where each figure is from.</p></MarginNote>
      </MarginNotes>
    </Sheet>
  );
}

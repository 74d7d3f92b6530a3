import { useEffect, useMemo, useState } from 'react';
import { Link } from 'react-router';
import Papa from 'papaparse';
import { Download, Upload } from 'lucide-react';
import {
  columnFor,
  headingOf,
  headingRow,
  MOST_CSV_BYTES,
  MOST_CSV_COLUMNS,
  type CsvColumn,
  type CsvReport,
} from '@wheat-ledger/contract';
import type { DecimalMark } from '@wheat-ledger/core';
import { problemOf, useCsvProgressQuery, useImportCsvMutation, useRecords } from '../app/api';
import { dataAt } from '../app/ledger';
import { useAppSelector } from '../app/store';
import { asTableFile, TABLE_FILES } from '../papers/sheets';
import { Choice } from '../ui/Choice';
import { MarginNote, MarginNotes } from '../ui/MarginNotes';
import { Empty, Remark, Sheet } from '../ui/Sheet';
import { TakeBack } from '../ui/TakeBack';
import { ColumnsTable, Misfits, type Table } from './CsvParts';

const PREVIEWED = 5;
/** Titles that may stand above the headings. */
const MOST_ABOVE = 12;
/** Longest cell that is shown: a browser takes seconds to set a line of a million characters. */
const LONGEST_SHOWN = 120;

const short = (cell: string): string => (cell.length > LONGEST_SHOWN ? `${cell.slice(0, LONGEST_SHOWN)}…` : cell);

/** What a file's first rows are, or why it is not taken. */
function tableOf(file: File, first: readonly (readonly string[])[]): Table | string {
  const at = headingRow(first);
  const heading = first[at] ?? [];
  const rows = first.slice(at + 1, at + 1 + PREVIEWED);
  if (rows.length === 0) return `Read “${file.name}”, expected a heading line and at least one row.`;
  if (heading.length > MOST_CSV_COLUMNS) return `Read ${heading.length} columns, expected at most ${MOST_CSV_COLUMNS}.`;
  return { file, heading: heading.map(short), rows: rows.map((cells) => cells.slice(0, heading.length).map(short)) };
}

/** The heading and first rows of a file; what is too large or empty is refused in words. The server reads the rest. */
async function peek(chosen: File): Promise<Table | string> {
  if (chosen.size > MOST_CSV_BYTES)
    return `Read a file of ${Math.round(chosen.size / 1e6)} MB, expected at most ${MOST_CSV_BYTES / 1e6} MB.`;
  let file: File;
  try {
    file = await asTableFile(chosen);
  } catch (error) {
    return error instanceof Error ? error.message : `“${chosen.name}” could not be read.`;
  }
  return new Promise((resolve) => {
    Papa.parse<string[]>(file, {
      preview: PREVIEWED + MOST_ABOVE,
      skipEmptyLines: 'greedy',
      complete: ({ data }) => resolve(tableOf(file, data)),
      error: () => resolve(`“${file.name}” could not be read.`),
    });
  });
}

/** Sends the file to be tried whenever the meaning of a column changes, and to be written when told to. */
function useCsvImport(
  { file }: Table,
  columns: readonly string[],
  currency: string | undefined,
  decimal: DecimalMark | undefined,
) {
  const [send] = useImportCsvMutation();
  const [tried, setTried] = useState<{ readonly report: CsvReport } | { readonly trouble: string }>();
  const [writing, setWriting] = useState<{ readonly job: string; readonly abort: () => void }>();
  const [done, setDone] = useState<{ readonly words: string; readonly operation?: string }>();
  useEffect(() => {
    setTried(undefined);
    const trial = send({ file, columns, currency, decimal, job: crypto.randomUUID(), write: false });
    void trial.then(
      (result) => setTried(result.error ? { trouble: problemOf(result.error).detail } : { report: result.data }),
      () => undefined,
    );
    return () => trial.abort();
  }, [send, file, columns, currency, decimal]);
  const { data: progress } = useCsvProgressQuery({ job: writing?.job ?? '' }, { skip: !writing, pollingInterval: 300 });
  const write = async (): Promise<void> => {
    const job = crypto.randomUUID();
    const sent = send({ file, columns, currency, decimal, job, write: true });
    setWriting({ job, abort: () => sent.abort() });
    const result = await sent;
    setWriting(undefined);
    const stopped = result.error && 'name' in result.error && result.error.name === 'AbortError';
    setDone(
      stopped
        ? { words: 'Stopped. Nothing was written.' }
        : result.error
          ? { words: problemOf(result.error).detail }
          : {
              words: `${result.data.good} bags were written.`,
              ...(result.data.operation ? { operation: result.data.operation } : {}),
            },
    );
  };
  return { tried, writing, done, progress: writing && progress, write, again: () => setDone(undefined) };
}

const CURRENCY = /^[A-Z]{3}$/;
/** The currency that a heading such as "Price (USD)" names; dollars without one are asked which. */
const currencyIn = ({ heading, rows }: Table): string =>
  heading.flatMap((h) => /\b(?:price|cost)\W*([A-Z]{3})\b/i.exec(h)?.[1]?.toUpperCase() ?? [])[0] ??
  (rows.some((cells) => cells.some((cell) => cell.includes('$'))) ? '' : 'EUR');
const hasPart = (columns: readonly (CsvColumn | undefined)[], part: string): boolean =>
  columns.some((c) => c?.kind === 'row' && c.list === 'offers' && c.part === part);

function Importer({ table, onClose }: { table: Table; onClose: () => void }) {
  const [columns, setColumns] = useState<readonly (CsvColumn | undefined)[]>(() => table.heading.map(columnFor));
  const meanings = useMemo(() => columns.map((c) => (c ? headingOf(c) : '')), [columns]);
  const [currency, setCurrency] = useState(() => currencyIn(table));
  const known = useAppSelector((st) => st.settings.decimalMark);
  const [decimal, setDecimal] = useState(known);
  const asksCurrency = hasPart(columns, 'price') && !hasPart(columns, 'currency');
  const { tried, writing, done, progress, write, again } = useCsvImport(
    table,
    meanings,
    asksCurrency && CURRENCY.test(currency) ? currency : undefined,
    decimal,
  );
  const report = tried && 'report' in tried ? tried.report : undefined;
  return (
    <section className="mt-5" data-testid="csv-import">
      <h2 className="text-xl">{table.file.name}</h2>
      <p className="mb-2 text-faint">Say what each column is. What means nothing here is left out.</p>
      <ColumnsTable table={table} columns={columns} onColumns={setColumns} />
      {asksCurrency && (
        <label className="mt-3 flex flex-wrap items-center gap-2">
          Prices are in
          <input
            className="field !w-20"
            value={currency}
            maxLength={3}
            aria-invalid={!CURRENCY.test(currency)}
            onChange={(e) => setCurrency(e.target.value.toUpperCase())}
          />
          <span className="text-sm text-faint">
            {CURRENCY.test(currency)
              ? 'since no column names a currency'
              : `Read “${currency}”, expected three letters such as EUR.`}
          </span>
        </label>
      )}
      <div className="mt-3 flex flex-wrap items-center gap-2">
        Numbers such as 1.250 or 2,500 have the decimal mark
        <Choice
          label="Decimal mark of the file"
          value={decimal ?? 'ask'}
          onChange={(mark) => setDecimal(mark === 'ask' ? undefined : mark)}
          options={[
            { value: 'ask', text: 'not said' },
            { value: 'point', text: '1.5' },
            { value: 'comma', text: '1,5' },
          ]}
        />
      </div>
      <div className="mt-3" aria-live="polite">
        {!tried && <p className="text-faint">Trying every row …</p>}
        {tried && 'trouble' in tried && (
          <div role="alert">
            <Remark tone="caution">{tried.trouble}</Remark>
          </div>
        )}
        {report && (
          <p data-testid="csv-tried">
            {report.rows} {report.rows === 1 ? 'row' : 'rows'} read, {report.good} of them{' '}
            {report.good === 1 ? 'fits.' : 'fit.'}
          </p>
        )}
      </div>
      {report && report.problems.length > 0 && <Misfits report={report} />}
      <div className="mt-4 flex flex-wrap items-center gap-3">
        {!writing && done === undefined && (
          <button
            type="button"
            className="action main"
            disabled={!report || report.good === 0}
            onClick={() => void write()}
          >
            Write {report?.good ?? 0} {report?.good === 1 ? 'bag' : 'bags'} to the shelf
          </button>
        )}
        {writing && (
          <>
            <progress max={report?.rows ?? 1} value={progress?.rows ?? 0} aria-label="Rows written" />
            <span>
              {progress?.rows ?? 0} of {report?.rows}
            </span>
            <button type="button" className="action" onClick={writing.abort}>
              Stop
            </button>
          </>
        )}
        {done !== undefined && (
          <span role="status">
            {done.words}{' '}
            <Link to="/shelf" className="plain">
              To the shelf
            </Link>
          </span>
        )}
        {done?.operation && <TakeBack operation={done.operation} what="them all" />}
        {done && !done.operation && (
          <button type="button" className="action" onClick={again}>
            Try again
          </button>
        )}
        <button type="button" className="action" disabled={writing !== undefined} onClick={onClose}>
          Another file
        </button>
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
    const read = await peek(file);
    setTable(typeof read === 'string' ? undefined : read);
    setRefused(typeof read === 'string' ? read : undefined);
  };
  return (
    <Sheet
      title="Shelf as CSV"
      question="One row a bag, for a spreadsheet."
      actions={
        <Link to="/shelf" className="action">
          Back to the shelf
        </Link>
      }
    >
      <div className="flex flex-wrap items-center gap-3">
        <a className="action" href={dataAt('shelf/csv')} download>
          <Download size={16} aria-hidden="true" />
          Export {records.length} bags
        </a>
        <label htmlFor="csv-file" className="action focus-within:outline-2">
          <Upload size={16} aria-hidden="true" />
          Choose a file
          <input
            id="csv-file"
            type="file"
            accept={TABLE_FILES}
            className="sr-only"
            onChange={(e) => {
              void take(e.target.files?.[0]);
              e.target.value = '';
            }}
          />
        </label>
      </div>
      {refused && (
        <div className="mt-4" role="alert">
          <Remark tone="caution">{refused}</Remark>
        </div>
      )}
      {table ? (
        <Importer
          key={`${table.file.name} ${table.file.lastModified} ${table.file.size}`}
          table={table}
          onClose={() => setTable(undefined)}
        />
      ) : (
        <Empty>
          A file needs one heading line. Headings such as name, seller, N %, P2O5 %, K2O mg/kg, package and price are
          known; others can be told what they are.
        </Empty>
      )}
      <MarginNotes>
        <MarginNote title="Safe to open">
          <p>
            Cells that a spreadsheet would run as a formula get an apostrophe before them on the way out, and lose it on
            the way in.
          </p>
        </MarginNote>
        <MarginNote title="Exact">
          <p>What goes out comes back the same: ranges, “&lt; 20”, several packages, and where each figure is from.</p>
        </MarginNote>
      </MarginNotes>
    </Sheet>
  );
}

import { columnFor, CSV_FIELDS, headingOf, rowColumns, type CsvColumn, type CsvReport } from '@wheat-ledger/contract';
import { ANALYTES, basesOf } from '@wheat-ledger/core';

export interface Table {
  readonly file: File;
  readonly heading: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

const CHOICES: readonly CsvColumn[] = [
  ...CSV_FIELDS.map((field): CsvColumn => ({ kind: 'field', field })),
  ...ANALYTES.flatMap((analyte) =>
    basesOf(analyte).flatMap((basis) =>
      (['%', 'mg/kg'] as const).map((unit): CsvColumn => ({ kind: 'figure', analyte, basis, unit, nth: 1 })),
    ),
  ),
  ...rowColumns('offers', 3),
  ...rowColumns('directions', 3),
];

/** What each column of a file means, to be changed, beside its first rows. */
export function ColumnsTable({
  table,
  columns,
  onColumns,
}: {
  table: Table;
  columns: readonly (CsvColumn | undefined)[];
  onColumns: (columns: readonly (CsvColumn | undefined)[]) => void;
}) {
  return (
    <div className="overflow-x-auto">
      <table className="ledger">
        <caption className="sr-only">Columns of the file with their meaning and first rows</caption>
        <thead>
          <tr>
            <th scope="col">column</th>
            <th scope="col">means</th>
            {table.rows.map((_, i) => (
              <th key={i} scope="col">
                row {i + 2}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {table.heading.map((heading, c) => {
            const column = columns[c];
            return (
              <tr key={c}>
                <th scope="row">{heading}</th>
                <td className="min-w-40">
                  <select
                    aria-label={`Column ${heading}, means`}
                    className="field !min-h-8 text-sm"
                    value={column ? headingOf(column) : ''}
                    onChange={(e) => onColumns(columns.map((old, i) => (i === c ? columnFor(e.target.value) : old)))}
                  >
                    <option value="">nothing: leave it out</option>
                    {column && !CHOICES.some((o) => headingOf(o) === headingOf(column)) && (
                      <option value={headingOf(column)}>{headingOf(column)}</option>
                    )}
                    {CHOICES.map((o) => (
                      <option key={headingOf(o)} value={headingOf(o)}>
                        {headingOf(o)}
                      </option>
                    ))}
                  </select>
                </td>
                {table.rows.map((cells, i) => (
                  <td key={i} className="max-w-40 truncate text-[0.875rem] text-faint">
                    {cells[c]}
                  </td>
                ))}
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

/** Rows that do not fit, or fit in part. */
export const Misfits = ({ report }: { report: CsvReport }) => (
  <div className="mt-3 border-l-4 border-beet bg-paper px-3 py-2" role="alert" data-testid="csv-problems">
    <p>
      {report.bad > 0 && `${report.bad} ${report.bad === 1 ? 'row does' : 'rows do'} not fit and will be left out. `}
      {report.partly > 0 &&
        `${report.partly} ${report.partly === 1 ? 'row fits' : 'rows fit'} in part: what does not is left out. `}
      {report.bad + report.partly > report.problems.length && `The first ${report.problems.length}:`}
    </p>
    <ul className="max-h-48 overflow-auto text-[0.9375rem]">
      {report.problems.map((p) => (
        <li key={p.row}>
          row {p.row}: {p.message}
        </li>
      ))}
    </ul>
  </div>
);

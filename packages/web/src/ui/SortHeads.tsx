import type { ReactNode } from 'react';
import type { ReactTable, RowData, SortingState } from '@tanstack/react-table';
import { ArrowDown, ArrowUp } from 'lucide-react';
import type { SORTABLE } from './sortable';
import { usePrinting } from './usePrinting';

interface SortHeadProps {
  readonly sorted: false | 'asc' | 'desc';
  readonly num: boolean;
  readonly onSort: () => void;
  readonly children: ReactNode;
}

/** The head of a column that sorts the table when it is pressed. */
function SortHead({ sorted, num, onSort, children }: SortHeadProps) {
  const printing = usePrinting();
  return (
    <th
      scope="col"
      className={num ? 'num' : ''}
      aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'}
    >
      {printing ? (
        children
      ) : (
        <button
          type="button"
          className="inline-flex cursor-pointer items-center gap-1 font-semibold hover:text-pine"
          onClick={onSort}
        >
          {children}
          {sorted === 'asc' && <ArrowUp size={13} aria-hidden="true" />}
          {sorted === 'desc' && <ArrowDown size={13} aria-hidden="true" />}
        </button>
      )}
    </th>
  );
}

interface SortHeadsProps<T extends RowData> {
  readonly table: ReactTable<typeof SORTABLE, T>;
  /** The head of a column before those that sort. */
  readonly first: ReactNode;
  readonly isNumber: (column: string) => boolean;
  readonly onSort: (sorting: SortingState) => void;
}

/** The heads of a table that sort it: lowest first, then highest first. */
export const SortHeads = <T extends RowData>({ table, first, isNumber, onSort }: SortHeadsProps<T>) => (
  <thead>
    {table.getHeaderGroups().map((group) => (
      <tr key={group.id}>
        {first}
        {group.headers.map((header) => {
          const sorted = header.column.getIsSorted();
          return (
            <SortHead
              key={header.id}
              sorted={sorted}
              num={isNumber(header.id)}
              onSort={() => onSort([{ id: header.column.id, desc: sorted === 'asc' }])}
            >
              <table.FlexRender header={header} />
            </SortHead>
          );
        })}
      </tr>
    ))}
  </thead>
);

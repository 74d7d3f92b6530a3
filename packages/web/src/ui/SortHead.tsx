import type { ReactNode } from 'react';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { usePrinting } from './usePrinting';

interface SortHeadProps {
  readonly sorted: false | 'asc' | 'desc';
  readonly num: boolean;
  readonly onSort: () => void;
  readonly children: ReactNode;
}

/** The head of a column that sorts the table when it is pressed. */
export function SortHead({ sorted, num, onSort, children }: SortHeadProps) {
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

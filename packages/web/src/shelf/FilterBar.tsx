import { lazy, Suspense, useState } from 'react';
import { X } from 'lucide-react';
import type { ShelfFilterInput } from '@wheat-ledger/contract';
import { useRecords } from '../app/api';
import { useKeep } from '../ui/useKeep';
import { useTakeOut } from '../ui/useTakeOut';
import { filterWords, isNoFilter, NO_FILTER, sameFilter } from './shelfFilter';

interface FilterBarProps {
  readonly filter: ShelfFilterInput;
  readonly onChange: (filter: ShelfFilterInput) => void;
  readonly found: number;
  readonly of: number;
}

const MOST_NAME = 40;
const FilterParts = lazy(async () => ({ default: (await import('./FilterParts')).FilterParts }));

/** Filters kept under a name. A name that is kept already takes the new filter. */
function Kept({ filter, onChange }: Pick<FilterBarProps, 'filter' | 'onChange'>) {
  const { records } = useRecords('filter');
  const { keep, saving } = useKeep('filter');
  const takeOut = useTakeOut('filter');
  const [name, setName] = useState('');
  const submit = async (): Promise<void> => {
    const called = name.trim() || filterWords(filter).slice(0, MOST_NAME);
    await keep(
      { name: called, filter },
      records.find((k) => k.name === called),
      `Saved the filter “${called}”.`,
    );
    setName('');
  };
  return (
    <>
      {records.map((k) => {
        const on = sameFilter(k.filter, filter);
        return (
          <span key={k.id} className="inline-flex items-stretch rounded-[3px] border border-line-strong">
            <button
              type="button"
              className="cursor-pointer px-2.5 py-1 aria-pressed:bg-pine aria-pressed:text-chalk"
              aria-pressed={on}
              title={filterWords(k.filter)}
              onClick={() => onChange(on ? NO_FILTER : k.filter)}
            >
              {k.name}
            </button>
            <button
              type="button"
              className="cursor-pointer border-l border-line-strong px-1.5"
              title={`Take out ${k.name}`}
              onClick={() => void takeOut(k, `Took out the filter “${k.name}”.`)}
            >
              <X size={14} aria-hidden="true" />
              <span className="sr-only">Take out {k.name}</span>
            </button>
          </span>
        );
      })}
      {!isNoFilter(filter) && !records.some((k) => sameFilter(k.filter, filter)) && (
        <form
          className="inline-flex gap-1"
          onSubmit={(e) => {
            e.preventDefault();
            void submit();
          }}
        >
          <input
            className="field !w-36"
            aria-label="A name for this filter"
            placeholder="name it"
            maxLength={MOST_NAME}
            value={name}
            onChange={(e) => setName(e.target.value)}
          />
          <button type="submit" className="action" disabled={saving}>
            Save this filter
          </button>
        </form>
      )}
    </>
  );
}

/** Which bags are shown: by words, by what is in them, by where they come from; and filters kept for the next time. */
export function FilterBar({ filter, onChange, found, of }: FilterBarProps) {
  const [open, setOpen] = useState(false);
  // A filter that was kept may hold more than words.
  const parts = !isNoFilter({ ...filter, text: '' });
  return (
    <div className="no-print mb-5" role="search">
      <div className="flex flex-wrap items-center gap-2">
        <input
          type="search"
          className="field !w-52"
          aria-label="Show only bags whose name, seller or ingredients contain"
          placeholder="Only bags with …"
          value={filter.text}
          onChange={(e) => onChange({ ...filter, text: e.target.value })}
        />
        <Kept filter={filter} onChange={onChange} />
        {!isNoFilter(filter) && (
          <>
            <span className="text-sm text-faint" role="status">
              {found} of {of}
            </span>
            <button type="button" className="plain" onClick={() => onChange(NO_FILTER)}>
              Show all
            </button>
          </>
        )}
      </div>
      <details className="mt-2" onToggle={(e) => setOpen(e.currentTarget.open)}>
        <summary className="cursor-pointer text-faint">By what is in them</summary>
        {(open || parts) && (
          <Suspense>
            <FilterParts filter={filter} onChange={onChange} />
          </Suspense>
        )}
      </details>
    </div>
  );
}

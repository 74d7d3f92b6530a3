import { Link } from 'react-router';
import { X } from 'lucide-react';
import { benchSlice, MOST_ON_BENCH } from '../app/slices';
import { useAppDispatch, useAppSelector } from '../app/store';
import { useBench } from '../app/workspace';
import { Bag } from '../ui/Bag';

const { setAside, toggled, cleared } = benchSlice.actions;

/** The bags under comparison, kept while moving between stages. A number key sets one aside and takes it back. */
export function Bench() {
  const { bags } = useBench();
  const basis = useAppSelector((s) => s.settings.basis);
  const dispatch = useAppDispatch();
  return (
    <section
      aria-label="Bench"
      className="no-print flex items-stretch gap-1 overflow-x-auto border-t-[5px] border-line-strong bg-paper px-2 pt-1.5 pb-1"
      data-testid="bench"
    >
      <div className="flex shrink-0 flex-col justify-center pr-2 pl-1 text-sm">
        <h2 className="text-base">Bench</h2>
        <span className="text-faint">
          {bags.length} of {MOST_ON_BENCH}
        </span>
        {bags.length > 0 && (
          <button type="button" className="plain text-left" onClick={() => dispatch(cleared())}>
            clear
          </button>
        )}
      </div>
      {bags.length === 0 && (
        <p className="self-center py-3 text-faint">
          Nothing on the bench. Put two to eight bags here from the{' '}
          <Link to="/shelf" className="plain">
            shelf
          </Link>{' '}
          to compare them in every stage.
        </p>
      )}
      <ol className="flex gap-1">
        {bags.map(({ record, product, aside }, i) => (
          <li
            key={record.id}
            className={`relative flex w-[9.1rem] shrink-0 border-l border-rule ${aside ? 'opacity-55' : ''}`}
          >
            <button
              type="button"
              aria-pressed={!aside}
              onClick={() => dispatch(setAside(record.id))}
              title={aside ? `Compare again (${i + 1})` : `Set aside (${i + 1})`}
              className="flex min-w-0 flex-1 cursor-pointer items-center gap-1.5 py-0.5 pr-5 pl-1.5 text-left"
            >
              <span className="relative shrink-0">
                <Bag product={product} basis={basis} width={36} letters={false} />
                <kbd className="absolute -top-0.5 -left-0.5 bg-pine px-1 text-xs text-chalk">{i + 1}</kbd>
              </span>
              <span className="min-w-0 text-[0.8125rem] leading-tight">
                <span className={`line-clamp-3 hyphens-auto break-words ${aside ? 'line-through' : ''}`}>
                  {record.name}
                </span>
                {aside && <span className="text-faint">set aside</span>}
              </span>
            </button>
            <button
              type="button"
              className="absolute top-0 right-0 cursor-pointer p-1"
              onClick={() => dispatch(toggled(record.id))}
              title="Take off the bench"
            >
              <X size={13} aria-hidden="true" />
              <span className="sr-only">Take {record.name} off the bench</span>
            </button>
          </li>
        ))}
      </ol>
    </section>
  );
}

import { useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { Link, useNavigate } from 'react-router';
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { createColumnHelper, useTable, type SortingState } from '@tanstack/react-table';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useBenchChanges } from '../app/bench';
import { settingsSlice } from '../app/slices';
import { useAppDispatch, useAppSelector } from '../app/store';
import type { ShelfProduct } from '../app/workspace';
import { OnBench } from '../ui/OnBench';
import { SORTABLE } from '../ui/sortable';
import { SortHeads } from '../ui/SortHeads';
import { useInPage } from '../ui/useInPage';
import { SHELF_COLUMNS, USUAL_COLUMNS } from './shelfColumns';

const helper = createColumnHelper<typeof SORTABLE, ShelfProduct>();
const LINE_PX = 37;

/** Which columns there are, ticked where they are shown. */
function ColumnChoice({ shown }: { shown: readonly string[] }) {
  const basis = useAppSelector((s) => s.settings.basis);
  const dispatch = useAppDispatch();
  const turn = (id: string): void => {
    const wanted = shown.includes(id) ? shown.filter((s) => s !== id) : [...shown, id];
    dispatch(settingsSlice.actions.changed({ shelfColumns: wanted }));
  };
  return (
    <Popover className="relative">
      <PopoverButton className="action">Columns</PopoverButton>
      <PopoverPanel
        anchor="bottom end"
        className="z-40 grid grid-cols-2 gap-x-5 gap-y-1 border border-line-strong bg-paper p-3 shadow-md [--anchor-gap:4px]"
      >
        {SHELF_COLUMNS.map(({ id, head }) => (
          <label key={id} className="flex cursor-pointer items-center gap-2">
            <input
              type="checkbox"
              className="size-4 accent-wheat"
              checked={shown.includes(id)}
              onChange={() => turn(id)}
            />
            {head(basis)}
          </label>
        ))}
      </PopoverPanel>
    </Popover>
  );
}

/**
 * The shelf as a dense table: a heading sorts, columns are chosen, and only the lines near the view are in the page. Arrow keys walk the lines,
 * Enter opens the bag, Space puts it on the bench.
 */
export function ShelfLines({ bags }: { bags: readonly ShelfProduct[] }) {
  const basis = useAppSelector((s) => s.settings.basis);
  const shown = useAppSelector((s) => s.settings.shelfColumns) ?? USUAL_COLUMNS;
  const [sorting, setSorting] = useState<SortingState>([]);
  const [active, setActive] = useState(0);
  const moved = useRef(false);
  const body = useRef<HTMLTableElement>(null);
  const place = useInPage(body);
  const navigate = useNavigate();
  const { toggle } = useBenchChanges();
  const wanted = useMemo(() => SHELF_COLUMNS.filter((c) => shown.includes(c.id)), [shown]);
  const columns = useMemo(
    () =>
      helper.columns([
        helper.accessor((bag) => bag.record.name, { id: 'name', header: 'Bag' }),
        ...wanted.map((c) =>
          helper.accessor((bag) => c.sortBy(bag), {
            id: c.id,
            header: c.head(basis),
            sortUndefined: 'last',
            sortFn: c.num ? 'basic' : 'text',
          }),
        ),
      ]),
    [wanted, basis],
  );
  const data = useMemo(() => [...bags], [bags]);
  const table = useTable({ features: SORTABLE, columns, data, state: { sorting }, onSortingChange: setSorting });
  const lines = table.getRowModel().rows;
  const virtual = useVirtualizer({
    count: lines.length,
    getScrollElement: () => place?.scroller ?? null,
    estimateSize: () => LINE_PX,
    overscan: 12,
    scrollMargin: place?.margin ?? 0,
  });
  const items = virtual.getVirtualItems();
  const [first, last] = [items[0], items.at(-1)];
  const before = first ? first.start - virtual.options.scrollMargin : 0;
  const after = last ? virtual.getTotalSize() - (last.end - virtual.options.scrollMargin) : 0;

  useEffect(() => {
    if (!moved.current) return;
    const line = body.current?.querySelector<HTMLElement>(`tr[data-index="${active}"]`);
    if (!line) return;
    moved.current = false;
    line.focus();
  });
  const walk = (event: KeyboardEvent): void => {
    const steps: Readonly<Record<string, number>> = {
      ArrowDown: active + 1,
      ArrowUp: active - 1,
      Home: 0,
      End: lines.length - 1,
    };
    const to = steps[event.key];
    const bag = lines[active]?.original;
    if (!(event.target instanceof HTMLTableRowElement)) return;
    if (to !== undefined) {
      const next = Math.max(0, Math.min(lines.length - 1, to));
      moved.current = true;
      setActive(next);
      virtual.scrollToIndex(next);
    } else if (event.key === 'Enter' && bag) void navigate(`/shelf/${bag.record.id}`);
    else if (event.key === ' ' && bag) toggle('product', bag.record.id);
    else return;
    event.preventDefault();
  };
  return (
    <>
      <div className="no-print mb-1 flex items-center justify-end gap-3 text-sm text-faint">
        <span className="mr-auto max-sm:hidden">
          Arrow keys walk the lines, Enter opens one, Space puts it on the bench.
        </span>
        <ColumnChoice shown={shown} />
      </div>
      <div className="overflow-x-auto">
        <table ref={body} className="ledger dense" data-testid="shelf-lines" aria-rowcount={lines.length + 1}>
          <caption className="sr-only">Everything on the shelf, a line each</caption>
          <SortHeads
            table={table}
            first={
              <th scope="col" className="no-print">
                <span className="sr-only">On the bench</span>
              </th>
            }
            isNumber={(id) => wanted.find((c) => c.id === id)?.num ?? false}
            onSort={setSorting}
          />
          <tbody onKeyDown={walk}>
            {before > 0 && <tr aria-hidden="true" style={{ height: before }} />}
            {items.map(({ index }) => {
              const bag = lines[index]?.original;
              if (!bag) return null;
              return (
                <tr
                  key={bag.record.id}
                  data-index={index}
                  data-testid="shelf-line"
                  aria-rowindex={index + 2}
                  tabIndex={index === active ? 0 : -1}
                  onFocus={() => setActive(index)}
                >
                  <td className="no-print w-7 !align-middle">
                    <OnBench kind="product" id={bag.record.id} name={bag.record.name} bare />
                  </td>
                  <th scope="row" className="min-w-40">
                    <Link to={`/shelf/${bag.record.id}`} className="hover:underline" tabIndex={-1}>
                      {bag.record.name}
                    </Link>
                  </th>
                  {wanted.map((c) => (
                    <td key={c.id} className={c.num ? 'num' : ''}>
                      {c.words(bag, basis)}
                    </td>
                  ))}
                </tr>
              );
            })}
            {after > 0 && <tr aria-hidden="true" style={{ height: after }} />}
          </tbody>
        </table>
      </div>
    </>
  );
}

import { useRef, type ReactNode } from 'react';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useInPage } from './useInPage';

interface VirtualRowsProps<T> {
  readonly items: readonly T[];
  /** Width of one item in pixels; as many as fit stand in a row, at least two. */
  readonly itemWidth: number;
  readonly estimatedHeight: number;
  readonly keyOf: (item: T) => string;
  readonly render: (item: T, position: number) => ReactNode;
}

/** Items in rows, of which only those near the view are in the page: ten thousand scroll like ten. */
export function VirtualRows<T>({ items, itemWidth, estimatedHeight, keyOf, render }: VirtualRowsProps<T>) {
  const list = useRef<HTMLUListElement>(null);
  const place = useInPage(list);
  const columns = place ? Math.max(2, Math.floor(place.width / itemWidth)) : 4;
  const rows = Math.ceil(items.length / columns);
  const virtual = useVirtualizer({
    count: rows,
    getScrollElement: () => place?.scroller ?? null,
    estimateSize: () => estimatedHeight,
    overscan: 4,
    scrollMargin: place?.margin ?? 0,
    getItemKey: (row) => {
      const first = items[row * columns];
      return first ? keyOf(first) : row;
    },
  });
  return (
    <ul ref={list} className="relative" style={{ height: virtual.getTotalSize() }}>
      {virtual.getVirtualItems().map((row) => (
        <li
          key={row.key}
          ref={virtual.measureElement}
          data-index={row.index}
          className="absolute top-0 left-0 w-full pb-6"
          style={{ transform: `translateY(${row.start - virtual.options.scrollMargin}px)` }}
        >
          <ul className="flex items-start">
            {items.slice(row.index * columns, (row.index + 1) * columns).map((item, i) => (
              <li
                key={keyOf(item)}
                className="min-w-0"
                style={{ width: `${columns === 2 ? '50%' : `${itemWidth}px`}` }}
                aria-setsize={items.length}
                aria-posinset={row.index * columns + i + 1}
              >
                {render(item, row.index * columns + i)}
              </li>
            ))}
          </ul>
        </li>
      ))}
    </ul>
  );
}

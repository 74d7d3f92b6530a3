import { useLayoutEffect, useRef, useState, type ReactNode } from 'react';
import { useVirtualizer } from '@tanstack/react-virtual';

interface VirtualRowsProps<T> {
  readonly items: readonly T[];
  /** Width of one item in pixels; as many as fit stand in a row, at least two. */
  readonly itemWidth: number;
  readonly estimatedHeight: number;
  readonly keyOf: (item: T) => string;
  readonly render: (item: T, position: number) => ReactNode;
}

/** The nearest ancestor that scrolls. */
function scrollerOf(element: HTMLElement): HTMLElement {
  for (let at = element.parentElement; at; at = at.parentElement)
    if (/auto|scroll/.test(getComputedStyle(at).overflowY)) return at;
  return document.documentElement;
}

interface Frame {
  readonly scroller: HTMLElement;
  readonly columns: number;
  readonly margin: number;
}

/** Items in rows, of which only those near the view are in the page: ten thousand scroll like ten. */
export function VirtualRows<T>({ items, itemWidth, estimatedHeight, keyOf, render }: VirtualRowsProps<T>) {
  const list = useRef<HTMLUListElement>(null);
  const [frame, setFrame] = useState<Frame>();
  useLayoutEffect(() => {
    const element = list.current;
    if (!element) return undefined;
    const measure = (): void => {
      const scroller = scrollerOf(element);
      const margin = element.getBoundingClientRect().top - scroller.getBoundingClientRect().top + scroller.scrollTop;
      const columns = Math.max(2, Math.floor(element.clientWidth / itemWidth));
      setFrame((old) =>
        old && old.scroller === scroller && old.columns === columns && Math.abs(old.margin - margin) < 1
          ? old
          : { scroller, columns, margin },
      );
    };
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    return () => observer.disconnect();
  }, [itemWidth]);

  const columns = frame?.columns ?? 4;
  const rows = Math.ceil(items.length / columns);
  const virtual = useVirtualizer({
    count: rows,
    getScrollElement: () => frame?.scroller ?? null,
    estimateSize: () => estimatedHeight,
    overscan: 4,
    scrollMargin: frame?.margin ?? 0,
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

import { useLayoutEffect, useState, type RefObject } from 'react';

/** Where an element of a long page stands: in what scrolls, how far from its top, and how wide. */
export interface InPage {
  readonly scroller: HTMLElement;
  readonly margin: number;
  readonly width: number;
}

/** The nearest ancestor that scrolls. */
function scrollerOf(element: HTMLElement): HTMLElement {
  for (let at = element.parentElement; at; at = at.parentElement)
    if (/auto|scroll/.test(getComputedStyle(at).overflowY)) return at;
  return document.documentElement;
}

/** Measures where an element stands, again whenever its size changes; undefined before the first time. */
export function useInPage(ref: RefObject<HTMLElement | null>): InPage | undefined {
  const [place, setPlace] = useState<InPage>();
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element) return undefined;
    const measure = (): void => {
      const scroller = scrollerOf(element);
      const margin = element.getBoundingClientRect().top - scroller.getBoundingClientRect().top + scroller.scrollTop;
      const width = element.clientWidth;
      setPlace((old) =>
        old && old.scroller === scroller && old.width === width && Math.abs(old.margin - margin) < 1
          ? old
          : { scroller, margin, width },
      );
    };
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    return () => observer.disconnect();
  }, [ref]);
  return place;
}

import { Link, useLocation } from 'react-router';

/** A page of something: the end of its path, and its name. The first has none. */
export type PageList = readonly (readonly [path: string, name: string])[];

/** Which of the pages is open. */
export function usePageOf(pages: PageList): string {
  const { pathname } = useLocation();
  return pages.find(([path]) => path !== '' && `${pathname}/`.includes(`${path}/`))?.[0] ?? '';
}

/** Tabs to the pages of one thing. */
export function Pages({ label, base, pages }: { label: string; base: string; pages: PageList }) {
  const open = usePageOf(pages);
  return (
    <nav aria-label={label} className="no-print mb-4 flex flex-wrap gap-x-1 border-b border-line-strong">
      {pages.map(([path, name]) => (
        <Link
          key={path}
          to={base + path}
          className={`rounded-t-[3px] border border-b-0 px-2 py-1 text-[0.9375rem] sm:px-3 sm:text-base ${open === path ? 'border-line-strong bg-paper font-semibold' : 'border-transparent text-faint hover:text-pine'}`}
          aria-current={open === path ? 'page' : undefined}
        >
          {name}
        </Link>
      ))}
    </nav>
  );
}

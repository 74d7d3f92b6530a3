import { useEffect } from 'react';
import { Link, useLocation } from 'react-router';
import { settingsSlice } from '../app/slices';
import { useAppDispatch } from '../app/store';
import { usePlot } from '../app/workspace';
import { Pages, usePageOf, type PageList } from './Pages';

const PAGES: PageList = [
  ['', 'Plot and seasons'],
  ['/soil', 'Soil'],
  ['/weather', 'Warmth and water'],
  ['/jars', 'Jar tests'],
  ['/programmes', 'Programmes'],
];

/** Every plot, and the pages of the one that is open; another plot opens on the same page. */
export function PlotPages({ plotId }: { plotId: string | undefined }) {
  const { plots } = usePlot();
  const { pathname } = useLocation();
  const page = usePageOf(PAGES);
  const dispatch = useAppDispatch();
  // Opening a plot chooses it: the line at the top and the page speak of the same one.
  useEffect(() => {
    if (plotId) dispatch(settingsSlice.actions.changed({ plotId }));
  }, [dispatch, plotId]);
  const plotLink = (to: string, name: string, open: boolean) => (
    <Link
      key={to}
      to={to}
      className={`border-b-[3px] px-1 py-0.5 ${open ? 'border-wheat font-semibold' : 'border-transparent hover:border-rule'}`}
      aria-current={open ? 'page' : undefined}
    >
      {name}
    </Link>
  );
  return (
    <>
      <nav aria-label="Plots" className="no-print mb-3 flex flex-wrap gap-x-4 gap-y-1">
        {plots.map((p) => plotLink(`/ground/${p.id}${page}`, p.name, p.id === plotId))}
        {plotLink('/ground/new', 'Another plot', pathname.endsWith('/new'))}
      </nav>
      {plotId && <Pages label="Pages of this plot" base={`/ground/${plotId}`} pages={PAGES} />}
    </>
  );
}

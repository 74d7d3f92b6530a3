import { lazy, Suspense, useCallback, useEffect, useState } from 'react';
import { Outlet, useLocation } from 'react-router';
import { deskSlice } from '../app/slices';
import { useAppDispatch, useAppSelector } from '../app/store';
import { useRecords } from '../app/api';
import { usePlot } from '../app/workspace';
import { Failed, Sheet } from '../ui/Sheet';
import { MarginSlot } from '../ui/MarginNotes';
import { PatternDefs } from '../ui/patterns';
import { Bench } from './Bench';
import { Notice } from './Notice';
import { PlotLine } from './PlotLine';
import { Spine } from './Spine';
import { useKeys } from './useKeys';

const Working = lazy(async () => ({ default: (await import('./Working')).Working }));
const HelpDialog = lazy(async () => ({ default: (await import('./HelpDialog')).HelpDialog }));

/** Day or evening shed on the page's root, following the machine when asked to. */
function useTheme(): void {
  const theme = useAppSelector((s) => s.settings.theme);
  useEffect(() => {
    const evening = window.matchMedia('(prefers-color-scheme: dark)');
    const apply = (): void => {
      document.documentElement.dataset['theme'] =
        theme === 'evening' || (theme === 'system' && evening.matches) ? 'dark' : 'light';
    };
    apply();
    evening.addEventListener('change', apply);
    return () => evening.removeEventListener('change', apply);
  }, [theme]);
}

/** The sheet that is open; while neither plots nor bags can be had there is nothing a sheet could say. */
function Sheets() {
  const plots = useRecords('plot');
  const bags = useRecords('product');
  if (!plots.away && !bags.away) return <Outlet />;
  return (
    <Sheet title="The ledger does not open" question="Its plots and bags cannot be read right now.">
      <Failed
        error={plots.error ?? bags.error}
        retry={() => {
          void plots.refetch();
          void bags.refetch();
        }}
      />
    </Sheet>
  );
}

const PAPER_DAY = { day: 'numeric', month: 'short', year: 'numeric' } as const;

/** Where and when a page was put on paper. */
function PaperFoot() {
  const { plot } = usePlot();
  return (
    <p className="mx-auto hidden max-w-4xl border-t border-rule px-6 pt-2 text-sm text-faint print:block">
      Wheat Ledger{plot && `, ${plot.name}`}, {new Date().toLocaleDateString('en-GB', PAPER_DAY)}
    </p>
  );
}

/** Plot line, spine, sheet, margin and bench: shared by every stage. */
export function Frame() {
  const [helpOpen, setHelpOpen] = useState(false);
  const [slot, setSlot] = useState<HTMLElement | null>(null);
  const working = useAppSelector((s) => s.desk.working);
  const { pathname } = useLocation();
  const showHelp = useCallback(() => setHelpOpen(true), []);
  const dispatch = useAppDispatch();
  const stage = pathname.split('/')[1];
  // A working belongs to the sheet it was opened on.
  useEffect(() => void dispatch(deskSlice.actions.workingClosed()), [dispatch, stage]);
  useTheme();
  useKeys(showHelp);
  return (
    <MarginSlot value={slot}>
      <PatternDefs />
      <a
        href="#sheet"
        className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-wheat focus:px-3 focus:py-2 focus:text-on-wheat"
      >
        Skip to the page
      </a>
      <div className="frame flex h-dvh flex-col">
        <PlotLine onHelp={showHelp} />
        <div className="flex min-h-0 flex-1 flex-col lg:grid lg:grid-cols-[10.25rem_minmax(0,1fr)]">
          <Spine />
          <div className="min-h-0 flex-1 overflow-y-auto xl:grid xl:grid-cols-[minmax(0,1fr)_19rem] xl:overflow-hidden">
            <main id="sheet" tabIndex={-1} className="relative min-w-0 outline-none xl:overflow-y-auto" key={stage}>
              <Sheets />
              <PaperFoot />
            </main>
            <aside
              aria-label="Margin"
              className={`no-print relative border-rule px-4 pb-6 xl:border-l xl:overflow-y-auto xl:py-4 ${working ? 'max-xl:pb-72' : ''}`}
            >
              {working && (
                <div className="max-xl:fixed max-xl:inset-x-0 max-xl:bottom-0 max-xl:z-30 max-xl:max-h-[60dvh] max-xl:overflow-y-auto max-xl:border-t max-xl:border-line-strong max-xl:bg-chalk max-xl:p-2 xl:mb-5">
                  <Suspense>
                    <Working figure={working} />
                  </Suspense>
                </div>
              )}
              <div ref={setSlot} />
              <button type="button" className="plain mt-5 text-[0.9375rem] text-faint" onClick={showHelp}>
                What a word means
              </button>
            </aside>
          </div>
        </div>
        <Notice />
        <Bench />
      </div>
      {helpOpen && (
        <Suspense>
          <HelpDialog open onClose={() => setHelpOpen(false)} />
        </Suspense>
      )}
    </MarginSlot>
  );
}

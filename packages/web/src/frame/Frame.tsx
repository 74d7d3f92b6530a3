import { lazy, Suspense, useCallback, useEffect, useState } from 'react';
import { Outlet, useLocation } from 'react-router';
import { deskSlice } from '../app/slices';
import { useAppDispatch, useAppSelector } from '../app/store';
import { MarginSlot } from '../ui/MarginNotes';
import { PatternDefs } from '../ui/patterns';
import { Bench } from './Bench';
import { Notice } from './Notice';
import { PlotLine } from './PlotLine';
import { Spine } from './Spine';
import { useKeys } from './useKeys';
import { Working } from './Working';

const KeysDialog = lazy(async () => ({ default: (await import('./KeysDialog')).KeysDialog }));

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

/** Plot line, spine, sheet, margin and bench: shared by every stage. */
export function Frame() {
  const [keysOpen, setKeysOpen] = useState(false);
  const [slot, setSlot] = useState<HTMLElement | null>(null);
  const working = useAppSelector((s) => s.desk.working);
  const { pathname } = useLocation();
  const showKeys = useCallback(() => setKeysOpen(true), []);
  const dispatch = useAppDispatch();
  const stage = pathname.split('/')[1];
  // A working belongs to the sheet it was opened on.
  useEffect(() => void dispatch(deskSlice.actions.workingClosed()), [dispatch, stage]);
  useTheme();
  useKeys(showKeys);
  return (
    <MarginSlot value={slot}>
      <PatternDefs />
      <a
        href="#sheet"
        className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-wheat focus:px-3 focus:py-2 focus:text-on-wheat"
      >
        To the sheet
      </a>
      <div className="frame flex h-dvh flex-col">
        <PlotLine onKeys={showKeys} />
        <div className="flex min-h-0 flex-1 flex-col lg:grid lg:grid-cols-[10.25rem_minmax(0,1fr)]">
          <Spine />
          <div className="min-h-0 flex-1 overflow-y-auto xl:grid xl:grid-cols-[minmax(0,1fr)_19rem] xl:overflow-hidden">
            <main id="sheet" tabIndex={-1} className="relative min-w-0 outline-none xl:overflow-y-auto" key={stage}>
              <Outlet />
            </main>
            <aside
              aria-label="Margin"
              className={`no-print relative border-rule px-4 pb-6 xl:border-l xl:overflow-y-auto xl:py-4 ${working ? 'max-xl:pb-72' : ''}`}
            >
              {working && (
                <div className="max-xl:fixed max-xl:inset-x-0 max-xl:bottom-0 max-xl:z-30 max-xl:max-h-[60dvh] max-xl:overflow-y-auto max-xl:border-t max-xl:border-line-strong max-xl:bg-chalk max-xl:p-2 xl:mb-5">
                  <Working figure={working} />
                </div>
              )}
              <div ref={setSlot} />
            </aside>
          </div>
        </div>
        <Notice />
        <Bench />
      </div>
      {keysOpen && (
        <Suspense>
          <KeysDialog open onClose={() => setKeysOpen(false)} />
        </Suspense>
      )}
    </MarginSlot>
  );
}

import { useEffect } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { useBench, useBenchChanges } from '../app/bench';
import { deskSlice } from '../app/slices';
import { STAGES } from '../app/stages';
import { useAppDispatch } from '../app/store';
import { useFolding } from './useFolding';
import { useUndoNotice } from './Notice';

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable ||
    (/^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) &&
      !/^(checkbox|radio)$/.test((target as HTMLInputElement).type)));

/** The program's own keys; they rest while something is being typed. None of them destroys anything. */
export function useKeys(showHelp: () => void): void {
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const dispatch = useAppDispatch();
  const { items } = useBench();
  const { setAside } = useBenchChanges();
  const { turn } = useFolding();
  const undo = useUndoNotice();
  useEffect(() => {
    const step = (by: number): void => {
      const at = STAGES.findIndex((s) => pathname.startsWith(s.path));
      const next = STAGES[(at + by + STAGES.length) % STAGES.length];
      if (next) void navigate(next.path);
    };
    const onKey = (event: KeyboardEvent): void => {
      if (event.key === 'Escape') return void dispatch(deskSlice.actions.workingClosed());
      if (isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey) return;
      const place = /^[1-9]$/.test(event.key) ? items[Number(event.key) - 1] : undefined;
      if (place) setAside(place.id);
      else if (event.key === 'b') turn();
      else if (event.key === '[') step(-1);
      else if (event.key === ']') step(1);
      else if (event.key === '?') showHelp();
      else if (event.key === 'u' && undo) void undo();
      else if (event.key === '/') document.getElementById('find')?.focus();
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [navigate, pathname, dispatch, items, setAside, turn, undo, showHelp]);
}

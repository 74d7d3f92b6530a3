import { useCallback } from 'react';
import { settingsSlice } from '../app/slices';
import { useAppDispatch, useAppSelector } from '../app/store';
import { useNarrow } from '../ui/useNarrow';

/** Whether the bench is folded to one line, and the turn of it; a narrow screen has no room for more until somebody asks. */
export function useFolding(): { readonly folded: boolean; readonly turn: () => void } {
  const narrow = useNarrow();
  const folded = useAppSelector((s) => s.settings.benchFolded) ?? narrow;
  const dispatch = useAppDispatch();
  const turn = useCallback(
    () => void dispatch(settingsSlice.actions.changed({ benchFolded: !folded })),
    [dispatch, folded],
  );
  return { folded, turn };
}

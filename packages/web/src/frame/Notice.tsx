import { useEffect } from 'react';
import { Undo2, X } from 'lucide-react';
import { problemOf, useUndoLatestMutation } from '../app/api';
import { deskSlice } from '../app/slices';
import { useAppDispatch, useAppSelector } from '../app/store';

const { noticed } = deskSlice.actions;
const SHOWN_MS = 20_000;

/** Undoes the change the notice speaks of. */
export function useUndoNotice(): (() => Promise<void>) | undefined {
  const notice = useAppSelector((s) => s.desk.notice);
  const dispatch = useAppDispatch();
  const [undoLatest] = useUndoLatestMutation();
  if (!notice?.recordId) return undefined;
  const { recordId } = notice;
  return async () => {
    const result = await undoLatest({ recordId });
    dispatch(
      noticed({
        text: result.error ? problemOf(result.error).detail : 'Undone. The book keeps both entries.',
        recordId: undefined,
      }),
    );
  };
}

/** The words of the last thing done, with its undo, for a while: a strip above the bench, so that it covers nothing. */
export function Notice() {
  const notice = useAppSelector((s) => s.desk.notice);
  const dispatch = useAppDispatch();
  const undo = useUndoNotice();
  useEffect(() => {
    if (!notice) return undefined;
    const timer = setTimeout(() => dispatch(noticed(undefined)), SHOWN_MS);
    return () => clearTimeout(timer);
  }, [notice, dispatch]);
  return (
    <div role="status" aria-live="polite" className="no-print">
      {notice && (
        <div className="flex items-center justify-center gap-4 bg-pine px-4 py-1.5 text-chalk">
          <span>{notice.text}</span>
          {undo && (
            <button
              type="button"
              className="flex cursor-pointer items-center gap-1 font-semibold underline underline-offset-3"
              onClick={() => void undo()}
            >
              <Undo2 size={16} aria-hidden="true" />
              Undo
            </button>
          )}
          <button type="button" className="cursor-pointer" onClick={() => dispatch(noticed(undefined))}>
            <X size={16} aria-hidden="true" />
            <span className="sr-only">Close the notice</span>
          </button>
        </div>
      )}
    </div>
  );
}

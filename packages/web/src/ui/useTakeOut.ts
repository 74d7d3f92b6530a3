import { useNavigate } from 'react-router';
import type { Kept, RecordKind } from '@wheat-ledger/contract';
import { problemOf, useRemoveMutation } from '../app/api';
import { deskSlice } from '../app/slices';
import { useAppDispatch } from '../app/store';

/** Takes a record out, says so with an undo, and goes back to where its kind is listed, when that is elsewhere. */
export function useTakeOut(kind: RecordKind, backTo?: string) {
  const [remove] = useRemoveMutation();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  return async (record: Pick<Kept, 'id' | 'version'>, done: string): Promise<void> => {
    const result = await remove({ kind, record });
    dispatch(
      deskSlice.actions.noticed(
        result.error
          ? { text: problemOf(result.error).detail, recordId: undefined }
          : { text: done, recordId: record.id },
      ),
    );
    if (!result.error && backTo) void navigate(backTo);
  };
}

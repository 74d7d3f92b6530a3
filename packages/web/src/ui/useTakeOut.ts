import { useNavigate } from 'react-router';
import { countWords, kindOf, RECORD_KINDS, type Kept, type RecordKind, type Use } from '@wheat-ledger/contract';
import { problemOf, useLazyUsesQuery, useRemoveMutation } from '../app/api';
import { deskSlice } from '../app/slices';
import { useAppDispatch } from '../app/store';

/** What still uses a record, as a sentence; nothing where nothing does. @example usedWords([{ kind: 'claim', count: 2 }]) // ' It is still used by 2 claims.' */
export function usedWords(uses: readonly Use[]): string {
  if (uses.length === 0) return '';
  const parts = uses.map(({ kind, count }) => countWords(kind, count));
  const last = parts.pop() ?? '';
  return ` It is still used by ${parts.length > 0 ? `${parts.join(', ')} and ` : ''}${last}.`;
}

const isReferredTo = (kind: RecordKind): boolean =>
  RECORD_KINDS.some((other) => kindOf(other).refers.some(({ to }) => to === kind));

/** Takes a record out, says so with an undo and with what still uses it, and goes back to where its kind is listed, when that is elsewhere. */
export function useTakeOut(kind: RecordKind, backTo?: string) {
  const [remove] = useRemoveMutation();
  const [askUses] = useLazyUsesQuery();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  return async (record: Pick<Kept, 'id' | 'version'>, done: string): Promise<void> => {
    // Asked first: once it is out, the page it stood on is gone and asks no more.
    const { data: uses = [] } = isReferredTo(kind) ? await askUses({ kind, id: record.id }) : {};
    const result = await remove({ kind, record });
    if (result.error)
      return void dispatch(deskSlice.actions.noticed({ text: problemOf(result.error).detail, recordId: undefined }));
    dispatch(deskSlice.actions.noticed({ text: `${done}${usedWords(uses)}`, recordId: record.id }));
    if (backTo) void navigate(backTo);
  };
}

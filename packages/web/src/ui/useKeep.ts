import type { InputOf, Kept, RecordKind } from '@wheat-ledger/contract';
import { problemOf, useSaveMutation } from '../app/api';
import { deskSlice } from '../app/slices';
import { useAppDispatch } from '../app/store';

/** Keeps a record that is no form: says it is done with an undo, or why it is not. It gives back what was kept. */
export function useKeep<K extends RecordKind>(kind: K) {
  const [save, { isLoading }] = useSaveMutation();
  const dispatch = useAppDispatch();
  return {
    saving: isLoading,
    keep: async (
      input: InputOf<K>,
      existing: Pick<Kept, 'id' | 'version'> | undefined,
      words: string,
    ): Promise<Kept | undefined> => {
      const result = await save({ kind, input, ...(existing ? { existing } : {}) });
      dispatch(
        deskSlice.actions.noticed(
          result.error
            ? { text: problemOf(result.error).detail, recordId: undefined }
            : { text: words, recordId: result.data.id },
        ),
      );
      return result.data;
    },
  };
}

import type { ChangeInput, InputOf, Kept, RecordKind } from '@wheat-ledger/contract';
import { problemOf } from '../app/api';
import { useChangeMutation } from '../app/changeApi';
import { deskSlice } from '../app/slices';
import { useAppDispatch } from '../app/store';

/** So many changes make one operation. */
const AT_ONCE = 100;
/**
 * Takes many records over, and says how many were; what was refused is said with how far it came.
 * @param what what several are called
 * @param existingOf the record that an input is the newer state of, where they are not all new
 */
export function useTakeOver<K extends RecordKind>(
  kind: K,
  what: string,
  existingOf: (input: InputOf<K>) => Kept | undefined = () => undefined,
) {
  const dispatch = useAppDispatch();
  const [change, { isLoading }] = useChangeMutation();
  const say = (text: string): void => void dispatch(deskSlice.actions.noticed({ text, recordId: undefined }));
  const takeOver = async (inputs: readonly InputOf<K>[]): Promise<boolean> => {
    for (let from = 0; from < inputs.length; from += AT_ONCE) {
      const part = inputs.slice(from, from + AT_ONCE);
      const changes = part.map((input): ChangeInput => {
        const existing = existingOf(input);
        return existing
          ? { kind, action: 'update', id: existing.id, version: existing.version, input }
          : { kind, action: 'create', input };
      });
      const done = await change({ why: `took over ${part.length} ${what}`, changes });
      if (done.error) {
        say(`${problemOf(done.error).detail} ${from} of ${inputs.length} ${what} were taken over.`);
        return false;
      }
    }
    say(`Took over ${inputs.length} ${what}.`);
    return true;
  };
  return { takeOver, say, isLoading };
}

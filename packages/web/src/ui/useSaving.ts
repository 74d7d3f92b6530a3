import { useState } from 'react';
import type { FieldValues } from 'react-hook-form';
import type { InputOf, Kept, RecordKind, RecordOf } from '@wheat-ledger/contract';
import { problemOf, useSaveMutation } from '../app/api';
import { deskSlice } from '../app/slices';
import { useAppDispatch } from '../app/store';
import type { TextForm } from './textForm';

interface Saving<K extends RecordKind, Text extends FieldValues> {
  readonly kind: K;
  readonly existing: Pick<Kept, 'id' | 'version'> | undefined;
  readonly textForm: TextForm<Text>;
  readonly toInput: (text: Text) => InputOf<K>;
  readonly nameOf: (record: RecordOf<K>) => string;
  /** Opens what comes next; only then is the save told, so that nobody types into a form about to go. */
  readonly onSaved: (record: RecordOf<K>) => void | Promise<void>;
}

/** What stands in the way of a save: words, and the newer record when somebody else changed it first. */
export interface SaveTrouble<K extends RecordKind> {
  readonly detail: string;
  readonly newer: RecordOf<K> | undefined;
}

/** Saves a form; a refusal stays beside its fields, a conflict shows both versions, and nothing typed is lost. */
export function useSaving<K extends RecordKind, Text extends FieldValues>({
  kind,
  existing,
  textForm,
  toInput,
  nameOf,
  onSaved,
}: Saving<K, Text>) {
  const [save, { isLoading }] = useSaveMutation();
  const [trouble, setTrouble] = useState<SaveTrouble<K>>();
  const dispatch = useAppDispatch();
  const send = async (text: Text, over: Pick<Kept, 'id' | 'version'> | undefined): Promise<void> => {
    const result = await save({ kind, ...(over ? { existing: over } : {}), input: toInput(text) });
    if (result.error) {
      const problem = problemOf(result.error);
      if (problem.errors) textForm.showProblems(problem.errors);
      setTrouble({
        detail: problem.detail,
        newer: problem.status === 409 ? (problem.current as RecordOf<K> | undefined) : undefined,
      });
      return;
    }
    setTrouble(undefined);
    textForm.forgetDraft();
    const record = result.data as RecordOf<K>;
    await onSaved(record);
    dispatch(deskSlice.actions.noticed({ text: `Saved “${nameOf(record)}”.`, recordId: record.id }));
  };
  return {
    saving: isLoading,
    trouble,
    submit: textForm.form.handleSubmit((text) => send(text, existing)),
    /** Saves over the version somebody else made; the book keeps theirs. */
    saveOver: (newer: Pick<Kept, 'id' | 'version'>) => textForm.form.handleSubmit((text) => send(text, newer))(),
  };
}

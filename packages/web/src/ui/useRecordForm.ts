import type { FormEvent } from 'react';
import type { FieldValues } from 'react-hook-form';
import type { InputOf, Kept, ReadText, RecordKind, RecordOf } from '@wheat-ledger/contract';
import { useSaving } from './useSaving';
import { useTextForm } from './textForm';

interface RecordForm<K extends RecordKind, Text extends FieldValues> {
  readonly kind: K;
  readonly Input: new () => InputOf<K>;
  /** The record that is changed; missing for a new one. */
  readonly record: Pick<Kept, 'id' | 'version'> | undefined;
  readonly saved: Text;
  readonly read: (text: Text) => ReadText & { readonly plain: InputOf<K> };
  /** What the draft of a new record is kept under. */
  readonly draftOfNew?: string;
  /** Which part of the record is edited, where a page shows one only: its draft is its own. */
  readonly part?: string;
  /** What is added when it is saved and not typed. */
  readonly beforeSaving?: (input: InputOf<K>) => InputOf<K>;
  readonly nameOf: (record: RecordOf<K>) => string;
  readonly onSaved: (record: RecordOf<K>) => void | Promise<void>;
}

/** A record as a form of typed text: its draft, its checks, and how it is saved. */
export function useRecordForm<K extends RecordKind, Text extends FieldValues>({
  kind,
  Input,
  record,
  saved,
  read,
  draftOfNew = 'new',
  part,
  beforeSaving = (input) => input,
  nameOf,
  onSaved,
}: RecordForm<K, Text>) {
  const textForm = useTextForm<Text, InputOf<K>>({
    Input,
    saved,
    version: record?.version,
    read,
    draft: `${kind}.${record?.id ?? draftOfNew}${part ? `.${part}` : ''}`,
  });
  const { saving, trouble, submit, saveOver } = useSaving({
    kind,
    textForm,
    existing: record && { id: record.id, version: textForm.base ?? record.version },
    toInput: (text) => beforeSaving(read(text).plain),
    nameOf,
    onSaved,
  });
  return {
    form: textForm.form,
    /** What `EditForm` needs. */
    edit: {
      textForm,
      saving,
      trouble,
      onSubmit: (event: FormEvent) => void submit(event),
      onSaveOver: (newer: Pick<Kept, 'id' | 'version'>) => void saveOver(newer),
    },
  };
}

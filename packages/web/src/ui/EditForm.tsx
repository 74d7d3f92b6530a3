import type { FormEventHandler, ReactNode } from 'react';
import { FormProvider, type FieldValues } from 'react-hook-form';
import { format } from 'date-fns';
import type { RecordKind } from '@wheat-ledger/contract';
import type { SaveTrouble } from './useSaving';
import type { TextForm } from './textForm';

interface EditFormProps<K extends RecordKind, Text extends FieldValues> {
  readonly textForm: TextForm<Text>;
  readonly saving: boolean;
  readonly trouble: SaveTrouble<K> | undefined;
  readonly onSubmit: FormEventHandler;
  readonly onSaveOver: (newer: { readonly id: string; readonly version: number }) => void;
  readonly children: ReactNode;
  /** Further actions beside Save. */
  readonly actions?: ReactNode;
  /** What differs between the newer version and what is typed here, in words. */
  readonly describe: (newer: NonNullable<SaveTrouble<K>['newer']>) => ReactNode;
}

/** The parts every editing form has: the kept draft, the fields, what went wrong, and Save. */
export function EditForm<K extends RecordKind, Text extends FieldValues>({
  textForm,
  saving,
  trouble,
  onSubmit,
  onSaveOver,
  children,
  actions,
  describe,
}: EditFormProps<K, Text>) {
  return (
    <FormProvider {...textForm.form}>
      <form onSubmit={onSubmit} noValidate className="flex flex-col gap-6">
        {textForm.draftFrom && (
          <p
            role="status"
            className="no-print flex flex-wrap items-center gap-3 border-l-4 border-wheat bg-paper px-3 py-2"
          >
            What you typed on {format(new Date(textForm.draftFrom), 'd MMM, HH:mm')} was not saved yet. It is below.
            <button type="button" className="plain" onClick={textForm.discardDraft}>
              Discard it
            </button>
          </p>
        )}
        {children}
        {trouble && (
          <div role="alert" className="border-l-4 border-beet bg-paper px-3 py-2">
            <p>{trouble.detail}</p>
            {trouble.newer && (
              <>
                <div className="my-2 text-[0.9375rem]">{describe(trouble.newer)}</div>
                <button type="button" className="action" onClick={() => trouble.newer && onSaveOver(trouble.newer)}>
                  Save mine over it
                </button>
              </>
            )}
          </div>
        )}
        <div className="no-print flex flex-wrap gap-2 border-t border-rule pt-3">
          <button type="submit" className="action main" disabled={saving}>
            {saving ? 'Saving …' : 'Save'}
          </button>
          {actions}
        </div>
      </form>
    </FormProvider>
  );
}

/** A part of a sheet with a ruled heading. */
export const FormPart = ({ title, children, hint }: { title: string; children: ReactNode; hint?: string }) => (
  <section className="break-inside-avoid">
    <h2 className="mb-2 border-b border-line-strong pb-1 text-lg">
      {title}
      {hint && <span className="ml-3 font-sans text-sm font-normal text-faint">{hint}</span>}
    </h2>
    {children}
  </section>
);

import { useCallback, useEffect, useId, type ChangeEvent, type ComponentProps, type ReactNode } from 'react';
import { get, useController, useFormContext } from 'react-hook-form';
import { printDay, readDate, writtenPlainly } from '@wheat-ledger/core';
import { settingsSlice } from '../app/slices';
import { useAppDispatch, useAppSelector } from '../app/store';
import { Term } from '../glossary/Term';
import type { TermKey } from '../glossary/terms';

interface FieldProps {
  readonly name: string;
  readonly label: string;
  /** Keeps the label for screen readers only, where a column heading says it. */
  readonly bare?: boolean;
  readonly hint?: ReactNode;
  /** The word of the label that may need explaining. */
  readonly term?: TermKey;
  readonly className?: string;
}

/** The message beside a field: what was read and what was expected. */
function useFieldMessage(name: string): string | undefined {
  const { formState } = useFormContext();
  const error: unknown = get(formState.errors, name);
  return error && typeof error === 'object' && 'message' in error && typeof error.message === 'string'
    ? error.message
    : undefined;
}

/** Where a typed number could be two, a factor of a thousand apart: both to choose from, once; the answer holds for all that is typed after. */
function WhichNumber({ name }: { name: string }) {
  const { getValues, setValue } = useFormContext();
  const known = useAppSelector((s) => s.settings.decimalMark);
  const dispatch = useAppDispatch();
  const typed: unknown = getValues(name);
  const text = typeof typed === 'string' ? typed : '';
  const write = useCallback(
    (plain: string) => setValue(name, plain, { shouldDirty: true, shouldValidate: true }),
    [name, setValue],
  );
  useEffect(() => {
    const plain = known && writtenPlainly(text, known);
    if (plain !== undefined && plain !== text) write(plain);
  }, [known, text, write]);
  const readings = (['point', 'comma'] as const).map((mark) => ({ mark, plain: writtenPlainly(text, mark) }));
  if (known || readings.every(({ plain }) => plain === text)) return null;
  return (
    <span className="ml-1 inline-flex gap-2">
      {readings.map(({ mark, plain }) => (
        <button
          key={mark}
          type="button"
          className="plain"
          onClick={() => {
            dispatch(settingsSlice.actions.changed({ decimalMark: mark }));
            write(plain);
          }}
        >
          {plain}
        </button>
      ))}
    </span>
  );
}

function Shell({
  name,
  label,
  bare = false,
  hint,
  term,
  className = '',
  children,
}: FieldProps & {
  children: (control: { id: string; 'aria-invalid': boolean; 'aria-describedby': string | undefined }) => ReactNode;
}) {
  const id = useId();
  const message = useFieldMessage(name);
  const describes = message ? `${id}-message` : hint ? `${id}-hint` : undefined;
  return (
    <div className={className}>
      <span className={bare ? 'sr-only' : 'flex gap-1.5 text-sm text-faint'}>
        <label htmlFor={id}>{label}</label>
        {term && (
          <Term of={term}>
            <span aria-hidden="true">?</span>
            <span className="sr-only">What is {label}?</span>
          </Term>
        )}
      </span>
      {children({ id, 'aria-invalid': message !== undefined, 'aria-describedby': describes })}
      {message ? (
        <div id={`${id}-message`} className="mt-0.5 text-sm text-beet">
          {message}
          <WhichNumber name={name} />
        </div>
      ) : (
        hint && (
          <p id={`${id}-hint`} className="mt-0.5 text-sm text-faint">
            {hint}
          </p>
        )
      )}
    </div>
  );
}

type TextFieldProps = FieldProps & Pick<ComponentProps<'input'>, 'placeholder' | 'inputMode' | 'autoFocus' | 'list'>;
export function TextField({ placeholder, inputMode, autoFocus, list, ...field }: TextFieldProps) {
  const { register } = useFormContext();
  return (
    <Shell {...field}>
      {(control) => (
        <input
          {...control}
          {...register(field.name)}
          className="field"
          autoComplete="off"
          {...{ placeholder, inputMode, autoFocus, list }}
        />
      )}
    </Shell>
  );
}

const ISO = /^\d{4}-\d\d-\d\d$/;
/** A day, typed as people write it and shown as every day is. */
export function DayField(field: FieldProps) {
  const { field: typed } = useController({ name: field.name });
  const text = String(typed.value ?? '');
  const settle = (): void => {
    typed.onBlur();
    const read = readDate(text);
    if (read && read !== text) typed.onChange(read);
  };
  return (
    <Shell {...field}>
      {(control) => (
        <input
          {...control}
          {...typed}
          value={ISO.test(text) ? printDay(text) : text}
          onBlur={settle}
          className="field"
          autoComplete="off"
          placeholder="14 Mar 2026"
        />
      )}
    </Shell>
  );
}

export function LongField({
  rows = 2,
  placeholder,
  ...field
}: FieldProps & Pick<ComponentProps<'textarea'>, 'rows' | 'placeholder'>) {
  const { register } = useFormContext();
  return (
    <Shell {...field}>
      {(control) => (
        <textarea {...control} {...register(field.name)} rows={rows} placeholder={placeholder} className="field" />
      )}
    </Shell>
  );
}

export interface Option {
  readonly value: string;
  readonly text: string;
}
export function SelectField({
  options,
  onChosen,
  ...field
}: FieldProps & { options: readonly Option[]; onChosen?: (value: string) => void }) {
  const { register } = useFormContext();
  return (
    <Shell {...field}>
      {(control) => (
        <select
          {...control}
          {...register(
            field.name,
            onChosen ? { onChange: (e: ChangeEvent<HTMLSelectElement>) => onChosen(e.target.value) } : {},
          )}
          className="field"
        >
          {options.map((o) => (
            <option key={o.value} value={o.value}>
              {o.text}
            </option>
          ))}
        </select>
      )}
    </Shell>
  );
}

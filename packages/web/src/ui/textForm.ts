import { useCallback, useEffect, useRef, useState } from 'react';
import {
  set,
  useForm,
  type DefaultValues,
  type FieldErrors,
  type FieldValues,
  type Path,
  type Resolver,
  type UseFormReturn,
} from 'react-hook-form';
import { typedPath, validateInput, type FieldProblem, type ReadText } from '@wheat-ledger/contract';
import { readKept, writeKept } from '../app/keep';

/** A problem's path as that of the field that was typed: `analysis.2.value.low` belongs to the text at `analysis.2.value`, and what no field has, such as `offers.1.unit`, to the row's first. */
export function fieldPath(path: string, typed: unknown): string {
  let at: unknown = typed;
  const taken: string[] = [];
  for (const step of path.split('.')) {
    if (typeof at !== 'object' || at === null || !(step in at)) break;
    taken.push(step);
    at = (at as Record<string, unknown>)[step];
  }
  if (taken.length > 1 && typeof at === 'object' && at !== null && !Array.isArray(at))
    taken.push(...Object.keys(at).slice(0, 1));
  return taken.join('.') || path;
}

export function toFieldErrors<Text extends FieldValues>(
  problems: readonly FieldProblem[],
  typed: Text,
): FieldErrors<Text> {
  const errors: FieldErrors<Text> = {};
  for (const { path, message } of [...problems].reverse())
    set(errors, fieldPath(path, typed), { type: 'contract', message });
  return errors;
}

/** Validates typed text with the contract class the server uses. */
const textResolver =
  <Text extends FieldValues, Input extends object>(
    Input: new () => Input,
    read: (text: Text) => ReadText,
  ): Resolver<Text> =>
  (text) => {
    const { plain, problems, rows } = read(text);
    if (problems.length > 0) return { values: {}, errors: toFieldErrors(problems, text) };
    const result = validateInput(Input, plain);
    if (result.ok) return { values: text, errors: {} };
    return {
      values: {},
      errors: toFieldErrors(
        result.problems.map((p) => ({ ...p, path: typedPath(p.path, rows) })),
        text,
      ),
    };
  };

interface Draft<Text> {
  readonly text: Text;
  readonly at: string;
  readonly version: number | undefined;
}

interface TextFormOptions<Text, Input> {
  readonly Input: new () => Input;
  readonly saved: Text;
  readonly version: number | undefined;
  readonly read: (text: Text) => ReadText;
  /** Name under which unsaved typing is kept in this browser. */
  readonly draft: string;
}

export interface TextForm<Text extends FieldValues> {
  readonly form: UseFormReturn<Text>;
  /** When the draft that was found had been typed, while it is on the form. */
  readonly draftFrom: string | undefined;
  /** The version the form was opened on. */
  readonly base: number | undefined;
  readonly discardDraft: () => void;
  readonly forgetDraft: () => void;
  /** Puts the server's own refusals beside their fields. */
  readonly showProblems: (problems: readonly FieldProblem[]) => void;
}

/** A form of typed text over a contract class. Unsaved typing survives a reload, a closed tab and a server that is away. */
export function useTextForm<Text extends FieldValues, Input extends object>({
  Input,
  saved,
  version,
  read,
  draft,
}: TextFormOptions<Text, Input>): TextForm<Text> {
  const key = `draft.${draft}`;
  const [found] = useState(() => {
    const kept = readKept<Draft<Text>>(key);
    // A draft may be older than a field of the form.
    return kept && { ...kept, text: { ...saved, ...kept.text } };
  });
  const [draftFrom, setDraftFrom] = useState(found?.at);
  // A draft keeps the version it was typed over, so that saving it cannot silently undo what others changed since.
  const [held, setHeld] = useState<Pick<Draft<Text>, 'version'> | undefined>(found);
  const base = held ? held.version : version;
  const form = useForm<Text>({
    defaultValues: saved as DefaultValues<Text>,
    resolver: textResolver(Input, read),
    mode: 'onTouched',
  });
  const { reset, watch, setError } = form;

  useEffect(() => {
    if (found) reset(found.text, { keepDefaultValues: true });
  }, [found, reset]);

  const silent = useRef(false);
  useEffect(() => {
    const watching = watch((text) => {
      if (silent.current) return;
      setHeld((before) => before ?? { version });
      writeKept(key, { text, at: new Date().toISOString(), version: base } satisfies Draft<unknown>);
    });
    return () => watching.unsubscribe();
  }, [watch, key, base, version]);

  const forgetDraft = useCallback(() => {
    writeKept(key, undefined);
    setDraftFrom(undefined);
    setHeld(undefined);
  }, [key]);
  const discardDraft = useCallback(() => {
    silent.current = true;
    reset(saved);
    silent.current = false;
    forgetDraft();
  }, [reset, saved, forgetDraft]);
  const showProblems = useCallback(
    (problems: readonly FieldProblem[]) => {
      const typed = form.getValues();
      const { rows } = read(typed);
      for (const { path, message } of problems)
        setError(
          fieldPath(typedPath(path, rows), typed) as Path<Text>,
          { type: 'server', message },
          { shouldFocus: true },
        );
    },
    [form, setError, read],
  );
  return { form, draftFrom, base, discardDraft, forgetDraft, showProblems };
}

import { given, Reader, whenTyped, type ReadText, type StudyInput } from '@wheat-ledger/contract';
import { typedNumber, type SpreadKind, type StudyResult } from '@wheat-ledger/core';

const RESULT_FIELDS = [
  'treated',
  'control',
  'nTreated',
  'nControl',
  'first',
  'second',
  'treatedEvents',
  'controlEvents',
] as const;
type ResultField = (typeof RESULT_FIELDS)[number];

/** A study as a person types it. */
export interface StudyText extends Omit<StudyInput, 'year' | 'doseMultiple' | 'result' | 'trial'> {
  trial: string;
  year: string;
  doseMultiple: string;
  result: { kind: StudyResult['kind']; spread: SpreadKind } & Record<ResultField, string>;
}

export const studyText = ({ year, doseMultiple, result, trial, ...rest }: StudyInput): StudyText => ({
  ...rest,
  trial: trial ?? '',
  year: typedNumber(year),
  doseMultiple: typedNumber(doseMultiple),
  result: {
    kind: result.kind,
    spread: result.spread ?? 'sd',
    ...(Object.fromEntries(RESULT_FIELDS.map((key) => [key, typedNumber(result[key])])) as Record<ResultField, string>),
  },
});

const ASKED: Readonly<Record<StudyResult['kind'], readonly ResultField[]>> = {
  means: ['treated', 'control', 'nTreated', 'nControl', 'first', 'second'],
  counts: ['treatedEvents', 'nTreated', 'controlEvents', 'nControl'],
  words: [],
};
/** Reads a typed study; of the result only what its kind asks for. */
export function readStudy(text: StudyText): ReadText & { readonly plain: StudyInput } {
  const read = new Reader();
  const number = (path: string, typed: string): number | undefined => whenTyped(typed, () => read.number(path, typed));
  const { kind, spread } = text.result;
  const numbers = Object.fromEntries(
    ASKED[kind].flatMap((key) => {
      const value = number(`result.${key}`, text.result[key]);
      return value === undefined ? [] : [[key, value]];
    }),
  );
  const { title, authors, source, doi, design, control, randomised, blinded, funding, likeHere, sameOutcome } = text;
  const plain: StudyInput = {
    title: title.trim(),
    authors: authors.trim(),
    ...given('year', number('year', text.year)),
    source: source.trim(),
    doi: doi.trim(),
    design,
    control,
    randomised,
    blinded,
    funding,
    ...given('doseMultiple', number('doseMultiple', text.doseMultiple)),
    likeHere,
    sameOutcome,
    result: { kind, ...(kind === 'means' ? { spread } : {}), ...numbers },
    ...given('trial', text.trial.trim() || undefined),
    sample: text.sample,
    note: text.note.trim(),
  };
  return { plain, problems: read.problems };
}

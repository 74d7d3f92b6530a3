import { IsBoolean } from 'class-validator';
import {
  FUNDINGS,
  SPREAD_KINDS,
  STUDY_CONTROLS,
  STUDY_DESIGNS,
  YES_NO_UNKNOWN,
  type Funding,
  type SpreadKind,
  type Study,
  type StudyControl,
  type StudyDesign,
  type StudyResult,
  type YesNoUnknown,
} from '@wheat-ledger/core';
import { Maybe, NumberBetween, OneOf, Part, Text } from './decorators.js';
import type { FieldProblem } from './validate.js';

/** What a study found, as one of three kinds; which fields it has depends on that. */
export class StudyResultInput {
  @OneOf(['means', 'counts', 'words'], 'a kind of result')
  kind!: StudyResult['kind'];

  @Maybe()
  @NumberBetween(-1e9, 1e9, 'a mean of the treated')
  treated?: number;

  @Maybe()
  @NumberBetween(-1e9, 1e9, 'a mean of the control')
  control?: number;

  @Maybe()
  @NumberBetween(1, 1e7, 'how many treated')
  nTreated?: number;

  @Maybe()
  @NumberBetween(1, 1e7, 'how many untreated')
  nControl?: number;

  @Maybe()
  @OneOf(SPREAD_KINDS, 'how the spread is given')
  spread?: SpreadKind;

  @Maybe()
  @NumberBetween(-1e9, 1e9, 'a spread')
  first?: number;

  @Maybe()
  @NumberBetween(-1e9, 1e9, 'a spread')
  second?: number;

  @Maybe()
  @NumberBetween(0, 1e7, 'how many of the treated')
  treatedEvents?: number;

  @Maybe()
  @NumberBetween(0, 1e7, 'how many of the untreated')
  controlEvents?: number;
}

/** A study as it is kept: what it is cited by, how it was made, and what it found. */
export class StudyInput {
  @Text(1, 500, 'a title')
  title!: string;

  @Text(0, 500, 'who wrote it')
  authors!: string;

  @Maybe()
  @NumberBetween(1500, 2200, 'a year')
  year?: number;

  @Text(0, 300, 'where it stands')
  source!: string;

  @Text(0, 200, 'a DOI')
  doi!: string;

  @OneOf(STUDY_DESIGNS, 'a design')
  design!: StudyDesign;

  @OneOf(STUDY_CONTROLS, 'a control')
  control!: StudyControl;

  @OneOf(YES_NO_UNKNOWN, 'yes, no or unknown')
  randomised!: YesNoUnknown;

  @OneOf(YES_NO_UNKNOWN, 'yes, no or unknown')
  blinded!: YesNoUnknown;

  @OneOf(FUNDINGS, 'who paid for it')
  funding!: Funding;

  /** Dose as a multiple of the label rate. */
  @Maybe()
  @NumberBetween(0.001, 1e5, 'a multiple of the label rate')
  doseMultiple?: number;

  @OneOf(YES_NO_UNKNOWN, 'yes, no or unknown')
  likeHere!: YesNoUnknown;

  @OneOf(YES_NO_UNKNOWN, 'yes, no or unknown')
  sameOutcome!: YesNoUnknown;

  @Part(() => StudyResultInput, 'what it found')
  result!: StudyResultInput;

  /** The trial it is an arm of, where others share its control. */
  @Maybe()
  @Text(0, 120, 'the trial')
  trial?: string;

  /** Invented for the sample. */
  @IsBoolean({ message: 'Expected yes or no.' })
  sample!: boolean;

  @Text(0, 4000, 'a note')
  note!: string;
}

/** A study that nothing is known of yet but what it is cited by. */
export const blankStudy = (title: string): StudyInput => ({
  title,
  authors: '',
  source: '',
  doi: '',
  design: 'field',
  control: 'nothing',
  randomised: 'unknown',
  blinded: 'unknown',
  funding: 'unknown',
  likeHere: 'unknown',
  sameOutcome: 'unknown',
  result: { kind: 'words' },
  sample: false,
  note: '',
});

/** What was found, with all that its kind needs; undefined where something is missing. */
function toResult(r: StudyResultInput): StudyResult | undefined {
  const { treated, control, nTreated, nControl, spread, first, second, treatedEvents, controlEvents } = r;
  switch (r.kind) {
    case 'words':
      return { kind: 'words' };
    case 'counts':
      return treatedEvents === undefined || controlEvents === undefined || !nTreated || !nControl
        ? undefined
        : { kind: 'counts', treatedEvents, controlEvents, nTreated, nControl };
    case 'means':
      return treated === undefined || control === undefined || !nTreated || !nControl || !spread || first === undefined
        ? undefined
        : { kind: 'means', treated, control, nTreated, nControl, spread, first, second: second ?? 0 };
  }
}

/** How a study is called for short. @example studyName({ authors: 'Oak A.; Elm B.', year: 2019, title: '…' }) // 'Oak A. and others 2019' */
export function studyName({ authors, year, title }: Pick<StudyInput, 'authors' | 'year' | 'title'>): string {
  const [first = '', ...others] = authors.split(/\s*;\s*/).filter(Boolean);
  const who = first === '' ? title.slice(0, 60) : others.length > 0 ? `${first} and others` : first;
  return year === undefined ? who : `${who} ${year}`;
}

/** A study as the core weighs it. @param leftOut why it does not count for a claim */
export const toStudy = (input: StudyInput, id: string, leftOut?: string): Study => ({
  id,
  name: studyName(input),
  design: input.design,
  control: input.control,
  randomised: input.randomised,
  blinded: input.blinded,
  funding: input.funding,
  doseMultiple: input.doseMultiple,
  likeHere: input.likeHere,
  sameOutcome: input.sameOutcome,
  result: toResult(input.result) ?? { kind: 'words' },
  trial: input.trial,
  leftOut: leftOut?.trim() ? leftOut.trim() : undefined,
  sample: input.sample,
});

const problem = (path: string, message: string): FieldProblem => ({ path: `result.${path}`, message });
/** More events than units. */
function countProblems({
  treatedEvents = 0,
  nTreated = 0,
  controlEvents = 0,
  nControl = 0,
}: StudyResultInput): readonly FieldProblem[] {
  const arm = (path: string, events: number, n: number): readonly FieldProblem[] =>
    events > n ? [problem(path, `Read ${events} of ${n}, expected at most all.`)] : [];
  return [...arm('treatedEvents', treatedEvents, nTreated), ...arm('controlEvents', controlEvents, nControl)];
}
/** A spread that cannot be one. */
function spreadProblems({ spread, first = 0, second }: StudyResultInput): readonly FieldProblem[] {
  switch (spread) {
    case 'p':
      return first > 0 && first < 1 ? [] : [problem('first', `Read ${first}, expected a p between 0 and 1.`)];
    case 'interval':
      if (second === undefined) return [problem('second', 'Expected the high end too.')];
      return second > first
        ? []
        : [problem('second', `Read ${first} to ${second}, expected the low end before the high one.`)];
    case 'sd':
    case 'se':
    case 'lsd':
    case undefined:
      return [
        ...(first < 0 ? [problem('first', `Read ${first}, expected a spread of zero or more.`)] : []),
        ...(spread !== 'lsd' && second === undefined
          ? [problem('second', 'Expected the spread of the control too.')]
          : []),
      ];
  }
}
/** What no field's own rule can see: a result that lacks what its kind needs, more events than units, bounds the wrong way round. */
export function studyProblems({ result }: Pick<StudyInput, 'result'>): readonly FieldProblem[] {
  if (!toResult(result))
    return [
      problem(
        'kind',
        result.kind === 'counts'
          ? 'Expected how many had it, and of how many, in both arms.'
          : 'Expected both means, how many units each, and one measure of spread.',
      ),
    ];
  switch (result.kind) {
    case 'counts':
      return countProblems(result);
    case 'means':
      return spreadProblems(result);
    case 'words':
      return [];
  }
}

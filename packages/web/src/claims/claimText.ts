import {
  blankDirection,
  directionText,
  given,
  rangeText,
  readDirection,
  Reader,
  rowsWith,
  toDirection,
  whenTyped,
  type CheckNoteInput,
  type ClaimInput,
  type DirectionText,
  type LabSlipInput,
  type ReadText,
  type StakeInput,
} from '@wheat-ledger/contract';
import {
  CHECKS,
  typedNumber,
  type Answer,
  type CheckKey,
  type Condition,
  type Interest,
  type Nutrient,
  type Verdict,
} from '@wheat-ledger/core';

export interface ConditionText {
  condition: string;
  holds: 'yes' | 'no';
}
export interface ClaimStudyText {
  studyId: string;
  leftOut: string;
}
export interface SearchText {
  where: string;
  on: string;
  words: string;
  found: string;
}
/** What is said of one check; without an answer it is only a note. */
export interface NoteText {
  answer: string;
  reason: string;
}
export interface SlipText {
  nutrient: string;
  found: string;
  error: string;
  lot: string;
  on: string;
  laboratory: string;
}
export interface StakeText {
  base: string;
  value: string;
  currency: string;
  area: string;
  seasons: string;
  units: string;
  /** Per cent. */
  cv: string;
}
/** A claim as a person types it; `needs` are the boxes ticked. */
export interface ClaimText {
  statement: string;
  saidBy: string;
  productId: string;
  crop: string;
  needs: string[];
  kind: string;
  countable: string;
  /** Per cent. */
  gain: string;
  less: boolean;
  interest: string;
  conditions: ConditionText[];
  studies: ClaimStudyText[];
  searches: SearchText[];
  /** A verdict of one’s own; empty where there is none. */
  overrule: string;
  because: string;
  notes: Record<CheckKey, NoteText>;
  /** A dose of one’s own; empty where the label’s counts. */
  rate: DirectionText;
  slips: SlipText[];
  /** Per cent. */
  tolerance: string;
  stake: StakeText;
}

const notesText = (notes: readonly CheckNoteInput[]): Record<CheckKey, NoteText> =>
  Object.fromEntries(
    CHECKS.map(({ key }) => {
      const note = notes.find((n) => n.check === key);
      return [key, { answer: note?.answer ?? '', reason: note?.reason ?? '' }];
    }),
  ) as Record<CheckKey, NoteText>;
export const blankSlip = (nutrient = 'N'): SlipText => ({
  nutrient,
  found: '',
  error: '',
  lot: '',
  on: '',
  laboratory: '',
});
const percentText = (share: number | undefined): string =>
  share === undefined ? '' : typedNumber(Number((share * 100).toPrecision(6)));
const stakeText = (s: StakeInput | undefined): StakeText => ({
  base: rangeText(s?.baseKgPerM2),
  value: rangeText(s?.valuePerKg),
  currency: s?.currency ?? 'EUR',
  area: typedNumber(s?.areaM2),
  seasons: typedNumber(s?.seasons),
  units: typedNumber(s?.units),
  cv: percentText(s?.cv),
});

export const blankClaim = (crop: string): ClaimText => ({
  statement: '',
  saidBy: '',
  productId: '',
  crop,
  needs: [],
  kind: '',
  countable: '',
  gain: '',
  less: false,
  interest: 'unknown',
  conditions: [],
  studies: [],
  searches: [],
  overrule: '',
  because: '',
  notes: notesText([]),
  rate: blankDirection(),
  slips: [],
  tolerance: '',
  stake: stakeText(undefined),
});

export const claimText = (c: ClaimInput): ClaimText => ({
  statement: c.statement,
  saidBy: c.saidBy,
  productId: c.productId,
  crop: c.crop,
  needs: [...c.needs],
  kind: c.kind ?? '',
  countable: c.countable ?? '',
  gain: percentText(c.gain),
  less: c.less ?? false,
  interest: c.interest ?? 'unknown',
  conditions: (c.conditions ?? []).map(({ condition, holds }) => ({ condition, holds: holds ? 'yes' : 'no' })),
  studies: (c.studies ?? []).map(({ studyId, leftOut }) => ({ studyId, leftOut })),
  searches: (c.searches ?? []).map(({ where, on, words, found }) => ({ where, on, words, found })),
  overrule: c.overrule?.verdict ?? '',
  because: c.overrule?.reason ?? '',
  notes: notesText(c.notes ?? []),
  rate: c.rate ? directionText(toDirection(c.rate)) : blankDirection(),
  slips: (c.slips ?? []).map(({ nutrient, found, error, lot, on, laboratory }) => ({
    nutrient,
    found: typedNumber(found),
    error: typedNumber(error),
    lot,
    on: on ?? '',
    laboratory,
  })),
  tolerance: percentText(c.tolerance),
  stake: stakeText(c.stake),
});

const some = <T>(list: readonly T[]): T[] | undefined => (list.length > 0 ? [...list] : undefined);
/** A share typed in per cent; undefined where nothing was. */
const readPercent = (read: Reader, path: string, text: string): number | undefined => {
  const percent = whenTyped(text, () => read.number(path, text.replace('%', '')));
  return percent === undefined ? undefined : percent / 100;
};
const readNotes = (notes: Readonly<Record<CheckKey, NoteText>>): CheckNoteInput[] =>
  CHECKS.flatMap(({ key: check }) => {
    const { answer, reason } = notes[check];
    if (answer === '' && reason.trim() === '') return [];
    return [{ check, ...given('answer', answer === '' ? undefined : (answer as Answer)), reason: reason.trim() }];
  });
function readSlips(read: Reader, rows: readonly (readonly [SlipText, number])[]): LabSlipInput[] {
  return rows.flatMap(([s, i]): LabSlipInput[] => {
    const at = (field: keyof SlipText): string => `slips.${i}.${field}`;
    const found = read.number(at('found'), s.found);
    const error = whenTyped(s.error, () => read.number(at('error'), s.error.replace('±', '')));
    const on = whenTyped(s.on, () => read.day(at('on'), s.on));
    if (found === undefined) return [];
    const said = { lot: s.lot.trim(), laboratory: s.laboratory.trim() };
    return [{ nutrient: s.nutrient as Nutrient, found, ...given('error', error), ...said, ...given('on', on) }];
  });
}
/** What is at stake; nothing until yield and value are there. */
function readStake(read: Reader, text: StakeText): StakeInput | undefined {
  const baseKgPerM2 = read.range('stake.base', text.base);
  const valuePerKg = read.range('stake.value', text.value);
  const number = (field: keyof StakeText): number | undefined =>
    whenTyped(text[field], () => read.number(`stake.${field}`, text[field]));
  const rest = {
    ...given('areaM2', number('area')),
    ...given('seasons', number('seasons')),
    ...given('units', number('units')),
    ...given('cv', readPercent(read, 'stake.cv', text.cv)),
  };
  if (!baseKgPerM2 || !valuePerKg) return undefined;
  return { baseKgPerM2, valuePerKg, currency: text.currency.trim().toUpperCase(), ...rest };
}

/** Reads a typed claim; rows in which nothing was typed are left out. */
export function readClaim(text: ClaimText): ReadText & { readonly plain: ClaimInput } {
  const read = new Reader();
  if (text.productId === '') read.refuse('productId', 'Expected the bag this is said of.');
  const gain = readPercent(read, 'gain', text.gain);
  const slips = rowsWith(text.slips, (s) => s.found.trim() !== '' || s.lot.trim() !== '');
  const rate =
    text.rate.amount.trim() === '' ? undefined : readDirection(read, { ...text.rate, use: '' }, 'rate', false);
  const searches = rowsWith(text.searches, (s) => s.where.trim() !== '' || s.words.trim() !== '');
  const plain: ClaimInput = {
    statement: text.statement.trim(),
    saidBy: text.saidBy.trim(),
    productId: text.productId,
    crop: text.crop,
    needs: text.needs as Nutrient[],
    ...given('kind', text.kind === '' ? undefined : text.kind),
    ...given('countable', text.countable.trim() || undefined),
    ...given('gain', gain),
    ...given('less', text.less || undefined),
    ...given('interest', text.interest === 'unknown' ? undefined : (text.interest as Interest)),
    ...given(
      'conditions',
      some(
        text.conditions
          .filter((c) => c.condition !== '')
          .map(({ condition, holds }) => ({ condition: condition as Condition, holds: holds === 'yes' })),
      ),
    ),
    ...given(
      'studies',
      some(text.studies.filter((s) => s.studyId !== '').map((s) => ({ ...s, leftOut: s.leftOut.trim() }))),
    ),
    ...given(
      'searches',
      some(
        searches.map(([s, i]) => ({
          where: s.where.trim(),
          on: read.day(`searches.${i}.on`, s.on) ?? '',
          words: s.words.trim(),
          found: s.found.trim(),
        })),
      ),
    ),
    ...given(
      'overrule',
      text.overrule === '' ? undefined : { verdict: text.overrule as Verdict, reason: text.because.trim() },
    ),
    ...given('notes', some(readNotes(text.notes))),
    ...given('rate', rate),
    ...given('slips', some(readSlips(read, slips))),
    ...given('tolerance', readPercent(read, 'tolerance', text.tolerance)),
    ...given('stake', readStake(read, text.stake)),
  };
  const rows = { searches: searches.map(([, i]) => i), slips: slips.map(([, i]) => i) };
  return { plain, problems: read.problems, rows };
}

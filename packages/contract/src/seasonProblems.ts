import type { CropInput, RangeInput } from './crop.js';
import type { ApplicationInput, ProgrammeInput } from './programme.js';
import type { SeasonInput } from './season.js';
import type { FieldProblem } from './validate.js';

const inOrder = (path: string, range: RangeInput | undefined | null): FieldProblem[] =>
  range && !(range.low <= range.mid && range.mid <= range.high)
    ? [{ path, message: `Read ${range.low}, ${range.mid} and ${range.high}, expected the least, the usual, the most.` }]
    : [];

const later = (path: string, low: number | undefined, high: number | undefined, words: string): FieldProblem[] =>
  low !== undefined && high !== undefined && low >= high
    ? [{ path, message: `Read ${low} and ${high}, expected ${words}.` }]
    : [];

const each = <T>(
  path: string,
  list: readonly T[] | undefined,
  of: (entry: T, path: string) => FieldProblem[],
): FieldProblem[] => (list ?? []).flatMap((entry, i) => of(entry, `${path}.${i}`));

/** What single fields of a crop cannot see: ranges out of order, ends before beginnings, an element twice. */
export function cropProblems(crop: CropInput): readonly FieldProblem[] {
  const { course } = crop;
  const twice = (path: 'uptakeKgPerHa' | 'removedKgPerT'): FieldProblem[] => {
    const seen = new Set<string>();
    return each(path, crop[path], ({ nutrient }, at) => {
      if (seen.has(nutrient)) return [{ path: `${at}.nutrient`, message: `${nutrient} is there twice.` }];
      seen.add(nutrient);
      return [];
    });
  };
  return [
    ...inOrder('yieldTPerHa', crop.yieldTPerHa),
    ...inOrder('rootingM', crop.rootingM),
    ...each('uptakeKgPerHa', crop.uptakeKgPerHa, (entry, path) => inOrder(path, entry)),
    ...each('removedKgPerT', crop.removedKgPerT, (entry, path) => inOrder(path, entry)),
    ...twice('uptakeKgPerHa'),
    ...twice('removedKgPerT'),
    ...each('tissue', crop.tissue, (band, path) =>
      later(path, band.lowPercent, band.highPercent, 'the lower end first'),
    ),
    ...later('pHHigh', crop.pHLow, crop.pHHigh, 'the lower pH first'),
    ...(course?.kind === 'warmth'
      ? later(
          'course.endDegreeDays',
          course.halfDegreeDays,
          course.endDegreeDays,
          'more warmth at the end than half way',
        )
      : []),
    ...(course?.kind === 'yearly' && !course.months?.some((m) => m > 0)
      ? [{ path: 'course.months', message: 'Read twelve months of nothing, expected one above zero.' }]
      : []),
  ];
}

/** A season does not end before it begins. */
export const seasonProblems = ({ from, to }: SeasonInput): readonly FieldProblem[] =>
  to !== undefined && to !== null && to < from
    ? [{ path: 'to', message: `Read ${to}, expected a day after ${from}, when it begins.` }]
    : [];

function applicationProblems({ amount, when, where }: ApplicationInput, path: string): FieldProblem[] {
  const { least, amount: most } = amount;
  const { from, to } = when;
  return [
    ...(least !== undefined && least !== null && most !== undefined && least > most
      ? [{ path: `${path}.amount.least`, message: `Read ${least}, expected no more than ${most}, the most of it.` }]
      : []),
    ...inOrder(`${path}.amount.count`, amount.count),
    ...inOrder(`${path}.amount.thicknessM`, amount.thicknessM),
    ...inOrder(`${path}.amount.water.litres`, amount.water?.litres),
    ...(when.kind === 'repeat' && from !== undefined && to !== undefined && to < from
      ? [{ path: `${path}.when.to`, message: `Read ${to}, expected a day after ${from}, when it begins.` }]
      : []),
    ...(where.kind === 'ring'
      ? later(`${path}.where.outerM`, where.innerM, where.outerM, 'an outer edge beyond the inner one')
      : []),
  ];
}

/** What single fields of a programme cannot see. */
export const programmeProblems = ({ applications }: ProgrammeInput): readonly FieldProblem[] =>
  each('applications', applications, applicationProblems);

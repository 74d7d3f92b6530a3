import {
  given,
  rangeText,
  Reader,
  whenTyped,
  type AgeTableInput,
  type CropInput,
  type NutrientRangeInput,
  type ReadText,
} from '@wheat-ledger/contract';
import {
  formatGiven,
  libraryCrop,
  parseAgeRows,
  parseQuantity,
  parseTissueBands,
  printAgeRows,
  printTissueBands,
  type Crop,
  type Nutrient,
  type ParsedLines,
} from '@wheat-ledger/core';

/** Elements that have a field of their own. */
export const CROP_NUTRIENTS = ['N', 'P', 'K', 'Ca', 'Mg', 'S'] as const satisfies readonly Nutrient[];
type Typed = Record<(typeof CROP_NUTRIENTS)[number], string>;

/** An own crop as a person types it; what is blank is the library's. */
export interface CropText {
  name: string;
  basedOn: string;
  yield: string;
  uptake: Typed;
  removed: Typed;
  pHLow: string;
  pHHigh: string;
  row: string;
  plant: string;
  rooting: string;
  saltThreshold: string;
  saltSlope: string;
  /** A line for each element. */
  tissue: string;
  ageGrade: string;
  ageCap: string;
  /** A line for each row. */
  ages: string;
  note: string;
}

const NONE: Typed = { N: '', P: '', K: '', Ca: '', Mg: '', S: '' };
export const blankCrop = (basedOn: string): CropText => ({
  name: '',
  basedOn,
  yield: '',
  uptake: NONE,
  removed: NONE,
  pHLow: '',
  pHHigh: '',
  row: '',
  plant: '',
  rooting: '',
  saltThreshold: '',
  saltSlope: '',
  tissue: '',
  ageGrade: '',
  ageCap: '',
  ages: '',
  note: '',
});

const typedOf = (list: readonly NutrientRangeInput[] | undefined): Typed =>
  Object.fromEntries(CROP_NUTRIENTS.map((n) => [n, rangeText(list?.find((e) => e.nutrient === n))])) as Typed;
const plain = (value: number | undefined): string => (value === undefined ? '' : formatGiven(value));
const metres = (value: number | undefined): string => (value === undefined ? '' : `${formatGiven(value)} m`);

export const cropText = (c: CropInput): CropText => ({
  name: c.name,
  basedOn: c.basedOn ?? '',
  yield: rangeText(c.yieldTPerHa),
  uptake: typedOf(c.uptakeKgPerHa),
  removed: typedOf(c.removedKgPerT),
  pHLow: plain(c.pHLow),
  pHHigh: plain(c.pHHigh),
  row: metres(c.rowM),
  plant: metres(c.plantM),
  rooting: c.rootingM ? `${rangeText(c.rootingM)} m` : '',
  saltThreshold: plain(c.saltThresholdMsPerCm),
  saltSlope: plain(c.saltSlopePercent),
  tissue: printTissueBands(c.tissue ?? []),
  ageGrade: c.ages?.grade ?? '',
  ageCap: c.ages ? `${formatGiven(c.ages.capG)} g` : '',
  ages: printAgeRows(c.ages?.rows ?? []),
  note: c.note,
});

/** What the library says of leaves and ages. */
const lineHints = (base: Crop | undefined): Pick<CropText, 'tissue' | 'ageGrade' | 'ageCap' | 'ages'> => ({
  tissue: printTissueBands(base?.tissue ?? []) || 'not known',
  ageGrade: base?.ages?.grade ?? '10-10-10',
  ageCap: base?.ages ? `${formatGiven(base.ages.capG)} g` : '2 kg',
  ages: printAgeRows(base?.ages?.rows ?? []) || 'not known',
});

/** What the library says where nothing is typed. */
export function cropHints(basedOn: string): CropText {
  const base = libraryCrop(basedOn);
  const known = (text: string): string => text || 'not known';
  const of = (by: Crop['uptakeKgPerHa'] = {}): Typed =>
    Object.fromEntries(CROP_NUTRIENTS.map((n) => [n, known(rangeText(by[n]))])) as Typed;
  const { pH, spacing, salt, rootingM } = base ?? {};
  return {
    ...blankCrop(basedOn),
    yield: known(rangeText(base?.yieldTPerHa)),
    uptake: of(base?.uptakeKgPerHa),
    removed: of(base?.removedKgPerT),
    pHLow: known(plain(pH?.low)),
    pHHigh: known(plain(pH?.high)),
    row: known(metres(spacing?.rowM)),
    plant: known(metres(spacing?.plantM)),
    rooting: known(rootingM ? `${rangeText(rootingM)} m` : ''),
    saltThreshold: known(plain(salt?.thresholdMsPerCm)),
    saltSlope: known(plain(salt?.slopePercent)),
    ...lineHints(base),
  };
}

export function readCrop(text: CropText): ReadText & { readonly plain: CropInput } {
  const read = new Reader();
  const byNutrient = (path: 'uptake' | 'removed'): NutrientRangeInput[] | undefined => {
    const list = CROP_NUTRIENTS.flatMap((nutrient): NutrientRangeInput[] => {
      const range = read.range(`${path}.${nutrient}`, text[path][nutrient]);
      return range ? [{ nutrient, ...range }] : [];
    });
    return list.length > 0 ? list : undefined;
  };
  const number = (path: keyof CropText, typed: string) => whenTyped(typed, () => read.number(path, typed));
  const length = (path: 'row' | 'plant', typed: string): number | undefined =>
    whenTyped(typed, () => {
      const found = parseQuantity(typed, 'length', 'm');
      return found.ok ? found.value * found.unit.factor : read.refuse(path, found.reason);
    });
  const lines = <T>(path: 'tissue' | 'ages', parse: (text: string) => ParsedLines<T>): T[] | undefined =>
    whenTyped(text[path], () => {
      const found = parse(text[path]);
      return found.ok ? [...found.rows] : read.refuse(path, found.reason);
    });
  const ages = (): AgeTableInput | undefined => {
    const rows = lines('ages', parseAgeRows);
    if (!rows) return undefined;
    const cap =
      text.ageCap.trim() === ''
        ? read.refuse('ageCap', 'Expected the most for a plant in a year, such as 2 kg.')
        : read.canonical('ageCap', text.ageCap, 'mass', 'g');
    const grade = text.ageGrade.trim() || '10-10-10';
    return cap === undefined ? undefined : { grade, capG: cap * 1000, rows };
  };
  const plainInput: CropInput = {
    name: text.name.trim(),
    ...given('basedOn', text.basedOn || undefined),
    ...given('yieldTPerHa', read.range('yield', text.yield, 't/ha')),
    ...given('uptakeKgPerHa', byNutrient('uptake')),
    ...given('removedKgPerT', byNutrient('removed')),
    ...given('pHLow', number('pHLow', text.pHLow)),
    ...given('pHHigh', number('pHHigh', text.pHHigh)),
    ...given('rowM', length('row', text.row)),
    ...given('plantM', length('plant', text.plant)),
    ...given('rootingM', read.range('rooting', text.rooting, 'm')),
    ...given('saltThresholdMsPerCm', number('saltThreshold', text.saltThreshold)),
    ...given('saltSlopePercent', number('saltSlope', text.saltSlope)),
    ...given('tissue', lines('tissue', parseTissueBands)),
    ...given('ages', ages()),
    note: text.note.trim(),
  };
  return { plain: plainInput, problems: read.problems };
}

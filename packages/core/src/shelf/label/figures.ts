import { analyteName, elementOf, formulaText, OXIDES, type Nutrient } from '../../nutrient/index.js';
import { declaredRange, formatGiven, scaleDeclared, shownDeclared, type DeclaredValue } from '../../quantity/index.js';
import {
  isPart,
  roleBefore,
  subjectOf,
  tells,
  twoNumbers,
  unitAmong,
  type FoundValue,
  type NutrientSubject,
  type Pair,
  type SoilWord,
  type Subject,
  type TellingUnit,
} from '../../reading/index.js';
import { isPerVolume, UNIT_FACTOR } from '../massFraction.js';
import type { AnalysisFigure, AnalysisUnit } from '../product.js';
import { PROTEIN_FACTORS, type ProteinFactor } from '../protein.js';
import { saysAgain } from './agree.js';
import { liming } from './liming.js';
import type { Context } from './context.js';
import { analyteOf } from './named.js';
import { tell, type Sorted } from './sorted.js';

export const percentOf = (figure: AnalysisFigure): string => `${shownDeclared(figure.value)} ${figure.unit}`;
export const figureWords = (figure: AnalysisFigure): string =>
  `${percentOf(figure)} ${analyteName(figure.analyte)}${figure.basis === 'element' ? '' : `, as ${formulaText(figure.basis)}`}${figure.extract ? ', in an extract' : ''}`;

/** The unit of an analysis for a unit of a paper, and the factor between. */
const UNITS: Readonly<Partial<Record<TellingUnit['unit'], readonly [AnalysisUnit, number]>>> = {
  '%': ['%', 1],
  'g/kg': ['g/kg', 1],
  'mg/kg': ['mg/kg', 1],
  '% w/v': ['% w/v', 1],
  'g/L': ['g/L', 1],
  'mg/L': ['g/L', 0.001],
};
/** The unit of moisture that has none. */
export const PERCENT: TellingUnit = { unit: '%', factor: 1, text: '%' };

/** Where a figure stands and what it stands for. */
export interface Place {
  readonly number: number;
  readonly line: string;
  /** The unit of a number that has none of its own. */
  readonly general: TellingUnit | undefined;
}

/** A value in a unit of analyses; undefined where it has none that is known. */
export function inUnit(
  found: FoundValue,
  value: DeclaredValue,
  general: TellingUnit | undefined,
): { readonly value: DeclaredValue; readonly unit: AnalysisUnit } | undefined {
  const own = found.unit === undefined ? undefined : { unit: found.unit, factor: 1, text: '' };
  const told = own ?? (found.foreign === undefined ? general : undefined);
  const known = told && UNITS[told.unit];
  if (!told || !known) return undefined;
  const factor = told.factor * known[1];
  return { value: factor === 1 ? value : scaleDeclared(value, factor), unit: known[0] };
}

/** The figure that a value of a subject is. @param value the number, where it could be several */
export function figureOf(
  subject: NutrientSubject,
  found: FoundValue,
  place: Place,
  context: Context,
  value = found.value,
): AnalysisFigure | undefined {
  const told = value && inUnit(found, value, place.general);
  if (!told) return undefined;
  context.last = subject;
  // Under a heading "w/v" a per cent is one by volume.
  const read = context.byVolume && told.unit === '%' ? { ...told, unit: '% w/v' as const } : told;
  const { analyte, basis } = analyteOf(subject);
  const isNitrogen = elementOf(analyte) === 'N';
  const figure: AnalysisFigure = {
    analyte,
    basis,
    ...read,
    provenance: context.provenance,
    source: `line ${place.number}: ${place.line.replace(/\s+/g, ' ').trim()}`.slice(0, 300),
    ...(isExtract(subject, context) && !isNitrogen ? { extract: 'available' as const } : {}),
  };
  context.subjects.set(figure, subject);
  return figure;
}

/** On a lab slip, what water or a weak acid takes out. Forms of nitrogen have words of their own. */
function isExtract(subject: NutrientSubject, context: Context): boolean {
  if (context.provenance !== 'measured' || subject.share === 'total') return false;
  return subject.extract || context.extract || subject.share === 'water';
}

/** Nitrogen from a crude protein figure. */
export function fromProtein(
  found: FoundValue,
  factor: ProteinFactor,
  place: Place,
  context: Context,
): AnalysisFigure | undefined {
  const { perNitrogen } = PROTEIN_FACTORS[factor];
  const value = found.value && scaleDeclared(found.value, 1 / perNitrogen, 3);
  return figureOf(NITROGEN, found, { ...place, line: `${place.line} (protein ÷ ${perNitrogen})` }, context, value);
}
export const NITROGEN: NutrientSubject = {
  kind: 'nutrient',
  element: 'N',
  basis: 'element',
  form: undefined,
  share: 'said',
  extract: false,
};

/** Sorts one value of a line by what its name speaks of. */
export function sortPair(sorted: Sorted, pair: Pair, place: Place, context: Context): void {
  const { found, before } = pair;
  const aside = (why: string): void => {
    sorted.asides.push(why);
    tell(sorted, found, 'setAside', why);
  };
  const role = roleBefore(before);
  if (role !== undefined) return aside(role);
  const general = unitAmong(pair.name) ?? place.general;
  const there = { ...place, general };
  const subject = toldAs(pair, context);
  switch (subject?.kind) {
    case undefined:
    case 'several':
      return nameless(sorted, pair, there, context, aside);
    case 'either':
      return either(sorted, subject, found, there, context);
    case 'salt':
      // "Potassium sulfate, batch 2291" tells no content.
      if (found.value && !inUnit(found, found.value, general)) return void sorted.unread.push(found.text);
      tell(sorted, found, 'asked', 'a salt');
      sorted.refused = `${found.text} of a salt: write its formula on a line of its own, since its water decides what of it is the element`;
      return;
    case 'liming':
      return liming(sorted, pair, aside);
    case 'moisture':
    case 'dryMatter':
      return moisture(subject.kind, found, general, context, aside, sorted);
    case 'matter':
      return aside(MADE_OF);
    case 'soil':
      // "class A. Copper 12 mg/kg": what has a unit of its own is no class.
      if (subject.what === 'index' && found.unit !== undefined)
        return sortPair(sorted, withoutIndex(pair), place, context);
      return aside(SOIL_ASIDES[subject.what] ?? MADE_OF);
    case 'protein': {
      if (isPart(before)) return aside('part of the protein, already counted in it');
      const figure = fromProtein(found, 'feed', there, context);
      if (figure) take(sorted, figure, found);
      else sorted.unread.push(found.text);
      return;
    }
    case 'nutrient':
      return nutrient(sorted, subject, pair, there, context, aside);
  }
}

function withoutIndex(pair: Pair): Pair {
  const name = pair.name.filter((t) => !tells(t, 'of.index'));
  return { ...pair, name, subject: subjectOf(name) };
}

const MADE_OF = 'what it is made of, no nutrient';
/** What is told of a product and is no nutrient, in words. */
const SOIL_ASIDES: Readonly<Partial<Record<SoilWord, string>>> = {
  pH: 'its pH, no nutrient',
  EC: 'how salty it is, no nutrient',
  ratio: 'a ratio, no amount',
  index: 'a class, no amount',
  bulkDensity: 'a density that could not be read',
};

const take = (sorted: Sorted, figure: AnalysisFigure, found: FoundValue): void => {
  sorted.figures.push(figure);
  tell(sorted, found, 'taken', figureWords(figure));
};

function moisture(
  kind: 'moisture' | 'dryMatter',
  found: FoundValue,
  general: TellingUnit | undefined,
  context: Context,
  aside: (why: string) => void,
  sorted: Sorted,
): void {
  const read = found.value && inUnit(found, found.value, general ?? PERCENT);
  if (!read || isPerVolume(read.unit) || found.foreign !== undefined) return void sorted.unread.push(found.text);
  const range = declaredRange(read.value);
  const share = (found.bound === 'most' ? range.high : range.mid) * UNIT_FACTOR[read.unit];
  if (share > 1) return void sorted.unread.push(found.text);
  if (found.bound === 'most') return aside('the most moisture there may be');
  context.moisture = kind === 'moisture' ? share : 1 - share;
  aside(`${formatGiven(Number((context.moisture * 100).toPrecision(4)))} % moisture`);
}

/** Names that do not say their basis outright, where a heading says that all are elements, or all are oxides. */
function toldAs({ subject, name }: Pair, { told, taught }: Context): Subject | undefined {
  const as = told ?? taught.eitherAs;
  if (subject?.kind === 'either' && as !== undefined)
    return { ...NITROGEN, element: subject.element, basis: as === 'element' ? 'element' : subject.oxide };
  if (told === undefined || !subject) return subject;
  const outright = name.some((t) => tells(t, 'oxide', ...OXIDES.map(({ basis }) => `ox.${basis}` as const)));
  if (subject.kind !== 'nutrient' || outright) return subject;
  const oxide = OXIDES.find(({ element }) => element === subject.element)?.basis;
  return oxide === undefined ? subject : { ...subject, basis: told === 'element' ? 'element' : oxide };
}

function either(
  sorted: Sorted,
  subject: Extract<Subject, { kind: 'either' }>,
  found: FoundValue,
  place: Place,
  context: Context,
): void {
  const as = (basis: NutrientSubject['basis']): AnalysisFigure | undefined =>
    figureOf({ ...NITROGEN, element: subject.element, basis }, found, place, context);
  const choices = [as('element'), as(subject.oxide)].flatMap((f) => f ?? []);
  tell(sorted, found, 'asked', `${subject.element} or ${formulaText(subject.oxide)}`);
  sorted.refused = `${found.text} could be ${subject.element} or ${formulaText(subject.oxide)}: say which`;
  for (const figure of choices) sorted.choices.push({ says: figureWords(figure), figures: [figure] });
}

/** A value without a name: the one before it said again, a second value of it, or nothing that is known. */
function nameless(
  sorted: Sorted,
  { found, name, before, behind }: Pair,
  place: Place,
  context: Context,
  aside: (why: string) => void,
): void {
  const solvent = [...name, ...before, ...behind].some((t) => tells(t, 'q.water', 'q.citrate', 'q.acid', 'q.soluble'));
  // "di cui 8 % solubile in acqua" is a part of the line above.
  if (solvent && (sorted.figures.length === 0 || isPart(before)) && context.last)
    return aside(`part of ${analyteName(context.last.element)}, already counted in its total`);
  // "7.0  7.0": the same number in another column.
  const shown = sorted.figures.at(-1)?.value;
  if (found.unit === undefined && shown && JSON.stringify(shown) === JSON.stringify(found.value))
    return aside(`said again as ${found.text}`);
  // "E.C. of a 0.1 % solution: 0.9 mS/cm" speaks of one thing throughout.
  if (sorted.figures.length === 0 && sorted.asides.length > 0) return aside(sorted.asides.at(-1) ?? '');
  const last = sorted.figures.at(-1);
  const read = found.value && inUnit(found, found.value, place.general);
  const bare = !name.some((t) => t.kind === 'word' && t.means.size === 0);
  const inOtherUnit = found.factor !== 1 && last !== undefined && read !== undefined && alike(last.value, read.value);
  if (bare && last && read && (inOtherUnit || saysAgain(last, read))) {
    context.again.push([last, read]);
    return aside(`said again as ${found.text}`);
  }
  // "Nitrogen 0.9 1.4 %" has a column for each of two things, and which is which nobody says.
  if (bare && last && !found.none && found.foreign === undefined) {
    sorted.refused = `more than one value for ${analyteName(last.analyte)}: leave the one that is meant`;
    const again = read && { ...last, ...read };
    const offered = new Set(sorted.choices.map((c) => c.says));
    for (const figure of again ? [last, again] : [])
      if (!offered.has(figureWords(figure))) sorted.choices.push({ says: figureWords(figure), figures: [figure] });
    tell(sorted, found, 'asked', 'a second value');
    return;
  }
  sorted.unread.push(found.text);
}

/** Whether two values are one but for rounding. */
const alike = (a: DeclaredValue, b: DeclaredValue): boolean =>
  Math.abs(declaredRange(b).mid / (declaredRange(a).mid || 1) - 1) < 0.03;

const NOT_FOUND = (name: string): string =>
  `${name} was not detected, but no limit is given: write it as < and the limit`;

function nutrient(
  sorted: Sorted,
  subject: NutrientSubject,
  pair: Pair,
  place: Place,
  context: Context,
  aside: (why: string) => void,
): void {
  const { found, before } = pair;
  const { analyte } = analyteOf(subject);
  const name = analyteName(analyte);
  if ((pair.ofPhosphate || found.of === 'P2O5') && subject.element !== 'P') return aside(PER_PHOSPHATE);
  const basis = found.of === undefined ? subject.basis : basisOf(subject, found.of);
  const part = isPart(before) && subject.element !== 'N';
  const said: NutrientSubject = { ...subject, basis, share: part ? 'bound' : subject.share };
  if (found.none) {
    sorted.unread.push('');
    sorted.refused = NOT_FOUND(name);
    tell(sorted, found, 'notUnderstood', sorted.refused);
    return;
  }
  if (found.bound === 'above') {
    sorted.refused = `${name}, ${found.text}: more than can be told, expected a number`;
    return;
  }
  const doubts = found.spaced ? [found.value] : [found.value, ...found.others];
  const figures = doubts.flatMap((value) => figureOf(said, found, place, context, value) ?? []);
  const [figure] = figures;
  if (!figure) {
    sorted.refused = `${name}, ${found.text}: no unit ${found.foreign ? 'that is known here' : 'is given'}, expected %, g/kg or mg/kg`;
    const bare = !found.foreign && !/^\s?\p{L}/u.test(place.line.slice(found.end)) && !isTraceElement(subject.element);
    const percent = found.value && bare && figureOf(said, found, { ...place, general: PERCENT }, context);
    if (percent) sorted.choices.push({ says: figureWords(percent), figures: [percent] });
    tell(sorted, found, percent ? 'asked' : 'notUnderstood', 'no unit');
    return;
  }
  if (figures.length > 1 || found.spaced) {
    sorted.refused = twoNumbers(found);
    for (const f of figures) sorted.choices.push({ says: figureWords(f), figures: [f] });
    tell(sorted, found, 'asked', sorted.refused);
    return;
  }
  take(sorted, figure, found);
}
const isTraceElement = (element: Nutrient): boolean =>
  !['N', 'P', 'K', 'Ca', 'Mg', 'S', 'Na', 'Cl', 'Si'].includes(element);
const PER_PHOSPHATE = 'for each kg of P₂O₅, not of the product: say it as mg in a kg of the product';

/** "mg P2O5/100 g" says what the number is of, whatever the name says. */
function basisOf(subject: NutrientSubject, of: NonNullable<FoundValue['of']>): NutrientSubject['basis'] {
  if (of === subject.element) return 'element';
  return of.length > 2 ? (of as NutrientSubject['basis']) : subject.basis;
}

import { analyteName, compoundPerElement, formulaText, type Basis } from '../../nutrient/index.js';
import { declaredRange, scaleDeclared, shownDeclared } from '../../quantity/index.js';
import {
  tells,
  twoNumbers,
  unitAmong,
  type FoundValue,
  type NutrientSubject,
  type Pair,
  type Subject,
  type TellingUnit,
  type Told,
  type Token,
} from '../../reading/index.js';
import {
  SOIL_ANALYTE_NAMES,
  SOIL_METHOD_NAMES,
  soilFigureProblem,
  soilUnits,
  type SoilAnalyte,
  type SoilFigure,
  type SoilMethod,
  type SoilUnit,
} from '../soilReport.js';
import { KEPT, methodIn, OTHER_THINGS, SHARE_OF_EXCHANGE } from './words.js';

/** One of several things that a line of a slip can mean. A bed of several has no figure of its own. */
export interface SoilChoice {
  readonly says: string;
  readonly figure: SoilFigure | undefined;
}
/** What a line says of all its values. */
export interface Clause {
  /** The unit of a number that has none of its own. */
  readonly general: TellingUnit | undefined;
  /** Words that may tell the method. */
  readonly words: readonly Token[];
  /** Figures in per cent are shares of the exchange. */
  readonly shares: boolean;
  /** The method that a heading told. */
  readonly method: SoilMethod;
  /** A heading said that pH and salt are measured in soil and water. */
  readonly suspension: boolean;
}

/** A figure, what it was before, or why there is none. */
export interface Outcome {
  readonly figure?: SoilFigure | undefined;
  readonly says: string;
  readonly fate: Told['fate'];
  readonly choices?: readonly SoilChoice[];
  /** A share of the exchange, in %. */
  readonly share?: { readonly analyte: SoilAnalyte; readonly percent: number };
}

/** What a figure was read as, in words. */
function figureWords({ analyte, value, unit, method }: SoilFigure): string {
  const number = shownDeclared(value);
  return analyte === 'pH'
    ? `pH ${number}, ${SOIL_METHOD_NAMES[method]}`
    : `${number}${unit ? ` ${unit}` : ''} ${SOIL_ANALYTE_NAMES[analyte]}, ${SOIL_METHOD_NAMES[method]}`;
}

/** What a subject is called in a soil report, with the basis it is told in; or why it is not kept. */
function analyteOf(subject: Subject): { readonly analyte: SoilAnalyte; readonly basis: Basis } | string {
  if (subject.kind === 'soil') {
    const kept = KEPT[subject.what];
    return kept ? { analyte: kept, basis: 'element' } : (OTHER_THINGS[subject.what] ?? 'not kept here');
  }
  if (subject.kind === 'moisture' || subject.kind === 'dryMatter') return 'the water in the sample: not kept here';
  if (subject.kind !== 'nutrient') return 'what it is made of: not kept here';
  const { element, basis, form } = subject;
  if (basis === 'CaCO3') return { analyte: 'freeLime', basis: 'element' };
  if (element === 'N') {
    if (form === 'nitrate') return { analyte: 'nitrateN', basis };
    return form === 'ammoniacal'
      ? { analyte: 'ammoniumN', basis }
      : 'nitrogen in all: only nitrate and ammonium are kept';
  }
  return (SOIL_ANALYTES_OF as readonly string[]).includes(element)
    ? { analyte: element as SoilAnalyte, basis }
    : `${analyteName(element)}: not kept here`;
}
const SOIL_ANALYTES_OF = ['P', 'K', 'Ca', 'Mg', 'Na', 'S', 'B', 'Zn', 'Mn', 'Cu', 'Fe'] as const;

/** The unit of soils that a unit of a paper is told in, with the factor and the words for it. */
function soilUnit(unit: TellingUnit['unit'], analyte: SoilAnalyte): readonly [SoilUnit, number, string] | undefined {
  const percent = analyte === 'organicMatter' || analyte === 'freeLime' || analyte === 'ESP';
  switch (unit) {
    case 'g/kg':
      return percent ? ['%', 0.1, 'from g/kg ÷ 10'] : ['mg/kg', 1000, 'from g/kg × 1000'];
    case 'g/L':
      return analyte === 'bulkDensity' ? ['kg/L', 0.001, 'from g/L ÷ 1000'] : ['mg/L', 1000, 'from g/L × 1000'];
    case '% w/v':
    case 'kg/ha':
      return undefined;
    case '%':
    case 'mg/kg':
    case 'mg/L':
    case 'cmol_c/kg':
    case 'mmol_c/L':
    case 'mS/cm':
    case 'kg/L':
      return [unit, 1, ''];
  }
}
/** Milligrams in 100 grams are ten times as many in a kilogram. */
export const retold = (text: string): string =>
  /^mg ?(?:\/|per) ?100 ?g/i.test(text) ? 'from mg/100 g × 10' : POUNDS_PER_ACRE.test(text) ? FURROW_SLICE : '';
/** Pounds an acre are given by labs for a furrow slice, 6⅔ inches that weigh two million pounds an acre. */
const POUNDS_PER_ACRE = /^(?:lbs?|pounds?)\b/i;
const FURROW_SLICE = 'from lb/acre ÷ 2, for a furrow slice of two million lb';

/** A unit that needs no saying, since it is the only one; free lime may be told in others. */
const obvious = (analyte: SoilAnalyte): SoilUnit | undefined =>
  soilUnits(analyte).length === 1 && analyte !== 'freeLime' ? soilUnits(analyte)[0] : undefined;

interface InUnit {
  readonly unit: SoilUnit;
  readonly factor: number;
  readonly from: string;
}
/** The unit of a value and what it was before; or why there is none. */
function unitFor(found: FoundValue, general: TellingUnit | undefined, analyte: SoilAnalyte): InUnit | string {
  const own =
    found.unit === undefined
      ? undefined
      : { unit: found.unit, factor: 1, text: found.text.replace(/^[^\p{L}%µ]*/u, '') };
  const expected = `${SOIL_ANALYTE_NAMES[analyte]}: no unit that is known here, expected ${soilUnits(analyte).join(', ')}`;
  const only = obvious(analyte);
  const told =
    own ?? (found.foreign === undefined && (only === undefined || general?.unit === 'g/kg') ? general : undefined);
  if (!told) return found.foreign === undefined && only !== undefined ? { unit: only, factor: 1, from: '' } : expected;
  if (told.unit === 'kg/ha' && POUNDS_PER_ACRE.test(told.text))
    return { unit: 'mg/kg', factor: 0.5 / (own ? found.factor : 1), from: FURROW_SLICE };
  if (told.unit === 'kg/ha')
    return `${SOIL_ANALYTE_NAMES[analyte]}, ${found.text}: for an area it depends on the depth and the weight of the soil, expected mg/kg or mg/L`;
  const soil = soilUnit(told.unit, analyte);
  if (!soil) return expected;
  const [unit, factor, words] = soil;
  // The value counts the factor of its own unit already.
  return { unit, factor: factor * (own ? 1 : told.factor), from: words || retold(told.text) };
}

/** What a value of a line is, under the name it has. */
export function outcomeOf(pair: Pair, subject: Subject, clause: Clause): Outcome {
  if (subject.kind === 'several') return { says: 'a number with several names', fate: 'notUnderstood' };
  if (subject.kind === 'either') return eitherOf(pair, subject, clause);
  const kept = analyteOf(subject);
  if (typeof kept === 'string') return { says: kept, fate: 'setAside' };
  if (isShare(pair, kept.analyte, clause)) {
    const { value } = pair.found;
    const share = value && { analyte: kept.analyte, percent: declaredRange(value).mid };
    return { says: SHARE_OF_EXCHANGE, fate: 'setAside', ...(share ? { share } : {}) };
  }
  const called = SOIL_ANALYTE_NAMES[kept.analyte];
  const { found } = pair;
  if (found.none)
    return {
      says: `${called} was not detected, but no limit is given: write it as < and the limit`,
      fate: 'notUnderstood',
    };
  if (found.bound === 'above')
    return { says: `${called}, ${found.text}: more than can be told, expected a number`, fate: 'notUnderstood' };
  const unit = unitFor(found, unitAmong(pair.name) ?? clause.general, kept.analyte);
  return typeof unit === 'string' ? { says: unit, fate: 'notUnderstood' } : measured(found, kept, unit, clause);
}

/** A per cent sign at the name of a cation, or under a heading of the exchange, makes it a share. */
function isShare({ found, name }: Pair, analyte: SoilAnalyte, { general, shares }: Clause): boolean {
  if (!isCation(analyte) && analyte !== 'acidity') return false;
  const told = unitAmong(name)?.unit;
  // A unit that held for lines further up does not hold for shares.
  const percent = (found.unit ?? told ?? (shares ? '%' : general?.unit)) === '%';
  return told === '%' || (analyte === 'acidity' && found.unit === '%') || (shares && percent);
}
const isCation = (analyte: SoilAnalyte): boolean => ['K', 'Ca', 'Mg', 'Na'].includes(analyte);

/** The figure of a value whose unit is known, or what it could be. */
function measured(
  found: FoundValue,
  { analyte, basis: named }: { readonly analyte: SoilAnalyte; readonly basis: Basis },
  { unit, factor: toUnit, from }: InUnit,
  clause: Clause,
): Outcome {
  const basis = found.of === undefined ? named : found.of.length > 2 ? (found.of as Basis) : 'element';
  const factor = toUnit / compoundPerElement(basis);
  const figures = [found.value, ...found.others].flatMap((value): readonly SoilFigure[] =>
    value === undefined
      ? []
      : [
          {
            analyte,
            value: factor === 1 ? value : scaleDeclared(value, factor, basis === 'element' ? 6 : 4),
            unit,
            method: methodFor(analyte, clause),
          },
        ],
  );
  const sensible = figures.map(inExtract).filter((f) => soilFigureProblem(f) === undefined);
  const [figure] = sensible;
  const [first] = figures;
  if (!figure) return { says: (first && soilFigureProblem(first)?.message) ?? '', fate: 'notUnderstood' };
  if (found.spaced || sensible.length > 1) {
    const choices = sensible.map((f) => ({ says: figureWords(f), figure: f }));
    return { says: twoNumbers(found), fate: 'asked', choices };
  }
  const before = [basis === 'element' ? '' : `from ${formulaText(basis)}`, from].filter(Boolean);
  return { figure, says: [figureWords(figure), ...before].join(', '), fate: 'taken' };
}

/** What is told per million of an extract is told by its volume. */
const inExtract = (figure: SoilFigure): SoilFigure =>
  figure.method === 'saturatedPaste' && figure.unit === 'mg/kg' ? { ...figure, unit: 'mg/L' } : figure;
const OWN_METHOD: readonly SoilAnalyte[] = ['pH', 'CEC', 'organicMatter', 'bulkDensity'];
/** "pH 6.2 (in water) and organic matter 4.4 %": the water is that of the pH. */
const IN_NO_WATER: readonly SoilAnalyte[] = ['organicMatter', 'CEC', 'bulkDensity', 'freeLime'];
const methodFor = (analyte: SoilAnalyte, { words, method, suspension }: Clause): SoilMethod => {
  // "Exchangeable" above holds for the cations, not for trace elements below them.
  const holds = method !== 'ammoniumAcetate' || isCation(analyte) || analyte === 'acidity';
  if (suspension && (analyte === 'pH' || analyte === 'EC')) return methodIn(words) ?? 'water';
  const told = methodIn(words);
  if (told === 'water' && IN_NO_WATER.includes(analyte)) return 'notSaid';
  return told ?? (OWN_METHOD.includes(analyte) || !holds ? 'notSaid' : method);
};

function eitherOf(pair: Pair, { element, oxide }: Extract<Subject, { kind: 'either' }>, clause: Clause): Outcome {
  const as = (basis: Basis): Outcome => outcomeOf(pair, { ...SAID, element, basis }, clause);
  // On a soil slip "Phosphate P" names the element that was measured.
  if (pair.name.some((t) => t.text === element)) return as('element');
  const choices = [as('element'), as(oxide)].flatMap((o) => (o.figure ? [{ says: o.says, figure: o.figure }] : []));
  return { says: ASK[element] ?? '', fate: 'asked', choices };
}
const SAID: Omit<NutrientSubject, 'element' | 'basis'> = {
  kind: 'nutrient',
  form: undefined,
  share: 'said',
  extract: false,
};
const ASK: Readonly<Partial<Record<string, string>>> = {
  K: 'potash could be the element or its oxide: say K or K2O',
  P: 'phosphate could be the element or its oxide: say P or P2O5',
  S: 'sulfate could be told as sulfur or as the ion: say S or SO4',
};

/** On a soil slip a word such as phosphate alone may stand for the element or its oxide. */
export const tradeOnly = (subject: Subject | undefined, name: readonly Token[]): Subject | undefined => {
  if (subject?.kind !== 'nutrient' || (subject.basis !== 'P2O5' && subject.basis !== 'K2O')) return subject;
  const outright = name.some((t) => tells(t, 'ox.P2O5', 'ox.K2O', 'oxide'));
  return outright ? subject : { kind: 'either', element: subject.element, oxide: subject.basis };
};

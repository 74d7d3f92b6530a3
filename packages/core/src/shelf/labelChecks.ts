import {
  analyteName,
  compoundPerElement,
  elementOf,
  formulaText,
  NITROGEN_FORMS,
  symbolIn,
  type Nutrient,
} from '../nutrient/index.js';
import { declaredRange, formatGiven, formatTrimmed } from '../quantity/index.js';
import { densityMid } from './density.js';
import { elementFigure, massFraction, midFraction, UNIT_FACTOR } from './massFraction.js';
import { materialHolds } from './library/contents.js';
import { coatedIsOwnPart } from './nitrogenForms.js';
import { parseGrade, type Grade, sameInBracket } from './grade.js';
import { readIngredients, type Material } from './materials.js';
import type { AnalysisFigure, Product } from './product.js';

/** One finding on a label. `impossible` may not be saved; a `warning` never blocks; a `note` explains. */
export interface Finding {
  readonly code: string;
  readonly severity: 'impossible' | 'warning' | 'note';
  /** Path of the field it concerns, e.g. `analysis.2.value`. */
  readonly path: string;
  readonly message: string;
}

export type LabelFacts = Pick<Product, 'grade' | 'analysis' | 'derivedFrom' | 'densityKgPerL'>;

const percent = (fraction: number): string => `${formatTrimmed(fraction * 100)} %`;

/** The most of a metal that anything put on a bed plausibly holds, as a fraction; far above any ash, rock or sludge. */
const MOST_OF_METAL: Readonly<Partial<Record<Nutrient, number>>> = {
  Cd: 0.001,
  Hg: 0.001,
  As: 0.01,
  Pb: 0.05,
  Cr: 0.1,
};

function impossibleValues({ analysis, ...label }: LabelFacts): Finding[] {
  return analysis.flatMap((line, i): Finding[] => {
    const { low, mid, high } = declaredRange(line.value);
    const path = `analysis.${i}.value`;
    const name = analyteName(line.analyte);
    if (![low, mid, high].every((v) => Number.isFinite(v)) || low < 0)
      return [
        {
          code: 'value.negative',
          severity: 'impossible',
          path,
          message: `Read ${formatTrimmed(low)} ${line.unit} ${name}, expected zero or more.`,
        },
      ];
    if (low > mid || mid > high)
      return [
        {
          code: 'value.order',
          severity: 'impossible',
          path,
          message: `Read ${low}–${mid}–${high} for ${name}, expected low, middle, high in order.`,
        },
      ];
    const bound = MOST_OF_METAL[elementOf(line.analyte)];
    if (bound !== undefined && high * UNIT_FACTOR[line.unit] > bound)
      return [
        {
          code: 'value.metal',
          severity: 'impossible',
          path,
          message: `Read ${formatTrimmed(high)} ${line.unit} ${name}: no fertiliser or soil holds more than ${formatTrimmed(bound * 1e6)} mg/kg. Is it mg/kg?`,
        },
      ];
    const perVolume = line.unit === '% w/v' || line.unit === 'g/L';
    const most = perVolume ? (densityMid(label) ?? 2.5) : 1;
    const factor = UNIT_FACTOR[line.unit];
    return high * factor > most + 1e-9
      ? [
          {
            code: 'value.over100',
            severity: 'impossible',
            path,
            message: `Read ${formatTrimmed(high)} ${line.unit} ${name}: more than the whole, expected at most ${formatTrimmed(most / factor)} ${line.unit}.`,
          },
        ]
      : [];
  });
}

/** Digits behind the point of a declared number. */
export const decimalsOf = (line: Pick<AnalysisFigure, 'value'>): number => {
  const [, digits = ''] = /\.(\d+)$/.exec(String(declaredRange(line.value).mid)) ?? [];
  return digits.length;
};

/**
 * How far the nitrogen forms may add up from their total by rounding alone: half of the last digit printed, for each part and the total, as a
 * fraction by mass.
 */
export function roundingAllowance(lines: readonly AnalysisFigure[]): number {
  const decimals = Math.max(0, ...lines.map(decimalsOf));
  const perUnit = lines.every((l) => l.unit === 'g/kg' || l.unit === 'g/L') ? 1e-3 : 0.01;
  return 0.5 * 10 ** -decimals * perUnit * lines.length;
}

function nitrogenParts(label: LabelFacts): Finding[] {
  const total = label.analysis.some((l) => l.analyte === 'N') ? massFraction(label, 'N') : undefined;
  if (total?.kind !== 'figure' || !total.declared) return [];
  const parts = NITROGEN_FORMS.filter((form) => form !== 'coated' || coatedIsOwnPart(label))
    .map((form) => massFraction(label, `N.${form}`))
    .filter((reading) => reading.kind === 'figure');
  if (parts.length === 0) return [];
  const sum = parts.reduce((s, p) => s + p.figure.value.mid, 0);
  const declared = total.figure.value.mid;
  const lines = [total.declared, ...parts.flatMap((p) => p.declared ?? [])];
  // A laboratory measures the forms it was asked for; the rest is organic.
  if (sum < declared && lines.every((l) => l.provenance === 'measured')) return [];
  return Math.abs(sum - declared) <= roundingAllowance(lines) + 1e-12
    ? []
    : [
        {
          code: 'nitrogen.parts',
          severity: 'warning',
          path: 'analysis',
          message: `The nitrogen forms add to ${percent(sum)}, the total says ${percent(declared)}: ${percent(Math.abs(sum - declared))} apart.`,
        },
      ];
}

/** Least mass of carrier per mass of element, from the lightest group that can hold it in a fertilizer. */
const PO3_PER_P = 2.5496;
const UREA_PER_N = 2.1437;
function leastCarrier(label: LabelFacts): number {
  const n = midFraction(label, 'N');
  const urea = midFraction(label, 'N.urea');
  const nitrate = midFraction(label, 'N.nitrate');
  const rest = Math.max(0, n - urea - nitrate);
  // Above 35 % no solid but urea holds that much nitrogen.
  const restFactor = n > 0.35 ? UREA_PER_N : compoundPerElement('NH4');
  const nitrogen = urea * UREA_PER_N + nitrate * compoundPerElement('NO3') + rest * restFactor;
  const others: readonly Nutrient[] = ['K', 'Ca', 'Mg', 'S', 'Na', 'Cl', 'Si', 'Fe'];
  return nitrogen + midFraction(label, 'P') * PO3_PER_P + others.reduce((s, e) => s + midFraction(label, e), 0);
}

function carriers(label: LabelFacts): Finding[] {
  const least = leastCarrier(label);
  return least > 1.005
    ? [
        {
          code: 'carriers.over100',
          severity: 'warning',
          path: 'analysis',
          message: `The lightest materials that hold these nutrients already weigh ${percent(least)} of the bag: one of the figures or its basis is off.`,
        },
      ]
    : [];
}

const GRADE_TOLERANCE = 0.0051;
function gradeLine(label: LabelFacts): Finding[] {
  if (!label.grade) return [];
  const parsed = parseGrade(label.grade);
  if (parsed.kind === 'none')
    return [{ code: 'grade.unread', severity: 'warning', path: 'grade', message: parsed.reason }];
  if (parsed.kind === 'several')
    return [
      {
        code: 'grade.several',
        severity: 'warning',
        path: 'grade',
        message: `${parsed.question} Write it with dashes.`,
      },
    ];
  return [
    ...gradeOver100(parsed.grade),
    ...bracketed(parsed.grade, parsed.elements ?? []),
    ...againstAnalysis(label, parsed.grade),
  ];
}

/** The numbers of a grade are shares of one bag: together they cannot be more than it. */
function gradeOver100(grade: Grade): Finding[] {
  const sum = grade.reduce((s, p) => s + p.amount, 0);
  return sum > 100
    ? [
        {
          code: 'grade.over100',
          severity: 'warning',
          path: 'grade',
          message: `The grade adds to ${formatGiven(sum)} %, more than the whole bag: one of its numbers is off.`,
        },
      ]
    : [];
}

/** "8-4-4 (1.7 P, 3.3 K)": the bracket has to be the same as the oxides, as elements. */
function bracketed(grade: Grade, elements: Grade): Finding[] {
  return elements.flatMap(({ nutrient, amount }): Finding[] => {
    const part = grade.find((p) => p.nutrient === nutrient);
    if (!part) return [];
    const main = part.amount / compoundPerElement(part.basis);
    if (sameInBracket(main, amount)) return [];
    return [
      {
        code: 'grade.bracket',
        severity: 'warning',
        path: 'grade',
        message: `${formatGiven(part.amount)} % ${symbolIn(nutrient, part.basis)} is ${formatTrimmed(main)} % ${nutrient}, but the bracket says ${formatGiven(amount)}.`,
      },
    ];
  });
}

function againstAnalysis(label: LabelFacts, grade: Grade): Finding[] {
  return grade.flatMap((part): Finding[] => {
    const reading = massFraction(label, part.nutrient);
    if (reading.kind !== 'figure') return [];
    const fraction = reading.figure.value.mid * compoundPerElement(part.basis);
    const stated = part.amount / 100;
    if (Math.abs(fraction - stated) <= GRADE_TOLERANCE) return [];
    const index = label.analysis.findIndex((l) => l.analyte === part.nutrient);
    const path = `analysis.${index}.value`;
    const symbol = symbolIn(part.nutrient, part.basis);
    // 3.5 declared as P2O5 beside a grade of 8 is elemental P read on the wrong basis.
    if (part.basis !== 'element' && Math.abs(fraction * compoundPerElement(part.basis) - stated) <= GRADE_TOLERANCE)
      return [
        {
          code: 'basis.elemental',
          severity: 'warning',
          path,
          message: `${percent(fraction)} ${symbol} looks like elemental ${part.nutrient}: as ${part.nutrient} it is ${percent(stated)} ${symbol}, which is what the grade says.`,
        },
      ];
    // Grades of some countries count elements: 11-5-18 over 4.6 % P and 17.6 % K.
    const asElement = label.analysis[index]?.basis === 'element' && part.basis !== 'element';
    if (asElement && Math.abs(reading.figure.value.mid - stated) <= GRADE_TOLERANCE)
      return [
        {
          code: 'grade.elements',
          severity: 'note',
          path: 'grade',
          message: `The grade counts ${part.nutrient} as the element, as some countries do: ${percent(stated)} ${part.nutrient} is ${percent(stated * compoundPerElement(part.basis))} ${symbol}.`,
        },
      ];
    return [
      {
        code: 'grade.differs',
        severity: 'warning',
        path,
        message: `The grade says ${percent(stated)} ${symbol}, the analysis gives ${percent(fraction)}.`,
      },
    ];
  });
}

/** Elements whose silent presence matters to plants and soil. */
const WORTH_DECLARING: readonly Nutrient[] = ['Cl', 'Na'];

function ingredients(label: LabelFacts): Finding[] {
  const { known, complete } = readIngredients(label.derivedFrom);
  const inQuantity = (e: Nutrient): readonly Material[] => known.filter((m) => materialHolds(m, e).kind === 'typical');
  const present = label.analysis.filter(
    (l): l is AnalysisFigure & { analyte: Nutrient } =>
      !l.analyte.startsWith('N.') && l.value.kind !== 'below' && declaredRange(l.value).mid > 0,
  );
  const unexplained = complete
    ? present
        .filter((l) => inQuantity(l.analyte).length === 0 && massFractionAtLeast(label, l.analyte, 0.005))
        .map((l): Finding => ({
          code: 'ingredient.missing',
          severity: 'warning',
          path: 'derivedFrom',
          message: `${analyteName(l.analyte)} is declared, but none of the listed materials holds it in quantity.`,
        }))
    : [];
  const silent = WORTH_DECLARING.filter(
    (e) => inQuantity(e).length > 0 && !label.analysis.some((l) => l.analyte === e),
  ).map((e): Finding => {
    const from = inQuantity(e).map((m) => m.name);
    return {
      code: 'ingredient.silent',
      severity: 'warning',
      path: 'derivedFrom',
      message: `${from.join(' and ')} brings ${analyteName(e)}, which the label does not give a figure for.`,
    };
  });
  return [...unexplained, ...silent];
}

const massFractionAtLeast = (label: LabelFacts, nutrient: Nutrient, least: number): boolean =>
  midFraction(label, nutrient) >= least;

function basisNotes(label: LabelFacts): Finding[] {
  return label.analysis.flatMap((line, i): Finding[] => {
    const oxide = line.analyte === 'P' ? 'P2O5' : line.analyte === 'K' ? 'K2O' : undefined;
    if (!oxide || line.basis !== 'element') return [];
    const reading = massFraction(label, line.analyte);
    if (reading.kind !== 'figure') return [];
    return [
      {
        code: 'basis.note',
        severity: 'note',
        path: `analysis.${i}.basis`,
        message: `Declared as elemental ${line.analyte}: the same as ${percent(reading.figure.value.mid * compoundPerElement(oxide))} ${formulaText(oxide)}.`,
      },
    ];
  });
}

/** The same amount as oxide and as element differs by what was rounded. */
const ROUNDED = 1.02;
/** What water or weak acid takes out cannot be more than a digest holds: one of the two is on another basis. */
function extracts(label: LabelFacts): Finding[] {
  return label.analysis.flatMap((line, i): Finding[] => {
    const total = label.analysis.find((l) => l.analyte === line.analyte && !l.extract);
    if (!line.extract || !total || line.value.kind === 'below' || total.value.kind === 'below') return [];
    const [part, whole] = [line, total].map((l) => elementFigure(l, label).value);
    if (!part || !whole || part.low <= whole.high * ROUNDED) return [];
    return [
      {
        code: 'extract.aboveTotal',
        severity: 'warning',
        path: `analysis.${i}.value`,
        message: `The extract holds ${percent(part.mid)} ${analyteName(line.analyte)}, more than the total of ${percent(whole.mid)}: one of them is the oxide, the other the element.`,
      },
    ];
  });
}

/**
 * The checks made on a label while it is entered, each with its figure.
 * @returns findings, the impossible first; an empty list when nothing contradicts
 * @example labelChecks({ grade: '5-8-4', analysis: [n5, p3_5asP2O5, k4], … })[0]?.code // 'basis.elemental'
 */
export function labelChecks(label: LabelFacts): readonly Finding[] {
  const impossible = impossibleValues(label);
  if (impossible.length > 0) return impossible;
  return [
    ...gradeLine(label),
    ...nitrogenParts(label),
    ...carriers(label),
    ...ingredients(label),
    ...extracts(label),
    ...basisNotes(label),
  ];
}

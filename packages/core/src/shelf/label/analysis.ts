import { sameInBracket } from '../grade.js';
import type { Provenance } from '../../figure/index.js';
import { LabelError } from '../../errors.js';
import {
  analyteName,
  compoundPerElement,
  elementOf,
  formulaText,
  looksLikeFormula,
  readFormula,
  symbolIn,
  type Nutrient,
} from '../../nutrient/index.js';
import { formatGiven } from '../../quantity/index.js';
import { scaleDeclared, shownDeclared } from '../declaredValue.js';
import type { Finding } from '../labelChecks.js';
import { declaredRange } from '../declaredValue.js';
import type { AnalysisFigure, AnalysisUnit } from '../product.js';
import { PROTEIN_FACTORS, type ProteinFactor } from '../protein.js';
import type { NamedAnalyte } from './named.js';
import { analyteNamed, plainName } from './names.js';
import type { ColumnRole } from './columns.js';
import { pairsIn, type Pair } from './pairs.js';
import type { Read } from './reading.js';
import { bracketUnit, joinSpans, unitNamed, type FoundValue } from './values.js';

/** What lines before have said about lines to come. */
export interface Context {
  /** The columns of the table that is being read; undefined outside of one. */
  columns: readonly ColumnRole[] | undefined;
  readonly provenance: Provenance;
  unit: AnalysisUnit | undefined;
  dry: boolean;
  moisture: number | undefined;
  inIngredients: boolean;
  /** A heading such as "water extract" holds for the lines below it. */
  extract: boolean;
  /** Figures whose own line says that they are on dry matter. */
  readonly dryFigures: Set<AnalysisFigure>;
  /** Elements that have a total somewhere in the text; a part of one that has none stands for it. */
  readonly totals: ReadonlySet<Nutrient>;
}

export const percentOf = (figure: AnalysisFigure): string => `${shownDeclared(figure.value)} ${figure.unit}`;
export const figureWords = (figure: AnalysisFigure): string =>
  `${percentOf(figure)} ${analyteName(figure.analyte)}${figure.basis === 'element' ? '' : `, as ${formulaText(figure.basis)}`}${figure.extract ? ', in an extract' : ''}`;

/** @param general the unit of a number that has none of its own */
export function figureFrom(
  named: Extract<NamedAnalyte, { kind: 'analyte' }>,
  found: FoundValue,
  number: number,
  text: string,
  general: AnalysisUnit | undefined,
  context: Context,
): AnalysisFigure | undefined {
  const perLitre = /^mg\s*\/\s*l/i.test(found.foreign ?? '');
  const unit = found.unit ?? (perLitre ? 'g/L' : found.foreign ? undefined : general);
  if (!unit) return undefined;
  return {
    analyte: named.analyte,
    basis: named.basis,
    value: perLitre ? scaleDeclared(found.value, 0.001) : found.value,
    unit,
    provenance: context.provenance,
    source: `line ${number}: ${text}`.slice(0, 300),
  };
}

/** Nitrogen from a crude protein figure. */
export function fromProtein(
  found: FoundValue,
  factor: ProteinFactor,
  number: number,
  line: string,
  general: AnalysisUnit | undefined,
  context: Context,
): AnalysisFigure | undefined {
  const { perNitrogen } = PROTEIN_FACTORS[factor];
  return figureFrom(
    { kind: 'analyte', analyte: 'N', basis: 'element' },
    { ...found, value: scaleDeclared(found.value, 1 / perNitrogen, 3) },
    number,
    `${line} (protein ÷ ${perNitrogen})`,
    general,
    context,
  );
}

/** Words for what a lab takes out with water or weak acid. A label's "available phosphate" is a guarantee and is not meant. */
export const EXTRACT =
  /\b(?:(?:plant |immediately )?available|extractable|(?:water|weak acid|cal|cat)[ -](?:extract|soluble)|extract)\b/i;
export const TOTAL = /\b(?:total|digest|aqua regia)\b/i;

/** On a lab slip: the name without its word for an extract, and whether there was one. Forms of nitrogen have words of their own. */
function extractIn(name: string, context: Context): { readonly name: string; readonly extract: boolean } {
  if (context.provenance !== 'measured' || /nitrogen|\bN\b/i.test(name)) return { name, extract: false };
  if (TOTAL.test(name)) return { name, extract: false };
  return EXTRACT.test(name) ? { name: name.replace(EXTRACT, ' '), extract: true } : { name, extract: context.extract };
}

function checkRestated(figure: AnalysisFigure, bracket: string): Omit<Finding, 'path'> | undefined {
  const [pair] = pairsIn(bracket);
  const named = pair && analyteNamed(pair.name);
  if (!pair || named?.kind !== 'analyte' || elementOf(named.analyte) !== elementOf(figure.analyte)) return undefined;
  const stated = declaredRange(pair.found.value).mid / compoundPerElement(named.basis);
  const main = declaredRange(figure.value).mid / compoundPerElement(figure.basis);
  if (sameInBracket(main, stated)) return undefined;
  return {
    code: 'bracket.differs',
    severity: 'warning',
    message: `${percentOf(figure)} ${symbolIn(elementOf(figure.analyte), figure.basis)} is ${formatGiven(Number(main.toPrecision(3)))} % ${elementOf(figure.analyte)}, but the bracket says ${pair.found.text}.`,
  };
}

/** Said of a figure's own line. */
export const ON_DRY_MATTER =
  /\b(?:dry (?:matter|basis|weight|substance)|(?:on|in|of) dm|d\.\s?m)\b|(?:%|\/\s?kg|ppm)\s*\(?(?:dm|dw|ds|ts|tm)\b/i;

/** Words that set a value off as a share of one before it. */
const SHARE_OF = /\b(?:of which|thereof|incl(?:uding|\.))/i;
const NOT_DETECTED = /\b(?:n\.\s?d\.?|nd|not detected|none detected|nil)(?:\s|$|[,;.)])/i;

/** "Mercury (Hg) n.d.": found by no one, below a limit that nobody tells. */
export function notDetected(text: string): string | undefined {
  const named = NOT_DETECTED.test(text) ? analyteNamed(text.replace(NOT_DETECTED, ' ')) : undefined;
  return named?.kind === 'analyte'
    ? `${analyteName(named.analyte)} was not detected, but no limit is given: write it as < and the limit`
    : undefined;
}

/** What the pairs of a line tell, sorted. */
interface Sorted {
  readonly figures: AnalysisFigure[];
  /** What is counted elsewhere or is no content, in words. */
  readonly asides: string[];
  /** Values without a name that is known. */
  readonly unread: string[];
  liming?: number;
  /** Why nothing of the line can be taken. */
  refused?: string;
}

/** Units of a share by mass, as parts of the whole. */
const SHARES: Readonly<Partial<Record<AnalysisUnit, number>>> = { '%': 1e-2, 'g/kg': 1e-3, 'mg/kg': 1e-6 };
/** Whether a value is the one before it in another unit, but for rounding. */
function saysAgain(figure: AnalysisFigure | undefined, { value, unit }: FoundValue): boolean {
  const [first, again] = [figure && SHARES[figure.unit], unit && SHARES[unit]];
  if (!figure || first === undefined || again === undefined || figure.unit === unit) return false;
  const [a, b] = [declaredRange(figure.value).mid * first, declaredRange(value).mid * again];
  return a > 0 && Math.abs(b / a - 1) < 0.02;
}

function sortPair(
  sorted: Sorted,
  { name: printed, found, before }: Pair,
  line: string,
  number: number,
  lineUnit: AnalysisUnit | undefined,
  context: Context,
): void {
  // "% N 3.2" and "K ppm 210" have their unit with the name.
  const general = unitNamed(printed) ?? lineUnit;
  const { name, extract } = extractIn(printed, context);
  const named = analyteNamed(name);
  switch (named?.kind) {
    case undefined:
      // "Nitrogen 2.4 % 24 g/kg" says one thing twice.
      if (plainName(before) === '' && saysAgain(sorted.figures.at(-1), found)) {
        sorted.asides.push(`said again as ${found.text}`);
        return;
      }
      // "Nitrogen 0.9 1.4 %" has a column for each of two things, and which is which nobody says.
      if (plainName(before) === '' && sorted.figures.length > 0)
        sorted.refused = `more than one value for ${analyteName(sorted.figures.at(-1)?.analyte ?? 'N')}: leave the one that is meant`;
      else sorted.unread.push(found.text);
      return;
    case 'either':
      sorted.refused = `${found.text} could be ${named.of}: say which`;
      return;
    case 'salt':
      sorted.refused = `${found.text} of a salt: write its formula on a line of its own, since its water decides what of it is the element`;
      return;
    case 'liming':
      if (found.unit === '%') sorted.liming = declaredRange(found.value).mid;
      else sorted.unread.push(found.text);
      return;
    case 'moisture':
    case 'dryMatter': {
      const share = declaredRange(found.value).mid / 100;
      context.moisture = named.kind === 'moisture' ? share : 1 - share;
      sorted.asides.push(`${formatGiven(Number((context.moisture * 100).toPrecision(4)))} % moisture`);
      return;
    }
    case 'protein': {
      const figure = fromProtein(found, 'feed', number, line, general, context);
      if (figure) sorted.figures.push(figure);
      return;
    }
    case 'analyte': {
      const element = elementOf(named.analyte);
      const isNitrogen = element === 'N';
      if (!isNitrogen && (SHARE_OF.test(before) || named.partOnly) && context.totals.has(element)) {
        sorted.asides.push(`part of ${analyteName(element)}, already counted in its total`);
        return;
      }
      const figure = figureFrom(named, found, number, line, general, context);
      if (figure) sorted.figures.push(extract && !isNitrogen ? { ...figure, extract: 'available' } : figure);
      else
        sorted.refused = `${analyteName(named.analyte)}, ${found.text}: no unit ${found.foreign ? 'that is known here' : 'is given'}, expected %, g/kg or mg/kg`;
    }
  }
}

/** Brackets that restate an oxide as its element are checked, not counted again: "(3.5 % P)". Those that break nitrogen down are read like the rest. */
function bracketsOf(line: string): {
  readonly rest: string;
  readonly checks: readonly { readonly at: number; readonly text: string }[];
  readonly forms: readonly string[];
} {
  const forms: string[] = [];
  const checks: { at: number; text: string }[] = [];
  const rest = line.replace(/\(([^()]*\d[^()]*%[^()]*)\)/g, (whole: string, inside: string, at: number) => {
    const named = pairsIn(inside).map((p) => analyteNamed(p.name));
    if (named.some((n) => n?.kind === 'analyte' && elementOf(n.analyte) === 'N')) forms.push(inside);
    else checks.push({ at, text: inside });
    return ' '.repeat(whole.length);
  });
  return { rest, checks, forms };
}

/** In a bracket behind nitrogen, "7 % nitrate" is the nitrogen that is there as nitrate, not nitrate itself. */
const asNitrogen = (figure: AnalysisFigure): AnalysisFigure =>
  elementOf(figure.analyte) === 'N' ? { ...figure, basis: 'element' } : figure;

/** The figures of a line, each with its name; what stands beside them and is not understood is told. */
export function readAnalysis(typed: string, number: number, context: Context): Read | undefined {
  const line = joinSpans(typed);
  const { rest: unbracketed, checks, forms } = bracketsOf(line);
  const { unit = context.unit, rest } = bracketUnit(unbracketed);
  const pairs = pairsIn(rest);
  const sorted: Sorted = { figures: [], asides: [], unread: [] };
  for (const pair of pairs) sortPair(sorted, pair, line, number, unit, context);
  const inForms: Sorted = { figures: [], asides: [], unread: [] };
  for (const pair of forms.flatMap(pairsIn)) sortPair(inForms, pair, line, number, unit, context);
  const { asides, liming } = sorted;
  const unread = [...sorted.unread, ...inForms.unread];
  const figures = [...sorted.figures, ...inForms.figures.map(asNitrogen)];
  if (ON_DRY_MATTER.test(line)) figures.forEach((figure) => context.dryFigures.add(figure));
  const refused = sorted.refused ?? inForms.refused;
  if (refused !== undefined) return { kind: 'notUnderstood', says: refused };
  if (figures.length > 0 && unread.length > 1 && figures.length < pairs.length - 1) return undefined;
  const missing = notDetected(rest.slice(pairs.at(-1)?.found.end ?? 0));
  const [first] = figures;
  if (!first && liming === undefined)
    return missing
      ? { kind: 'notUnderstood', says: missing }
      : asides.length > 0
        ? { kind: 'part', says: asides.join('; ') }
        : undefined;
  const extra = [
    ...(unread.length > 0 ? [`${unread.join(', ')} beside it was not understood`] : []),
    ...(missing ? [missing] : []),
  ];
  const [finding] = checks.flatMap(({ at, text }) => {
    const nth = pairs.filter((p) => p.found.end <= at).length - 1;
    const figure = sorted.figures.length === pairs.length ? sorted.figures[nth] : first;
    return (figure && checkRestated(figure, text)) ?? [];
  });
  return {
    kind: extra.length > 0 ? 'notUnderstood' : first ? 'analysis' : 'liming',
    says: [
      ...figures.map(figureWords),
      ...(liming === undefined ? [] : [`a liming effect of ${formatGiven(liming)} kg CaCO₃ per 100 kg`]),
      ...extra,
    ].join('; '),
    figures,
    ...(liming === undefined ? {} : { liming }),
    ...(finding ? { finding } : {}),
  };
}

/** A formula alone on its line is an analysis of the pure salt, its hydrate water counted. */
export function readFormulaLine(typed: string, number: number): Read | undefined {
  const line = typed.replace(/ (?=\d{0,2} ?H2O$)/i, '·');
  if (!looksLikeFormula(line)) return undefined;
  try {
    const { fractions, water } = readFormula(line);
    const figures = Object.entries(fractions).map(([element, share]): AnalysisFigure => ({
      analyte: element as Nutrient,
      basis: 'element',
      value: { kind: 'number', value: Number((share * 100).toPrecision(4)) },
      unit: '%',
      provenance: 'published',
      source: `line ${number}: ${line}, as the pure salt`,
    }));
    if (figures.length === 0) return undefined;
    return {
      kind: 'analysis',
      says: `${figures.map(figureWords).join('; ')}, as the pure salt${water > 0 ? ` with ${water} of water` : ' without water: check the hydrate'}`,
      figures,
    };
  } catch (error) {
    if (error instanceof LabelError) return undefined;
    throw error;
  }
}

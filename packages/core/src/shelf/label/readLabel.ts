import type { Provenance } from '../../figure/index.js';
import { LabelError } from '../../errors.js';
import { analyteName, basesOf, compoundPerElement, elementOf, formulaText, looksLikeFormula, readFormula, symbolIn, type Nutrient } from '../../nutrient/index.js';
import { formatGiven, parseQuantity } from '../../quantity/index.js';
import { printDeclared } from '../declaredValue.js';
import { parseGrade, printGrade } from '../grade.js';
import { labelChecks, type Finding } from '../labelChecks.js';
import { declaredRange } from '../massFraction.js';
import type { AnalysisFigure, AnalysisUnit, DeclaredValue, LabelRate } from '../product.js';
import { analyteNamed, plainName, type NamedAnalyte } from './names.js';
import type { Correction, LabelLine, LabelReading, LineKind } from './reading.js';
import { findValues, type FoundValue } from './values.js';

/** Longer texts are no labels: what is beyond is left out, and that is said. */
const MOST_LINES = 400;
const MOST_PER_LINE = 400;
/** Feed law defines crude protein as N × 6.25, whatever the crop. */
const PROTEIN_PER_N = 6.25;

/** What lines before have said about lines to come. */
interface Context {
  readonly provenance: Provenance;
  unit: AnalysisUnit | undefined;
  dry: boolean;
  moisture: number | undefined;
  inIngredients: boolean;
}

interface Read {
  readonly kind: LineKind;
  readonly says: string;
  readonly figures?: readonly AnalysisFigure[];
  readonly grade?: string;
  readonly ingredients?: readonly string[];
  readonly package?: { readonly size: number; readonly unit: string };
  readonly density?: number;
  readonly rate?: LabelRate;
  readonly finding?: Omit<Finding, 'path'>;
}

const clean = (line: string): string => line.replace(/[\p{Cc}\u00a0\u200b-\u200f\u202f\ufeff]/gu, ' ').replace(/[.·•…_]{2,}|(?:\s[.·•…])+(?=\s)/g, '  ').replace(/\s+/g, ' ').trim();

const percentOf = (figure: AnalysisFigure): string => `${printDeclared(figure.value).replace(/^([\d.]+)–[\d.]+–([\d.]+)$/, '$1–$2')} ${figure.unit}`;
const figureWords = (figure: AnalysisFigure): string =>
  `${percentOf(figure)} ${analyteName(figure.analyte)}${figure.basis === 'element' ? '' : `, as ${formulaText(figure.basis)}`}`;

const scaled = (value: DeclaredValue, factor: number): DeclaredValue => {
  const by = (n: number): number => Number((n * factor).toPrecision(6));
  switch (value.kind) {
    case 'number': return { kind: 'number', value: by(value.value) };
    case 'range': return { kind: 'range', low: by(value.low), mid: by(value.mid), high: by(value.high) };
    case 'below': return { kind: 'below', limit: by(value.limit) };
  }
};

function figureFrom(named: Extract<NamedAnalyte, { kind: 'analyte' }>, found: FoundValue, number: number, text: string, context: Context): AnalysisFigure | undefined {
  const unit = found.unit ?? context.unit;
  if (!unit) return undefined;
  return { analyte: named.analyte, basis: named.basis, value: found.value, unit, provenance: context.provenance, source: `line ${number}: ${text}`.slice(0, 300) };
}

const HEADING = /^(guaranteed|typical|minimum|declared|nutrient)?\s*(analysis|guarantee|content|nutrients?|contents? declaration|composition)\b|^(organic|mineral|npk|ec|eu|complex|straight)?\s*fertili[sz]er\b|^plant nutrients?\b|^lab(oratory)? (report|slip|results?)\b|^sample\b/i;
const INGREDIENTS = /^(?:plant nutrients? )?(?:derived|made|obtained|manufactured|produced) from\b:?|^(?:nutrient )?(?:sources?|ingredients?|raw materials?)\s*:/i;

function readIngredientWords(text: string): readonly string[] {
  return text.replace(/\.$/, '').split(/[,;]|\band\b/).map((w) => w.replace(/\([^)]*\)/g, ' ').replace(/\s+/g, ' ').trim().toLowerCase()).filter((w) => w.length > 1 && w.length <= 120);
}

const DATE = /\b\d{4}-\d{1,2}-\d{1,2}\b/;

function readGradeLine(printed: string): Read | undefined {
  if (DATE.test(printed)) return undefined;
  // "12-8-16 (+3 MgO)" adds in brackets what others add without.
  const line = printed.replace(/\(\s*\+([^()]*)\)/g, ' +$1 ');
  const triple = /(?:^|[^\d.,/-])(\d{1,2}(?:[.,]\d)?\s*[-–:/]\s*\d{1,2}(?:[.,]\d)?\s*[-–:/]\s*\d{1,2}(?:[.,]\d)?(?:\s*[-–:/]\s*\d{1,2}(?:[.,]\d)?)?(?:\s*\+\s*[\d.,]+\s*%?\s*[A-Za-z0-9]+)*)(?![\d./-])/.exec(line)?.[1];
  const typed = triple ?? /\bn\W?p\W?k\W*(\d{3,6})\b/i.exec(line)?.[1];
  if (!typed) return undefined;
  const parsed = parseGrade(typed);
  if (parsed.kind === 'none') return undefined;
  if (parsed.kind === 'several') return { kind: 'notUnderstood', says: `${parsed.question} ${parsed.readings.slice(0, 4).map(printGrade).join(' or ')}?` };
  if (parsed.grade.reduce((s, p) => s + p.amount, 0) > 100) return { kind: 'notUnderstood', says: `Read ${typed}: a grade above 100 % cannot be.` };
  return { kind: 'grade', says: `the grade ${printGrade(parsed.grade)}`, grade: printGrade(parsed.grade) };
}

function readMeasure(line: string): Read | undefined {
  const density = /\b(?:density|specific gravity|sp\.? ?gr\.?)\D{0,12}(\d+[.,]?\d*)\s*(kg\s*\/\s*l|g\s*\/\s*ml|g\s*\/\s*cm3|kg\s*\/\s*m3)?/i.exec(line);
  if (density?.[1]) {
    const value = Number(density[1].replace(',', '.')) / (/m3/i.test(density[2] ?? '') ? 1000 : 1);
    if (value > 0.01 && value < 5) return { kind: 'density', says: `a density of ${formatGiven(value)} kg/L`, density: value };
  }
  const weight = /\b(?:net\s*(?:weight|wt\.?|contents?|volume)|contents?|weight)\b\W*([\d.,]+\s*(?:kg|g|lbs?|oz|l|ml|litres?|liters?))\b/i.exec(line)?.[1];
  if (weight) {
    for (const dimension of ['mass', 'volume'] as const) {
      const read = parseQuantity(weight, dimension);
      if (read.ok && read.value > 0) return { kind: 'package', says: `a package of ${formatGiven(read.value)} ${read.unit.symbol}`, package: { size: read.value, unit: read.unit.symbol } };
    }
  }
  const rate = /([\d.,]+)\s*(g\s*(?:\/|per)\s*(?:m²|m2|sq\.? ?m|square met(?:re|er))|kg\s*(?:\/|per)\s*(?:ha|hectare)|ml\s*(?:\/|per)\s*(?:m²|m2)|l\s*(?:\/|per)\s*(?:ha|hectare)|lbs?\s*(?:\/|per)\s*acre)/i.exec(line);
  if (rate?.[1] && rate[2]) {
    const unit = rate[2].toLowerCase().replace(/\s/g, '').replace('per', '/').replace(/sq\.?m|squaremet(re|er)|m2/, 'm²').replace('hectare', 'ha').replace('lbs', 'lb');
    for (const dimension of ['arealRate', 'arealVolume'] as const) {
      const read = parseQuantity(`${rate[1]} ${unit}`, dimension);
      if (read.ok && read.value > 0) return { kind: 'rate', says: `a rate of ${formatGiven(read.value)} ${read.unit.symbol}, taken as once a year`, rate: { amount: read.value, unit: read.unit.symbol, perYear: 1 } };
    }
  }
  return undefined;
}

/** Name and value pairs of a line: "Nitrogen 5 %" or "5 % Nitrogen"; several in a row when each value has its own name. */
function pairsIn(line: string): readonly { readonly name: string; readonly found: FoundValue }[] {
  const values = findValues(line);
  const [first] = values;
  if (!first) return [];
  const before = line.slice(0, first.start);
  const nameFirst = analyteNamed(before.replace(/\([^)]*$/, '')) !== undefined || values.length === 1 && plainName(before) !== '';
  return values.map((found, i) => ({
    found,
    name: nameFirst ? line.slice(values[i - 1]?.end ?? 0, found.start) : line.slice(found.end, values[i + 1]?.start ?? line.length),
  }));
}

/** "(3.5 % P)" after an oxide restates it as the element: checked against it, not counted again. */
function restated(line: string): { readonly rest: string; readonly bracket: string | undefined } {
  const bracket = /\(([^()]*\d[^()]*%[^()]*)\)/.exec(line);
  return bracket ? { rest: line.replace(bracket[0], ' '), bracket: bracket[1] } : { rest: line, bracket: undefined };
}

function checkRestated(figure: AnalysisFigure, bracket: string): Omit<Finding, 'path'> | undefined {
  const [pair] = pairsIn(bracket);
  const named = pair && analyteNamed(pair.name);
  if (!pair || named?.kind !== 'analyte' || elementOf(named.analyte) !== elementOf(figure.analyte)) return undefined;
  const stated = declaredRange(pair.found.value).mid / compoundPerElement(named.basis);
  const main = declaredRange(figure.value).mid / compoundPerElement(figure.basis);
  if (Math.abs(stated - main) <= 0.06 + main * 0.02) return undefined;
  return { code: 'bracket.differs', severity: 'warning', message: `${percentOf(figure)} ${symbolIn(elementOf(figure.analyte), figure.basis)} is ${formatGiven(Number(main.toPrecision(3)))} % ${elementOf(figure.analyte)}, but the bracket says ${pair.found.text}.` };
}

function readAnalysis(line: string, number: number, context: Context): Read | undefined {
  const { rest, bracket } = restated(line);
  const pairs = pairsIn(rest);
  const figures: AnalysisFigure[] = [];
  let aside = '';
  let unnamed = 0;
  for (const { name, found } of pairs) {
    const named = analyteNamed(name);
    if (!named) unnamed += 1;
    else if (named.kind === 'part') aside = `part of ${named.of}, already counted in its total`;
    else if (named.kind === 'moisture' || named.kind === 'dryMatter') {
      const share = declaredRange(found.value).mid / 100;
      context.moisture = named.kind === 'moisture' ? share : 1 - share;
      aside = `${formatGiven(Number((context.moisture * 100).toPrecision(4)))} % moisture`;
    } else if (named.kind === 'protein') {
      const figure = figureFrom({ kind: 'analyte', analyte: 'N', basis: 'element' }, { ...found, value: scaled(found.value, 1 / PROTEIN_PER_N) }, number, `${line} (protein ÷ ${PROTEIN_PER_N})`, context);
      if (figure) figures.push(figure);
    } else {
      const figure = figureFrom(named, found, number, line, context);
      if (figure) figures.push(figure);
      else return { kind: 'notUnderstood', says: `${analyteName(named.analyte)}, ${found.text}: no unit is given, expected %, g/kg or mg/kg` };
    }
  }
  if (figures.length > 0 && unnamed > 0 && pairs.length === figures.length + unnamed && figures.length < pairs.length - 1) return undefined;
  const [first] = figures;
  const finding = first && bracket ? checkRestated(first, bracket) : undefined;
  if (first) return { kind: 'analysis', says: figures.map(figureWords).join('; '), figures, ...(finding ? { finding } : {}) };
  return aside ? { kind: 'part', says: aside } : undefined;
}

/** A formula alone on its line is an analysis of the pure salt, its hydrate water counted. */
function readFormulaLine(line: string, number: number): Read | undefined {
  if (!looksLikeFormula(line)) return undefined;
  try {
    const { fractions, water } = readFormula(line);
    const figures = Object.entries(fractions).map(([element, share]): AnalysisFigure => ({
      analyte: element as Nutrient, basis: 'element', value: { kind: 'number', value: Number((share * 100).toPrecision(4)) }, unit: '%', provenance: 'published', source: `line ${number}: ${line}, as the pure salt`,
    }));
    if (figures.length === 0) return undefined;
    return { kind: 'analysis', says: `${figures.map(figureWords).join('; ')}, as the pure salt${water > 0 ? ` with ${water} of water` : ' without water: check the hydrate'}`, figures };
  } catch (error) {
    if (error instanceof LabelError) return undefined;
    throw error;
  }
}

function readHeading(line: string, context: Context): Read | undefined {
  const named = analyteNamed(line);
  const heading = HEADING.test(line) || /:$/.test(line) || (named !== undefined && findValues(line).length === 0);
  const unit = findValues(`1 ${/(%\s*\(?w\s*\/\s*v\)?|% ?m\/v|%|g\s*\/\s*kg|mg\s*\/\s*kg|ppm|g\s*\/\s*l)/i.exec(line)?.[0] ?? ''}`)[0]?.unit;
  const dry = /\b(dry (matter|basis|weight|substance)|on dm|d\.m\.)\b/i.test(line);
  if (!heading && !(unit && findValues(line).length === 0) && !dry) return undefined;
  if (unit) context.unit = unit;
  if (dry) context.dry = true;
  const told = [unit ? `figures below are in ${unit}` : '', dry ? 'on dry matter' : ''].filter(Boolean).join(', ');
  return { kind: 'heading', says: told ? `a heading: ${told}` : 'a heading' };
}

function corrected(line: string, number: number, correction: Correction, context: Context): Read {
  if (correction.kind === 'ignore') return { kind: 'setAside', says: 'set aside by you' };
  const [found] = findValues(line);
  const figure = found && figureFrom(correction, { ...found, unit: found.unit ?? context.unit ?? '%' }, number, line, context);
  return figure ? { kind: 'analysis', says: `${figureWords(figure)}, as you said`, figures: [figure] } : { kind: 'notUnderstood', says: 'no number stands in this line' };
}

function readLine(line: string, number: number, context: Context): Read {
  if (INGREDIENTS.test(line)) {
    const ingredients = readIngredientWords(line.replace(INGREDIENTS, ''));
    context.inIngredients = true;
    return { kind: 'derivedFrom', says: ingredients.length > 0 ? `made from ${ingredients.join(', ')}` : 'the list of ingredients follows', ingredients };
  }
  // A line with a unit is an analysis first; one without may be a grade whose additions look like names and values.
  const hasUnit = findValues(line).some((v) => v.unit);
  const asGrade = (): Read | undefined => readGradeLine(line);
  const asAnalysis = (): Read | undefined => readAnalysis(line, number, context);
  const read = readFormulaLine(line, number) ?? readMeasure(line) ?? (hasUnit ? (asAnalysis() ?? asGrade()) : (asGrade() ?? asAnalysis()));
  if (read) {
    context.inIngredients = false;
    return read;
  }
  if (context.inIngredients && findValues(line).length === 0 && !HEADING.test(line)) {
    const ingredients = readIngredientWords(line);
    if (ingredients.length > 0) return { kind: 'derivedFrom', says: `made from ${ingredients.join(', ')}`, ingredients };
  }
  const heading = readHeading(line, context);
  if (heading) {
    context.inIngredients = false;
    return heading;
  }
  return findValues(line).length > 0
    ? { kind: 'notUnderstood', says: 'a number without a name that is known' }
    : { kind: 'setAside', says: 'words without figures' };
}

/** Figures on dry matter brought to what is in the bag: as-is = dry × (1 − moisture). */
function asIs(analysis: readonly AnalysisFigure[], context: Context): readonly AnalysisFigure[] {
  if (!context.dry || context.moisture === undefined) return analysis;
  const wet = 1 - context.moisture;
  return analysis.map((f) => ({ ...f, value: scaled(f.value, wet), source: `${f.source}; dry matter × ${formatGiven(wet)}`.slice(0, 300) }));
}

/**
 * Reads the text of a label, a feed tag or a lab slip, line by line: what each line was taken to be, what was not
 * understood, what contradicts. It never guesses a number, a unit or a nutrient, and it never throws.
 *
 * @param text as pasted; lines beyond 400 and characters beyond 400 a line are left out, and that is said
 * @param provenance `label` for a bag, `measured` for a lab slip
 * @param corrections a person's word on misread lines, by line number from 1
 * @example readLabel('Total Nitrogen (N) .... 5.0%\n  3.0% Water Insoluble Nitrogen').analysis
 */
export function readLabel(text: string, provenance: Provenance = 'label', corrections: Readonly<Record<number, Correction>> = {}): LabelReading {
  const all = text.split(/\r\n|\r|\n|\u2028|\u2029/);
  const context: Context = { provenance, unit: undefined, dry: false, moisture: undefined, inIngredients: false };
  const reads: { readonly line: LabelLine; readonly read: Read }[] = all.slice(0, MOST_LINES).map((raw, i) => {
    const number = i + 1;
    const line = clean(raw.slice(0, MOST_PER_LINE));
    const correction = corrections[number];
    const read: Read = line === '' ? { kind: 'blank', says: '' } : correction ? corrected(line, number, correction, context) : readLine(line, number, context);
    return { read, line: { number, text: line, kind: read.kind, says: read.says, figures: read.figures ?? [] } };
  });
  const figures = reads.flatMap(({ read }) => read.figures ?? []);
  const repeated = figures.filter((f, i) => figures.findIndex((g) => g.analyte === f.analyte && g.basis === f.basis) !== i);
  const analysis = asIs(figures.filter((f) => !repeated.includes(f)), context).filter((f) => basesOf(f.analyte).includes(f.basis));
  const grade = reads.find(({ read }) => read.grade !== undefined)?.read.grade;
  const densityKgPerL = reads.find(({ read }) => read.density !== undefined)?.read.density;
  const derivedFrom = [...new Set(reads.flatMap(({ read }) => read.ingredients ?? []))].slice(0, 40);
  const own: Finding[] = [
    ...reads.flatMap(({ read }) => (read.finding ? [{ ...read.finding, path: 'label' }] : [])),
    ...repeated.map((f): Finding => ({ code: 'label.repeated', severity: 'warning', path: 'label', message: `${analyteName(f.analyte)} stands more than once; ${percentOf(f)} in ${f.source.split(':')[0]} was not taken.` })),
    ...(context.dry && context.moisture === undefined && analysis.length > 0 ? [{ code: 'label.dry', severity: 'warning', path: 'label', message: 'The figures are on dry matter. Without the moisture they say nothing of what is in the bag.' } as const] : []),
    ...(all.length > MOST_LINES || all.some((l) => l.length > MOST_PER_LINE) ? [{ code: 'label.long', severity: 'note', path: 'label', message: `Only the first ${MOST_LINES} lines, and ${MOST_PER_LINE} characters of each, were read.` } as const] : []),
  ];
  return {
    lines: reads.map(({ line }) => line),
    grade, analysis, derivedFrom, densityKgPerL,
    packages: reads.flatMap(({ read }) => (read.package ? [read.package] : [])).slice(0, 5),
    labelRate: reads.find(({ read }) => read.rate !== undefined)?.read.rate,
    findings: [...own, ...labelChecks({ grade, analysis, derivedFrom, densityKgPerL })],
  };
}

import type { Provenance } from '../../figure/index.js';
import { LabelError } from '../../errors.js';
import { analyteName, basesOf, compoundPerElement, elementOf, formulaText, looksLikeFormula, readFormula, symbolIn, type Nutrient } from '../../nutrient/index.js';
import { formatGiven } from '../../quantity/index.js';
import { printDeclared, scaleDeclared } from '../declaredValue.js';
import { labelChecks, type Finding } from '../labelChecks.js';
import { declaredRange } from '../massFraction.js';
import type { AnalysisFigure, AnalysisUnit } from '../product.js';
import { PROTEIN_FACTORS, type ProteinFactor } from '../protein.js';
import { analyteNamed, plainName, type NamedAnalyte } from './names.js';
import { readDirections } from './directions.js';
import { readGradeLine, readMeasure } from './measures.js';
import type { Correction, LabelLine, LabelReading, Read } from './reading.js';
import { commaIn, findValues, settleThousands, unclearWords, type CommaMark, type FoundValue } from './values.js';

/** Longer texts are no labels: what is beyond is left out, and that is said. */
const MOST_LINES = 400;
const MOST_PER_LINE = 400;

/** What lines before have said about lines to come. */
interface Context {
  readonly provenance: Provenance;
  unit: AnalysisUnit | undefined;
  dry: boolean;
  moisture: number | undefined;
  inIngredients: boolean;
  /** A heading such as "water extract" holds for the lines below it. */
  extract: boolean;
}

const clean = (line: string): string => line.replace(/[\p{Cc}\u00a0\u200b-\u200f\u202f\ufeff]/gu, ' ').replace(/[.·•…_]{2,}|(?:\s[.·•…])+(?=\s)/g, '  ').replace(/\s+/g, ' ').trim();

const percentOf = (figure: AnalysisFigure): string => `${printDeclared(figure.value).replace(/^([\d.]+)–[\d.]+–([\d.]+)$/, '$1–$2')} ${figure.unit}`;
const figureWords = (figure: AnalysisFigure): string =>
  `${percentOf(figure)} ${analyteName(figure.analyte)}${figure.basis === 'element' ? '' : `, as ${formulaText(figure.basis)}`}${figure.extract ? ', in an extract' : ''}`;

function figureFrom(named: Extract<NamedAnalyte, { kind: 'analyte' }>, found: FoundValue, number: number, text: string, context: Context): AnalysisFigure | undefined {
  const unit = found.unit ?? context.unit;
  if (!unit) return undefined;
  return { analyte: named.analyte, basis: named.basis, value: found.value, unit, provenance: context.provenance, source: `line ${number}: ${text}`.slice(0, 300) };
}

/** Words for what a lab takes out with water or weak acid. A label's "available phosphate" is a guarantee and is not meant. */
const EXTRACT = /\b(?:(?:plant |immediately )?available|extractable|(?:water|weak acid|cal|cat)[ -](?:extract|soluble)|extract)\b/i;
const TOTAL = /\b(?:total|digest|aqua regia)\b/i;

/** On a lab slip: the name without its word for an extract, and whether there was one. Forms of nitrogen have words of their own. */
function extractIn(name: string, context: Context): { readonly name: string; readonly extract: boolean } {
  if (context.provenance !== 'measured' || /nitrogen|\bN\b/i.test(name)) return { name, extract: false };
  if (TOTAL.test(name)) return { name, extract: false };
  return EXTRACT.test(name) ? { name: name.replace(EXTRACT, ' '), extract: true } : { name, extract: context.extract };
}

const HEADING = /^(guaranteed|typical|minimum|declared|nutrient)?\s*(analysis|guarantee|content|nutrients?|contents? declaration|composition)\b|^(organic|mineral|npk|ec|eu|complex|straight)?\s*fertili[sz]er\b|^plant nutrients?\b|^lab(oratory)? (report|slip|results?)\b|^sample\b/i;
const INGREDIENTS = /^(?:plant nutrients? )?(?:derived|made|obtained|manufactured|produced) (?:from|with|of)\b:?|^(?:nutrient )?(?:sources?|ingredients?|raw materials?)\s*:/i;

function readIngredientWords(text: string): readonly string[] {
  return text.replace(/\.$/, '').split(/[,;]|\band\b/).map((w) => w.replace(/\([^)]*\)/g, ' ').replace(/\s+/g, ' ').trim().toLowerCase()).filter((w) => w.length > 1 && w.length <= 120);
}

/** Name and value pairs of a line: "Nitrogen 5 %" or "5 % Nitrogen"; several in a row when each value has its own name. */
function pairsIn(line: string): readonly { readonly name: string; readonly found: FoundValue }[] {
  const values = findValues(line);
  const [first] = values;
  if (!first) return [];
  const before = line.slice(0, first.start);
  const namedBehind = analyteNamed(line.slice(first.end)) !== undefined;
  const nameFirst = analyteNamed(before.replace(/\([^)]*$/, '')) !== undefined || (values.length === 1 && plainName(before) !== '' && !namedBehind);
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
  for (const { name: printed, found } of pairs) {
    const { name, extract } = extractIn(printed, context);
    const named = analyteNamed(name);
    if (!named) unnamed += 1;
    else if (named.kind === 'part') aside = `part of ${named.of}, already counted in its total`;
    else if (named.kind === 'moisture' || named.kind === 'dryMatter') {
      const share = declaredRange(found.value).mid / 100;
      context.moisture = named.kind === 'moisture' ? share : 1 - share;
      aside = `${formatGiven(Number((context.moisture * 100).toPrecision(4)))} % moisture`;
    } else if (named.kind === 'protein') {
      const figure = fromProtein(found, 'feed', number, line, context);
      if (figure) figures.push(figure);
    } else {
      const figure = figureFrom(named, found, number, line, context);
      if (figure) figures.push(extract && elementOf(named.analyte) !== 'N' ? { ...figure, extract: 'available' } : figure);
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
function readFormulaLine(typed: string, number: number): Read | undefined {
  const line = typed.replace(/ (?=\d{0,2} ?H2O$)/i, '·');
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
  const extract = context.provenance !== 'measured' || findValues(line).length > 0 ? undefined : EXTRACT.test(line) ? true : TOTAL.test(line) ? false : undefined;
  const dry = /\b(dry (matter|basis|weight|substance)|on dm|d\.m\.)\b/i.test(line);
  if (!heading && !(unit && findValues(line).length === 0) && !dry && extract === undefined) return undefined;
  if (extract !== undefined) context.extract = extract;
  if (unit) context.unit = unit;
  if (dry) context.dry = true;
  const told = [unit ? `figures below are in ${unit}` : '', dry ? 'on dry matter' : '', extract === true ? 'of an extract' : extract === false ? 'totals' : ''].filter(Boolean).join(', ');
  return { kind: 'heading', says: told ? `a heading: ${told}` : 'a heading' };
}

/** Nitrogen from a crude protein figure. */
function fromProtein(found: FoundValue, factor: ProteinFactor, number: number, line: string, context: Context): AnalysisFigure | undefined {
  const { perNitrogen } = PROTEIN_FACTORS[factor];
  return figureFrom({ kind: 'analyte', analyte: 'N', basis: 'element' }, { ...found, value: scaleDeclared(found.value, 1 / perNitrogen, 3) }, number, `${line} (protein ÷ ${perNitrogen})`, context);
}

function corrected(line: string, number: number, correction: Correction, context: Context): Read {
  if (correction.kind === 'ignore') return { kind: 'setAside', says: 'set aside by you' };
  const [found] = findValues(line);
  const withUnit = found && { ...found, unit: found.unit ?? context.unit ?? ('%' as const) };
  const figure = withUnit && (correction.kind === 'protein' ? fromProtein(withUnit, correction.factor, number, line, context) : figureFrom(correction, withUnit, number, line, context));
  return figure ? { kind: 'analysis', says: `${figureWords(figure)}, as you said`, figures: [figure] } : { kind: 'notUnderstood', says: 'no number stands in this line' };
}

/** What tells figures or a measure. A line with a unit is an analysis first; one without may be a grade whose additions look like names and values. */
function readFigures(line: string, number: number, context: Context): Read | undefined {
  const hasUnit = findValues(line).some((v) => v.unit);
  const asGrade = (): Read | undefined => readGradeLine(line);
  const asAnalysis = (): Read | undefined => readAnalysis(line, number, context);
  return readFormulaLine(line, number) ?? readMeasure(line) ?? (hasUnit ? (asAnalysis() ?? asGrade()) : (asGrade() ?? asAnalysis()));
}

/** Rates, and a figure or a measure that stands in the same line. */
function withRates({ read, besides }: NonNullable<ReturnType<typeof readDirections>>, readPart: (part: string) => Read | undefined): Read {
  const parts = besides.map((part) => ({ part, read: readPart(part) }));
  const beside = parts.find((p) => p.read !== undefined && p.read.kind !== 'notUnderstood');
  const unread = parts.some((p) => p !== beside && findValues(p.part).some((v) => v.unit));
  if (unread) return { ...read, kind: 'notUnderstood', says: `${read.says}; what else stands in the line was not understood` };
  if (!beside?.read) return read;
  return { ...beside.read, kind: read.kind === 'notUnderstood' ? 'notUnderstood' : beside.read.kind, says: `${beside.read.says}; ${read.says}`, ...(read.directions ? { directions: read.directions } : {}) };
}

function readLine(line: string, number: number, context: Context): Read {
  if (INGREDIENTS.test(line)) {
    const ingredients = readIngredientWords(line.replace(INGREDIENTS, ''));
    context.inIngredients = true;
    return { kind: 'derivedFrom', says: ingredients.length > 0 ? `made from ${ingredients.join(', ')}` : 'the list of ingredients follows', ingredients };
  }
  const rates = readDirections(line);
  const read = rates ? withRates(rates, (part) => readFigures(part, number, context)) : readFigures(line, number, context);
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

/** A line whose numbers are clear, by a person's word or by its own. */
function readSettled(line: string, number: number, correction: Correction | undefined, comma: CommaMark, context: Context): Read {
  if (line === '') return { kind: 'blank', says: '' };
  if (correction?.kind === 'ignore') return corrected(line, number, correction, context);
  const settled = settleThousands(line, comma);
  if ('unclear' in settled) return { kind: 'notUnderstood', says: unclearWords(settled.unclear) };
  return correction ? corrected(settled.line, number, correction, context) : readLine(settled.line, number, context);
}

/** Figures on dry matter brought to what is in the bag: as-is = dry × (1 − moisture). Without the moisture none can be. */
function asIs(analysis: readonly AnalysisFigure[], context: Context): readonly AnalysisFigure[] {
  if (!context.dry) return analysis;
  if (context.moisture === undefined) return [];
  const wet = 1 - context.moisture;
  return analysis.map((f) => ({ ...f, value: scaleDeclared(f.value, wet), source: `${f.source}; dry matter × ${formatGiven(wet)}`.slice(0, 300) }));
}

/** The line that was taken for what a later line gives again. */
const analysisOf = (figures: readonly AnalysisFigure[], again: AnalysisFigure): AnalysisFigure | undefined => figures.find((g) => g.analyte === again.analyte && g.basis === again.basis && g.extract === again.extract);
/** A footnote that only says the same once more. */
const restates = (again: AnalysisFigure, first: AnalysisFigure | undefined): boolean => first?.unit === again.unit && JSON.stringify(first.value) === JSON.stringify(again.value);

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
  const comma = commaIn(text);
  const context: Context = { provenance, unit: undefined, dry: false, moisture: undefined, inIngredients: false, extract: false };
  const reads: { readonly line: LabelLine; readonly read: Read }[] = all.slice(0, MOST_LINES).map((raw, i) => {
    const number = i + 1;
    const line = clean(raw.slice(0, MOST_PER_LINE));
    const read = readSettled(line, number, corrections[number], comma, context);
    return { read, line: { number, text: line, kind: read.kind, says: read.says, figures: read.figures ?? [] } };
  });
  const figures = reads.flatMap(({ read }) => read.figures ?? []);
  const repeated = figures.filter((f) => analysisOf(figures, f) !== f);
  const analysis = asIs(figures.filter((f) => !repeated.includes(f)), context).filter((f) => basesOf(f.analyte).includes(f.basis));
  const grade = reads.find(({ read }) => read.grade !== undefined)?.read.grade;
  const densityKgPerL = reads.find(({ read }) => read.density !== undefined)?.read.density;
  const derivedFrom = [...new Set(reads.flatMap(({ read }) => read.ingredients ?? []))].slice(0, 40);
  const waits = context.dry && context.moisture === undefined;
  const own: Finding[] = [
    ...reads.flatMap(({ read }) => (read.finding ? [{ ...read.finding, path: 'label' }] : [])),
    ...repeated.filter((f) => !restates(f, analysisOf(figures, f))).map((f): Finding => ({ code: 'label.repeated', severity: 'warning', path: 'label', message: `${analyteName(f.analyte)} stands more than once; ${percentOf(f)} in ${f.source.split(':')[0]} was not taken.` })),
    ...(waits && figures.length > 0 ? [{ code: 'label.dry', severity: 'warning', path: 'label', message: 'The figures are on dry matter and say nothing yet of what is in the bag. Add a line such as “Moisture 12 %”; until then none is taken over.' } as const] : []),
    ...(all.length > MOST_LINES || all.some((l) => l.length > MOST_PER_LINE) ? [{ code: 'label.long', severity: 'note', path: 'label', message: `Only the first ${MOST_LINES} lines, and ${MOST_PER_LINE} characters of each, were read.` } as const] : []),
  ];
  return {
    lines: reads.map(({ line }) => (waits && line.figures.length > 0 ? { ...line, says: `${line.says}, on dry matter: waits for the moisture` } : line)),
    grade, analysis, derivedFrom, densityKgPerL,
    packages: reads.flatMap(({ read }) => (read.package ? [read.package] : [])).slice(0, 5),
    directions: reads.flatMap(({ read }) => read.directions ?? []).slice(0, 12),
    findings: [...own, ...labelChecks({ grade, analysis, derivedFrom, densityKgPerL })],
  };
}

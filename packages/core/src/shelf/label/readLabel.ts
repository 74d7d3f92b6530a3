import type { Provenance } from '../../figure/index.js';
import { analyteName, basesOf, elementOf, NUTRIENTS, type Nutrient } from '../../nutrient/index.js';
import { formatGiven } from '../../quantity/index.js';
import { spelledOut } from '../../reading/index.js';
import { scaleDeclared } from '../declaredValue.js';
import { labelChecks, type Finding } from '../labelChecks.js';
import type { AnalysisFigure, AnalysisUnit } from '../product.js';
import {
  EXTRACT,
  figureFrom,
  figureWords,
  fromProtein,
  notDetected,
  ON_DRY_MATTER,
  percentOf,
  readAnalysis,
  readFormulaLine,
  TOTAL,
  type Context,
} from './analysis.js';
import { asideOf, noContent } from './asides.js';
import { ofOneColumn, readTableHead } from './columns.js';
import { takeDirections } from './directions.js';
import { takeGrade, takeMeasure } from './measures.js';
import { analyteNamed } from './names.js';
import type { Correction, LabelLine, LabelReading, Read, Taken } from './reading.js';
import { commaIn, findValues, settleThousands, unclearWords, unitNamed, type CommaMark } from './values.js';

/** Longer texts are no labels: what is beyond is left out, and that is said. */
const MOST_LINES = 400;
const MOST_PER_LINE = 400;
/** More numbers than any line of a label has; they could not be told apart, and would only take time. */
const MOST_VALUES = 24;

const clean = (line: string): string =>
  line
    .replace(/[\p{Cc}\u00a0\u200b-\u200f\u202f\ufeff]/gu, ' ')
    .replace(/[.·•…_]{2,}|(?:\s[.·•…])+(?=\s)/g, '  ')
    .replace(/\s*\|\s*(?=%|ppm|m?g\s*\/)/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

const HEADING =
  /^(guaranteed|typical|minimum|declared|nutrient)?\s*(analysis|guarantee|content|nutrients?|contents? declaration|composition)\b|^(organic|mineral|npk|ec|eu|complex|straight)?\s*fertili[sz]er\b|^plant nutrients?\b|^lab(oratory)? (report|slip|results?)\b|^sample\b/i;
const INGREDIENTS =
  /^(?:plant nutrients? )?(?:derived|made|obtained|manufactured|produced) (?:from|with|of)\b:?|^(?:nutrient )?(?:sources?|ingredients?|raw materials?)\s*:/i;

function readIngredientWords(text: string): readonly string[] {
  return text
    .replace(/\d+(?:[.,]\d+)?\s*%/g, ' ')
    .replace(/\.\s*$/, '')
    .split(/[,;]|\band\b/)
    .map((w) =>
      w
        .replace(/\([^)]*\)/g, ' ')
        .replace(/\s+/g, ' ')
        .trim()
        .toLowerCase(),
    )
    .filter((w) => w.length > 1 && w.length <= 120);
}

function readHeading(line: string, context: Context): Read | undefined {
  const named = analyteNamed(line);
  const heading = HEADING.test(line) || /:$/.test(line) || (named !== undefined && findValues(line).length === 0);
  const unit = unitNamed(line);
  const extract =
    context.provenance !== 'measured' || findValues(line).length > 0
      ? undefined
      : EXTRACT.test(line)
        ? true
        : TOTAL.test(line)
          ? false
          : undefined;
  // A heading of two columns, as received and dry, holds for neither.
  const dry = ON_DRY_MATTER.test(line) && !/\b(as (is|received)|fresh|wet)\b/i.test(line);
  if (!heading && !(unit && findValues(line).length === 0) && !dry && extract === undefined) return undefined;
  if (extract !== undefined) context.extract = extract;
  if (unit) context.unit = unit;
  if (dry) context.dry = true;
  const told = [
    unit ? `figures below are in ${unit}` : '',
    dry ? 'on dry matter' : '',
    extract === true ? 'of an extract' : extract === false ? 'totals' : '',
  ]
    .filter(Boolean)
    .join(', ');
  return { kind: 'heading', says: told ? `a heading: ${told}` : 'a heading' };
}

function corrected(line: string, number: number, correction: Correction, context: Context): Read {
  if (correction.kind === 'ignore') return { kind: 'setAside', says: 'set aside by you' };
  const [found] = findValues(line);
  const withUnit = found && { ...found, unit: found.unit ?? context.unit ?? ('%' as const) };
  const figure =
    withUnit &&
    (correction.kind === 'protein'
      ? fromProtein(withUnit, correction.factor, number, line, context.unit, context)
      : figureFrom(correction, withUnit, number, line, context.unit, context));
  return figure
    ? { kind: 'analysis', says: `${figureWords(figure)}, as you said`, figures: [figure] }
    : { kind: 'notUnderstood', says: 'no number stands in this line' };
}

/** What tells figures, measures, a grade or rates: one thing is taken from the line, then what stands beside it is read likewise. */
function readFigures(line: string, number: number, context: Context): Read | undefined {
  const hasUnit = findValues(line).some((v) => v.unit);
  const taken = takeDirections(line) ?? takeMeasure(line);
  // A line with a unit is an analysis first; one without may be a grade whose additions look like names and values.
  const analysis = taken || (!hasUnit && takeGrade(line)) ? undefined : readAnalysis(line, number, context);
  const main = taken ?? (analysis ? undefined : takeGrade(line));
  return main ? withBesides(main, (part) => readFigures(part, number, context)) : analysis;
}

/** What was taken, together with what is read beside it; figures beside it that are not understood are told. */
function withBesides({ read, besides }: Taken, readPart: (part: string) => Read | undefined): Read {
  const parts = besides.map((part) => ({ part, read: readPart(part) }));
  const reads = [read, ...parts.flatMap((p) => (p.read ? [p.read] : []))];
  const unread = parts.some((p) => p.read === undefined && findValues(p.part).some((v) => v.unit));
  const kinds = reads.map((r) => r.kind);
  const figures = reads.flatMap((r) => r.figures ?? []);
  const directions = reads.flatMap((r) => r.directions ?? []);
  return {
    ...(Object.assign({}, ...[...reads].reverse()) as Read),
    kind:
      unread || kinds.includes('notUnderstood') ? 'notUnderstood' : kinds.includes('analysis') ? 'analysis' : read.kind,
    says: [...reads.map((r) => r.says), ...(unread ? ['what else stands in the line was not understood'] : [])].join(
      '; ',
    ),
    ...(figures.length > 0 ? { figures } : {}),
    ...(directions.length > 0 ? { directions } : {}),
  };
}

/** "Nitrogen 1O %" or "Nitrogen -5 %": a name and digits, and no number that can be one. */
function noNumber(line: string): string | undefined {
  const named = findValues(line).length === 0 ? analyteNamed(line) : undefined;
  const digits = /(?<![A-Za-z\d₀-₉])[-+]?\d|\d\S*\s*%/.test(line);
  return named?.kind === 'analyte' && digits ? `${analyteName(named.analyte)}: no number can be read here` : undefined;
}

function readLine(printed: string, number: number, context: Context): Read {
  const head = readTableHead(printed, context);
  if (head) return head;
  const line = ofOneColumn(spelledOut(printed), context.columns ?? []);
  if (findValues(line).length > MOST_VALUES)
    return { kind: 'notUnderstood', says: `more than ${MOST_VALUES} numbers in a line` };
  if (INGREDIENTS.test(line)) {
    const ingredients = readIngredientWords(line.replace(INGREDIENTS, ''));
    context.inIngredients = true;
    return {
      kind: 'derivedFrom',
      says: ingredients.length > 0 ? `made from ${ingredients.join(', ')}` : 'the list of ingredients follows',
      ingredients,
    };
  }
  const none = noContent(line);
  if (none) return { kind: 'setAside', says: none };
  const read = readFormulaLine(line, number) ?? readFigures(line, number, context);
  if (read) {
    context.inIngredients = false;
    return read;
  }
  if (context.inIngredients && findValues(line).length === 0 && !HEADING.test(line)) {
    const ingredients = readIngredientWords(line);
    if (ingredients.length > 0)
      return { kind: 'derivedFrom', says: `made from ${ingredients.join(', ')}`, ingredients };
  }
  const missing = notDetected(line) ?? noNumber(line);
  if (missing) return { kind: 'notUnderstood', says: missing };
  const heading = readHeading(line, context);
  if (heading) {
    context.inIngredients = false;
    return heading;
  }
  const aside = asideOf(line);
  if (aside) return { kind: 'setAside', says: aside };
  return findValues(line).length > 0
    ? { kind: 'notUnderstood', says: 'a number without a name that is known' }
    : { kind: 'setAside', says: 'words without figures' };
}

/** A line whose numbers are clear, by a person's word or by its own. */
function readSettled(
  line: string,
  number: number,
  correction: Correction | undefined,
  comma: CommaMark,
  context: Context,
): Read {
  if (line === '') return { kind: 'blank', says: '' };
  if (correction?.kind === 'ignore') return corrected(line, number, correction, context);
  const settled = settleThousands(line, comma);
  if ('unclear' in settled) return { kind: 'notUnderstood', says: unclearWords(settled.unclear) };
  return correction ? corrected(settled.line, number, correction, context) : readLine(settled.line, number, context);
}

const isDry = (figure: AnalysisFigure, { dry, dryFigures }: Context): boolean => dry || dryFigures.has(figure);

/** Figures on dry matter brought to what is in the bag: as-is = dry × (1 − moisture). Without the moisture none can be. */
function asIs(analysis: readonly AnalysisFigure[], context: Context): readonly AnalysisFigure[] {
  return analysis.flatMap((f) => {
    if (!isDry(f, context)) return [f];
    if (context.moisture === undefined) return [];
    const wet = 1 - context.moisture;
    return [
      {
        ...f,
        value: scaleDeclared(f.value, wet),
        source: `${f.source}; dry matter × ${formatGiven(wet)}`.slice(0, 300),
      },
    ];
  });
}

/** The line that was taken for what a later line gives again. */
const analysisOf = (figures: readonly AnalysisFigure[], again: AnalysisFigure): AnalysisFigure | undefined =>
  figures.find((g) => g.analyte === again.analyte && g.basis === again.basis && g.extract === again.extract);
/** A footnote that only says the same once more. */
const restates = (again: AnalysisFigure, first: AnalysisFigure | undefined): boolean =>
  first?.unit === again.unit && JSON.stringify(first.value) === JSON.stringify(again.value);

/** The unit that a text gives all its figures, wherever it says so. */
const unitOfAll = (lines: readonly string[]): AnalysisUnit | undefined =>
  lines
    .filter((line) => /\b(?:all|figures|values|results)\b.*\b(?:in|as)\b/i.test(line) && findValues(line).length === 0)
    .flatMap((line) => unitNamed(line) ?? [])[0];

function readLines(
  text: string,
  provenance: Provenance,
  corrections: Readonly<Record<number, Correction>>,
  totals: ReadonlySet<Nutrient>,
) {
  const all = text.split(/\r\n|\r|\n|\u2028|\u2029/);
  const comma = commaIn(text);
  const cleaned = all.slice(0, MOST_LINES).map((raw) => clean(raw.slice(0, MOST_PER_LINE)));
  const context: Context = {
    provenance,
    unit: unitOfAll(cleaned),
    dry: false,
    moisture: undefined,
    inIngredients: false,
    extract: false,
    columns: undefined,
    dryFigures: new Set(),
    totals,
  };
  const reads: { readonly line: LabelLine; readonly read: Read }[] = cleaned.map((line, i) => {
    const number = i + 1;
    const read = readSettled(line, number, corrections[number], comma, context);
    return { read, line: { number, text: line, kind: read.kind, says: read.says, figures: read.figures ?? [] } };
  });
  return { all, reads, context, figures: reads.flatMap(({ read }) => read.figures ?? []) };
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
export function readLabel(
  text: string,
  provenance: Provenance = 'label',
  corrections: Readonly<Record<number, Correction>> = {},
): LabelReading {
  const first = readLines(text, provenance, corrections, new Set(NUTRIENTS));
  const totals = new Set(first.figures.map((f) => elementOf(f.analyte)));
  // A part whose total stands nowhere is all the label says of it.
  const { all, reads, figures, context } = first.reads.some(({ read }) => read.kind === 'part')
    ? readLines(text, provenance, corrections, totals)
    : first;
  const repeated = figures.filter((f) => analysisOf(figures, f) !== f);
  const analysis = asIs(
    figures.filter((f) => !repeated.includes(f)),
    context,
  ).filter((f) => basesOf(f.analyte).includes(f.basis));
  const grades = [...new Set(reads.flatMap(({ read }) => read.grade ?? []))];
  const [grade] = grades;
  const densityKgPerL = reads.find(({ read }) => read.density !== undefined)?.read.density;
  const derivedFrom = [...new Set(reads.flatMap(({ read }) => read.ingredients ?? []))].slice(0, 40);
  const waiting = context.moisture === undefined ? figures.filter((f) => isDry(f, context)) : [];
  const own: Finding[] = [
    ...reads.flatMap(({ read }) => (read.finding ? [{ ...read.finding, path: 'label' }] : [])),
    ...repeated
      .filter((f) => !restates(f, analysisOf(figures, f)))
      .map((f): Finding => ({
        code: 'label.repeated',
        severity: 'warning',
        path: 'label',
        message: `${analyteName(f.analyte)} stands more than once; ${percentOf(f)} in ${f.source.split(':')[0]} was not taken.`,
      })),
    ...(grades.length > 1
      ? [
          {
            code: 'grade.several',
            severity: 'warning',
            path: 'grade',
            message: `The text has more than one grade, ${grades.slice(0, 4).join(' and ')}: the first was taken.`,
          } as const,
        ]
      : []),
    ...(waiting.length > 0
      ? [
          {
            code: 'label.dry',
            severity: 'warning',
            path: 'label',
            message: `${waiting.length === figures.length ? 'The figures are' : `${waiting.length} of the figures ${waiting.length === 1 ? 'is' : 'are'}`} on dry matter and say nothing yet of what is in the bag. Add a line such as “Moisture 12 %”; until then none of them is taken over.`,
          } as const,
        ]
      : []),
    ...(all.length > MOST_LINES || all.some((l) => l.length > MOST_PER_LINE)
      ? [
          {
            code: 'label.long',
            severity: 'note',
            path: 'label',
            message: `Only the first ${MOST_LINES} lines, and ${MOST_PER_LINE} characters of each, were read.`,
          } as const,
        ]
      : []),
  ];
  return {
    lines: reads.map(({ line }) =>
      line.figures.some((f) => isDry(f, context))
        ? { ...line, says: `${line.says}, on dry matter${waiting.length > 0 ? ': waits for the moisture' : ''}` }
        : line,
    ),
    grade,
    analysis,
    derivedFrom,
    densityKgPerL,
    packages: reads
      .flatMap(({ read }) => read.packages ?? [])
      .filter((p, i, all) => all.findIndex((q) => q.size === p.size && q.unit === p.unit) === i)
      .slice(0, 5),
    limingPer100Kg: reads.find(({ read }) => read.liming !== undefined)?.read.liming,
    carbonToNitrogen: reads.find(({ read }) => read.carbonToNitrogen !== undefined)?.read.carbonToNitrogen,
    directions: reads.flatMap(({ read }) => read.directions ?? []).slice(0, 12),
    findings: [...own, ...labelChecks({ grade, analysis, derivedFrom, densityKgPerL })],
  };
}

import type { Provenance } from '../../figure/index.js';
import { declaredRange, decimalMarkIn, type DecimalMark } from '../../quantity/index.js';
import {
  fatesOf,
  linesOf,
  MOST_LINES,
  ofAll,
  preparedLines,
  stackedBelow,
  tells,
  tokenize,
  unitAmong,
  valuesIn,
  withGaps,
  type Prepared,
  type Stack,
  type Told,
} from '../../reading/index.js';
import type { AnalysisFigure } from '../product.js';
import { isNitrogen, noNumber, readAnalysis, readFormulaLine, tokensFor } from './analysis.js';
import { asideOf, isStrength } from './asides.js';
import type { Context } from './context.js';
import { takeDirections } from './directions.js';
import { figureOf, figureWords, fromProtein, NITROGEN, PERCENT, type Place } from './figures.js';
import { readHeading, readTableHead, severalSamples } from './headings.js';
import { isMixedIn, takeGrade, takeMeasure } from './measures.js';
import type { Correction, LabelLine, Read, Taken, Taught } from './reading.js';

/** More numbers than any line of a label has; they could not be told apart, and would only take time. */
const MOST_VALUES = 24;

const INGREDIENTS =
  /^\s*(?:(?:plant nutrients? )?(?:derived|made|obtained|manufactured|produced) (?:from|with|of)\b:?|(?:nutrient )?(?:sources?|ingredients?|raw materials?|zutaten|rohstoffe|ausgangsstoffe|mati[eè]res premi[eè]res|ingr[eé]dients|ingredientes|ingredienti|grondstoffen|ingredi[eë]nten|r[aå]varor|surowce)\s*:|hergestellt aus\b|obtenu [aà] partir de\b)/i;
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

function corrected(p: Prepared, number: number, correction: Correction, context: Context): Read | undefined {
  if (correction.kind === 'choice' || correction.kind === 'doubt') return undefined;
  if (correction.kind === 'ignore') return { kind: 'setAside', says: 'set aside by you' };
  const [found] = p.values;
  const place: Place = {
    number,
    line: p.printed,
    general: unitAmong(p.tokens) ?? context.unit ?? PERCENT,
  };
  const figure =
    found &&
    (correction.kind === 'protein'
      ? fromProtein(found, correction.factor, place, context)
      : figureOf(subjectFor(correction), found, place, context));
  return figure
    ? {
        kind: 'analysis',
        says: `${figureWords(figure)}, as you said`,
        figures: [figure],
        told: [{ start: found.start, end: found.end, fate: 'taken', why: 'as you said' }],
      }
    : { kind: 'notUnderstood', says: 'no number stands in this line' };
}
const FORM = /^N\./;
const subjectFor = ({ analyte, basis }: Extract<Correction, { kind: 'analyte' }>) => ({
  ...NITROGEN,
  element: (FORM.test(analyte) ? 'N' : analyte) as typeof NITROGEN.element,
  form: FORM.test(analyte) ? (analyte.slice(2) as NonNullable<typeof NITROGEN.form>) : undefined,
  basis,
});

/** "Contents 5 kg for 60 m²": how far a package goes, behind what it holds. */
const COVER =
  /(?<=\d\s?(?:k?g|lbs?|l)\s)(?:für|for|pour|per|para|na|voor|til|till)\s+\d+(?:[.,]\d+)?\s?(?:m²|m2|qm|mq|sq\.? ?ft)\s*$/iu;
const withoutCover = (line: string): string =>
  tells(tokenize(line)[0], 'net') ? line.replace(COVER, (cover) => ' '.repeat(cover.length)) : line;

/** What tells figures, measures, a grade or rates: one thing is taken from the line, then what stands beside it is read likewise. */
function readFigures(
  whole: string,
  number: number,
  context: Context,
  mark: DecimalMark | undefined,
  stack?: Stack,
): Read | undefined {
  const line = withoutCover(whole);
  const tokens = tokensFor(line, mark, context);
  const values = valuesIn(tokens, line);
  const hasUnit = values.some((v) => v.unit);
  // A laboratory tells pounds in a thousand gallons, and no rates.
  const rates = context.provenance === 'measured' ? undefined : takeDirections(line, mark);
  const taken = rates ?? takeMeasure(line, mark);
  // A line with a unit is an analysis first; one without may be a grade whose additions look like names and values.
  const analysis =
    taken || (!hasUnit && takeGrade(line)) ? undefined : readAnalysis(line, number, context, mark, stack);
  const main = taken ?? (analysis ? undefined : takeGrade(line));
  return main ? withRest(main, (rest) => readFigures(rest, number, context, mark), mark) : analysis;
}

/** What was taken, together with what is read beside it; figures beside it that are not understood are told. */
function withRest(
  { read, rest }: Taken,
  readPart: (part: string) => Read | undefined,
  mark: DecimalMark | undefined,
): Read {
  const beside = /[\p{L}\d]/u.test(rest) ? readPart(rest) : undefined;
  const reads = [read, ...(beside ? [beside] : [])];
  const unread = beside === undefined && valuesIn(tokenize(rest, mark), rest).some((v) => v.unit);
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
    told: reads.flatMap((r) => r.told ?? []),
    choices: reads.flatMap((r) => r.choices ?? []),
    ...(figures.length > 0 ? { figures } : {}),
    ...(directions.length > 0 ? { directions } : {}),
  };
}

function readLine(
  whole: Prepared,
  number: number,
  context: Context,
  mark: DecimalMark | undefined,
  stack: Stack | undefined,
): Read {
  const p = withGaps(whole, context.columns?.length ?? 0, mark);
  const { line, tokens, values } = p;
  if (values.length > MOST_VALUES) return { kind: 'notUnderstood', says: `more than ${MOST_VALUES} numbers in a line` };
  context.amount = p.amount;
  const head = readTableHead(p, context);
  if (head) return head;
  const list = INGREDIENTS.exec(line);
  if (list) {
    const ingredients = readIngredientWords(line.slice(list[0].length));
    context.inIngredients = true;
    return {
      kind: 'derivedFrom',
      says: ingredients.length > 0 ? `made from ${ingredients.join(', ')}` : 'the list of ingredients follows',
      ingredients,
    };
  }
  if (isMixedIn(line)) return { kind: 'setAside', says: 'what was mixed in, not what the bag is' };
  if (isStrength(line)) return { kind: 'setAside', says: 'the strength of a feed, not what is in the product' };
  const read = readFormulaLine(p.printed, number) ?? readFigures(line, number, context, mark, stack);
  if (read) {
    context.inIngredients = false;
    return read;
  }
  const section = tells(tokens[0], 'section');
  if (context.inIngredients && values.length === 0 && !section) {
    const ingredients = readIngredientWords(line);
    if (ingredients.length > 0)
      return { kind: 'derivedFrom', says: `made from ${ingredients.join(', ')}`, ingredients };
  }
  const missing = values.length === 0 ? noNumber(tokens, line) : undefined;
  if (missing) return { kind: 'notUnderstood', says: missing };
  const heading = readHeading(tokens, line, context);
  if (heading) {
    context.inIngredients = false;
    return heading;
  }
  const aside = asideOf(line);
  if (aside) return { kind: 'setAside', says: aside };
  return values.length > 0
    ? { kind: 'notUnderstood', says: 'a number without a name that is known' }
    : {
        kind: 'setAside',
        says:
          p.asides[0]?.why ?? (/\d/.test(line) ? 'words with a number that tells no figure' : 'words without figures'),
      };
}

/** A line whose letters were not clear: what it seems to say is asked about. */
function doubted(read: Read): Read {
  const { figures = [], says, kind } = read;
  if (figures.length === 0 && kind !== 'package' && kind !== 'grade') return read;
  return {
    kind: 'notUnderstood',
    says: `not clear in the picture: it seems to say ${says}`,
    choices: [{ says, figures }],
    told: (read.told ?? []).map((t) => ({ ...t, fate: 'asked' })),
  };
}

/** A line as a person's choice among its readings has it. */
function chosen(read: Read, correction: Correction | undefined, context: Context): Read {
  if (correction?.kind === 'doubt') return doubted(read);
  const choice = correction?.kind === 'choice' ? read.choices?.find((c) => c.says === correction.says) : undefined;
  // Another line's answer may have settled this one too; the word of this line's own stays in sight.
  if (!choice && correction?.kind === 'choice' && read.says === correction.says)
    return { ...read, says: `${read.says}, as you said` };
  if (!choice) return read;
  if (choice.figures.length === 0) {
    context.sample = choice.says;
    return { ...read, kind: 'heading', says: `a heading: ${choice.says} is taken, as you said` };
  }
  return {
    ...read,
    kind: 'analysis',
    says: `${choice.says}, as you said`,
    figures: choice.figures,
    told: toldAs(read, 'taken'),
  };
}
const toldAs = (read: Read, fate: Told['fate']): readonly Told[] =>
  (read.told ?? []).map((t) => (t.fate === 'asked' ? { ...t, fate } : t));

export interface ReadLine {
  readonly line: LabelLine;
  readonly read: Read;
}

/** Fates of a line's numbers: what the reading told of them, else what became of the line. */
function numbersOf(p: Prepared, read: Read): LabelLine['numbers'] {
  const whole: Told = {
    start: 0,
    end: p.printed.length,
    fate: read.kind === 'notUnderstood' ? 'notUnderstood' : 'setAside',
    why: read.says,
  };
  const rest = read.kind === 'analysis' || read.kind === 'grade' ? [] : [whole];
  return fatesOf(p.printed, [...(read.told ?? []), ...p.asides, ...rest]);
}

const NOTHING_TAUGHT: Taught = { eitherAs: undefined, mark: undefined };
/** What the answers to lines with two readings say of the paper: the element or its oxide, a point or a comma. */
export function taughtBy(
  lines: readonly ReadLine[],
  corrections: Readonly<Record<number, Correction>>,
): Taught | undefined {
  const answers = lines.flatMap(({ line }) => {
    const correction = corrections[line.number];
    const chosen = correction?.kind === 'choice' ? line.choices.find((c) => c.says === correction.says) : undefined;
    const [figure] = chosen?.figures ?? [];
    const [a, b, more] = line.choices.map((c) => c.figures[0]);
    const printed = line.numbers.find((n) => /^\d{1,3}[.,]\d{3}$/.test(n.text))?.text ?? '';
    return figure && a && b && !more ? [{ figure, a, b, printed }] : [];
  });
  const basis = answers.find(({ a, b }) => a.analyte === b.analyte && a.basis !== b.basis)?.figure.basis;
  const number = answers.find(({ a, b }) => a.basis === b.basis && ratio(a, b) === 1000);
  if (basis === undefined && !number) return undefined;
  const larger = number && declaredRange(number.figure.value).mid === Math.max(...[number.a, number.b].map(middle));
  const mark = number === undefined ? undefined : larger === number.printed.includes(',') ? 'point' : 'comma';
  return { eitherAs: basis === undefined ? undefined : basis === 'element' ? 'element' : 'oxide', mark };
}
const middle = ({ value }: AnalysisFigure): number => declaredRange(value).mid;
const ratio = (a: AnalysisFigure, b: AnalysisFigure): number =>
  Math.round(Math.max(middle(a), middle(b)) / (Math.min(middle(a), middle(b)) || 1));

const BLANK: Read = { kind: 'blank', says: '' };
/** A line that names what stands below; where rows of several samples do, one is chosen by a person. */
function stackHead(stack: Stack | undefined, sample: string | undefined): Read | undefined {
  if (stack?.kind === 'head') return { kind: 'heading', says: 'names, with their values below' };
  if (stack?.kind === 'row' && sample !== stack.label && stack.several)
    return {
      kind: 'setAside',
      says:
        sample === undefined ? 'figures of several samples: say above which one is meant' : 'figures of another sample',
    };
  return stack?.kind === 'rows' ? severalSamples(stack.labels) : undefined;
}

/** The lines of a text, each with what it was read as; what lines above say holds for those below. */
export function readLines(
  text: string,
  provenance: Provenance,
  corrections: Readonly<Record<number, Correction>>,
  taught: Taught = NOTHING_TAUGHT,
): { readonly lines: readonly ReadLine[]; readonly context: Context } {
  const mark = taught.mark ?? decimalMarkIn(text);
  const lines = preparedLines(linesOf(text).slice(0, MOST_LINES), mark);
  const context: Context = {
    provenance,
    ...ofAll(lines),
    moisture: undefined,
    inIngredients: false,
    extract: false,
    told: undefined,
    taught,
    columns: undefined,
    amount: undefined,
    sample: undefined,
    inNitrogen: false,
    behindGrade: false,
    byVolume: false,
    last: undefined,
    subjects: new Map<AnalysisFigure, typeof NITROGEN>(),
    dryFigures: new Set<AnalysisFigure>(),
    besideDry: new Map(),
    again: [],
  };
  const stacks = stackedBelow(lines);
  const reads = lines.map((p, i): ReadLine => {
    const number = i + 1;
    const correction = corrections[number];
    const stack = stacks.get(i);
    const first =
      p.printed.trim() === ''
        ? BLANK
        : ((correction && corrected(p, number, correction, context)) ??
          stackHead(stack, context.sample) ??
          readLine(p, number, context, mark, stack));
    const read = chosen(first, correction, context);
    const figures = read.figures ?? [];
    if (context.dry) for (const figure of figures) context.dryFigures.add(figure);
    context.behindGrade = read.grade !== undefined || (context.behindGrade && read.kind === 'blank');
    if (read.kind !== 'blank')
      context.inNitrogen = figures.length > 0 ? isNitrogen(figures) : context.inNitrogen && read.kind === 'part';
    const shown = p.printed.replace(/\s+/g, ' ').trim();
    return {
      read,
      line: {
        number,
        text: shown,
        kind: read.kind,
        says: read.says,
        figures,
        choices: read.choices ?? [],
        numbers: numbersOf(p, read),
      },
    };
  });
  return { lines: reads, context };
}

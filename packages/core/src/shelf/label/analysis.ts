import { LabelError } from '../../errors.js';
import {
  analyteName,
  CONTAMINANTS,
  elementOf,
  looksLikeFormula,
  readFormula,
  type Nutrient,
} from '../../nutrient/index.js';
import { formatGiven, type DecimalMark } from '../../quantity/index.js';
import {
  besideRow,
  bindLine,
  freeUnit,
  isDry,
  joined,
  lastUnit,
  rowOf,
  sharesOf,
  subjectOf,
  tells,
  toldBeside,
  tokenize,
  underTheirUnits,
  unitOfValue,
  withLimits,
  type BoundLine,
  type Pair,
  type Stack,
  type TellingUnit,
  type Told,
  type Token,
} from '../../reading/index.js';
import type { AnalysisFigure } from '../product.js';
import { sortBracket } from './brackets.js';
import type { Context } from './context.js';
import { figureWords, inUnit, PERCENT, sortPair, type Place } from './figures.js';
import type { Choice, Read } from './reading.js';
import { nothingSorted, type Sorted } from './sorted.js';

const readingOf = (
  pairs: readonly Pair[],
  bound: BoundLine,
  place: Place,
  context: Context,
): { readonly sorted: Sorted; readonly finding: Read['finding'] } => {
  const sorted = nothingSorted();
  const whole = joined(withLimits(pairs, bound.brackets));
  for (const pair of whole) sortPair(sorted, pair, place, context);
  const limits = bound.pairs.some((p) => p.found.none);
  const [finding] = limits ? [] : bound.brackets.flatMap((b) => sortBracket(sorted, b, whole, place, context) ?? []);
  return { sorted, finding };
};

/** "13 % N, 8 % P2O5 and 10 % K2O are coated": a part of each, told by one word for all. */
function coatedTogether(bound: BoundLine, tokens: readonly Token[]): BoundLine {
  const others = bound.pairs.some(({ subject }) => subject?.kind === 'nutrient' && subject.element !== 'N');
  if (!others || bound.pairs.length < 2 || !tokens.some((t) => tells(t, 'form.slow'))) return bound;
  const pairs = bound.pairs.map((pair): Pair => {
    const { subject } = pair;
    if (subject?.kind !== 'nutrient') return pair;
    return { ...pair, subject: { ...subject, ...(subject.element === 'N' ? { form: 'coated' } : { share: 'bound' }) } };
  });
  return { ...bound, pairs };
}

/** A line in pieces, its masses as shares where a line above says for what amount they are told. */
export function tokensFor(line: string, mark: DecimalMark | undefined, { amount }: Context): readonly Token[] {
  const tokens = tokenize(line, mark);
  return amount ? sharesOf(tokens, amount) : tokens;
}

/** The figures of a line, each with its name; what stands beside them and is not understood is told. */
export function readAnalysis(
  line: string,
  number: number,
  context: Context,
  mark: DecimalMark | undefined,
  stack: Stack | undefined,
): Read | undefined {
  const own = tokensFor(line, mark, context);
  const bound: BoundLine =
    stack?.kind === 'row'
      ? { pairs: stack.pairs, either: undefined, brackets: [] }
      : coatedTogether(
          bindLine(stack?.kind === 'value' ? [...stack.ahead, ...own] : own, line, context.inNitrogen),
          own,
        );
  const found = bound.pairs.map((p) => p.found);
  const place: Place = {
    number,
    line,
    general:
      freeUnit(own, found) ??
      additionUnit(line, context) ??
      unitBehindAll(bound) ??
      context.unit ??
      sharedPercent(bound),
  };
  const table = stack === undefined && besideRow(bound) ? context.columns : undefined;
  const row = table && rowOf(bound.pairs, table, context.sample);
  if (row && !row.pair)
    return { kind: 'setAside', says: 'figures of several samples: say above which one is meant', told: row.told };
  const { sorted, finding } = row?.pair
    ? readingOf(
        [row.pair],
        { pairs: [row.pair], either: undefined, brackets: [] },
        { ...place, general: row.unit ?? place.general },
        context,
      )
    : readingOf(table ? underTheirUnits(bound.pairs, table) : bound.pairs, bound, place, context);
  if (row?.dry || isDry(own)) for (const figure of sorted.figures) context.dryFigures.add(figure);
  // The nitrogen of a protein is not told on dry matter: its protein is.
  const dry = row?.pair?.subject?.kind === 'protein' ? undefined : row?.besideDry;
  const onDry = dry?.value && inUnit(dry, dry.value, row?.unit ?? place.general);
  if (onDry) context.besideDry.set(number, onDry);
  const choices = row ? [] : eitherWay(bound, place, context);
  if (choices.length > 1)
    return {
      kind: 'notUnderstood',
      says: `it could be ${choices.map((c) => c.says).join(', or ')}: say which`,
      choices,
      told: asked(bound),
    };
  return resultOf(sorted, finding, [...sorted.told, ...(row?.told ?? []), ...(row ? toldBeside(bound) : [])], bound);
}

/** "N 12  P 5  K 8 %": a per cent sign behind the last figure; a smaller unit there may be that of a trace element alone. */
const sharedPercent = ({ pairs }: BoundLine): TellingUnit | undefined => {
  const last = lastUnit(pairs);
  return last?.unit === '%' || pairs.every(isTrace) ? last : undefined;
};
const isTrace = ({ subject }: Pair): boolean =>
  subject?.kind === 'nutrient' && (TRACES as readonly string[]).includes(subject.element);
const TRACES = ['Fe', 'Mn', 'Zn', 'Cu', 'B', 'Mo', 'Co', 'Se', 'Ni', ...CONTAMINANTS] as const;

/** "Nitrogen 1.12  2.15 %": the unit behind the last value of a name holds for all of them. */
function unitBehindAll({ pairs, brackets }: BoundLine): TellingUnit | undefined {
  const [first, ...rest] = pairs;
  const alone = first?.subject !== undefined && rest.length > 0 && rest.every((p) => p.subject === undefined);
  const untold = pairs.slice(0, -1).every(({ found: f }) => f.unit === undefined && f.foreign === undefined);
  const last = pairs.at(-1)?.found;
  return alone && untold && brackets.length === 0 && last?.unit ? unitOfValue(last) : undefined;
}

/** "+ 3 MgO" below a grade is in per cent, as the grade is. */
const additionUnit = (line: string, { behindGrade }: Context): TellingUnit | undefined =>
  behindGrade && /^\s*\+/.test(line) ? PERCENT : undefined;

/** What a line would be with its names on either side of their values. */
const eitherWay = ({ either = [], ...bound }: BoundLine, place: Place, context: Context): readonly Choice[] =>
  either.flatMap((pairs): Choice[] => {
    const { figures } = readingOf(pairs, { ...bound, either: undefined }, place, context).sorted;
    return figures.length > 0 ? [{ says: figures.map(figureWords).join('; '), figures }] : [];
  });

const asked = (bound: BoundLine): readonly Told[] =>
  bound.pairs.map(({ found }) => ({
    start: found.start,
    end: found.end,
    fate: 'asked',
    why: 'more than one name fits',
  }));

function resultOf(sorted: Sorted, finding: Read['finding'], told: readonly Told[], bound: BoundLine): Read | undefined {
  const { figures, asides, unread, liming, refused, choices } = sorted;
  const [first] = figures;
  if (refused !== undefined) {
    // What stands beside it and is clear is taken all the same.
    const sure = choices.some((c) => c.figures.some((f) => figures.includes(f))) ? [] : figures;
    return {
      kind: 'notUnderstood',
      says: [...sure.map(figureWords), refused].join('; '),
      ...(sure.length > 0 ? { figures: sure } : {}),
      choices: choices.map((c) => ({ ...c, figures: [...sure, ...c.figures] })),
      told,
    };
  }
  if (figures.length > 0 && unread.length > 1 && figures.length < bound.pairs.length - 1) return undefined;
  if (!first && liming === undefined)
    return asides.length > 0 && unread.length === 0
      ? { kind: 'part', says: [...new Set(asides)].join('; '), told }
      : undefined;
  const extra = unread.length > 0 ? [`${unread.join(', ')} beside it was not understood`] : [];
  return {
    kind: extra.length > 0 ? 'notUnderstood' : first ? 'analysis' : 'liming',
    says: [
      ...figures.map(figureWords),
      ...(liming === undefined ? [] : [`a liming effect of ${formatGiven(liming)} kg CaCO₃ per 100 kg`]),
      ...extra,
    ].join('; '),
    figures,
    told,
    ...(liming === undefined ? {} : { liming }),
    ...(sorted.limingBare ? { limingBare: true } : {}),
    ...(finding ? { finding } : {}),
  };
}

/** A formula alone on its line is an analysis of the pure salt, its hydrate water counted. */
export function readFormulaLine(typed: string, number: number): Read | undefined {
  const line = typed.trim().replace(/ (?=\d{0,2} ?H2O$)/i, '·');
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
      told: [{ start: 0, end: typed.length, fate: 'taken', why: 'a formula' }],
    };
  } catch (error) {
    if (error instanceof LabelError) return undefined;
    throw error;
  }
}

/** What a figure of nitrogen before makes of the lines below it. */
export const isNitrogen = (figures: readonly AnalysisFigure[]): boolean =>
  figures.length > 0 && figures.every((f) => elementOf(f.analyte) === 'N' && f.basis === 'element');

/** "Nitrogen 1O %" or "Nitrogen -5 %": a name and digits, and no number that can be one. */
export function noNumber(tokens: readonly Token[], line: string): string | undefined {
  const subject = subjectOf(tokens);
  const digits = /(?<![A-Za-z\d])[-+]?\d|\d\S*\s*%/.test(line);
  return subject?.kind === 'nutrient' && digits
    ? `${analyteName(subject.element)}: no number can be read here`
    : undefined;
}

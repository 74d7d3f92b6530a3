import { decimalMarkIn, type DecimalMark } from '../../quantity/index.js';
import {
  besideRow,
  bindLine,
  columnsOf,
  fatesOf,
  freeUnit,
  isSign,
  lastUnit,
  linesOf,
  ofAll,
  preparedLines,
  rowOf,
  stackedBelow,
  toldBeside,
  subjectOf,
  tells,
  underTheirUnits,
  unitAmong,
  WANTED,
  withGaps,
  type BoundLine,
  type Column,
  type Fate,
  type Pair,
  type Prepared,
  type Row,
  type Stack,
  type TellingUnit,
  type Token,
  type Told,
} from '../../reading/index.js';
import { SOIL_METHOD_NAMES, type SoilAnalyte, type SoilFigure, type SoilMethod } from '../soilReport.js';
import { weighed, type ToldShare } from './agree.js';
import { retold, type Clause, type SoilChoice } from './figures.js';
import { piecesOf, type Piece } from './pieces.js';
import { methodIn, OTHER_THINGS } from './words.js';

export interface SoilLine {
  readonly number: number;
  readonly text: string;
  readonly figure: SoilFigure | undefined;
  /** What it was taken to be, or why not. */
  readonly says: string;
  readonly choices: readonly SoilChoice[];
  /** It waits for the answer to a line above. */
  readonly waits?: true;
  /** Every number of the line, and what became of it; told once where a line has several figures. */
  readonly numbers: readonly Fate[];
}

/** What lines before have said about lines to come. */
interface Context {
  method: SoilMethod;
  /** pH and salt are measured in soil and water. */
  suspension: boolean;
  unit: TellingUnit | undefined;
  readonly mark: DecimalMark | undefined;
  columns: readonly Column[] | undefined;
  /** Of several beds, the one a person chose. */
  sample: string | undefined;
  /** A heading said that what follows are shares of the exchange. */
  shares: boolean;
  /** Shares of the exchange that were told. */
  readonly toldShares: Map<SoilAnalyte, ToldShare>;
}

const MOST_LINES = 200;
const LONGEST_LINE = 200;

/** What a line without values says of those below it. */
function heading({ tokens, line }: Pick<Prepared, 'tokens' | 'line'>, context: Context): string {
  // "1:5 soil:water" says how pH and salt were measured, not what was taken out.
  const suspension = /soil\s*[:/]\s*water/i.test(line);
  const method = suspension ? undefined : methodIn(tokens);
  context.suspension ||= suspension;
  const unit = unitAmong(tokens);
  const saturation = tokens.some((t) => t.text.length > 1 && tells(t, 'of.saturation'));
  if (method) context.method = method;
  if (unit && !saturation) context.unit = unit;
  const goesOn = unit === undefined && !method && !tokens.some((t) => tells(t, 'section'));
  context.shares = saturation || (context.shares && goesOn);
  if (saturation) return 'shares of the exchange follow: they are worked out here from the cations';
  const from = unit ? retold(unit.text) : '';
  const shown = unit?.unit === 'kg/ha' && from ? 'mg/kg' : unit?.unit;
  const told = [method && SOIL_METHOD_NAMES[method], shown, from].filter(Boolean).join(', ');
  return told ? `holds for the lines below: ${told}` : 'words without figures';
}
/** A line without values may still have the number of a class. */
const headingOrIndex = (p: Prepared, context: Context): string =>
  subjectOf(p.tokens)?.kind === 'soil' && p.tokens.some((t) => tells(t, 'of.index'))
    ? (OTHER_THINGS.index ?? '')
    : heading(p, context);

/** What a line was read as: a line of the reading for each of its figures. */
interface LineRead {
  readonly lines: readonly Pick<SoilLine, 'figure' | 'says' | 'choices' | 'waits'>[];
  readonly told: readonly Told[];
}
const only = (says: string, choices: readonly SoilChoice[] = [], told: readonly Told[] = []): LineRead => ({
  lines: [{ figure: undefined, says, choices }],
  told,
});

const METHOD_LINE = /^\s*(?:extract\w*|methods?|m[eé]thode|metodo|m[eé]todo|auszug|extraktion|metoda|metode)\b/i;
const MOST_METHOD_WORDS = 8;
/** "Extract: Mehlich 3" below all figures holds for those above. */
function methodBelow(lines: readonly Prepared[]): SoilMethod | undefined {
  const at = lines.findIndex(
    ({ line, tokens, values }) => values.length === 0 && tokens.length <= MOST_METHOD_WORDS && METHOD_LINE.test(line),
  );
  const after = lines
    .slice(at + 1)
    .some(({ tokens, values }) => values.some((v) => v.unit) && subjectOf(tokens)?.kind === 'nutrient');
  return at > 0 && !after ? methodIn(lines[at]?.tokens ?? []) : undefined;
}

/** A line that names several beds side by side or below: one is chosen. */
function severalBeds(labels: readonly string[], context: Context, choice: string | undefined): LineRead {
  context.sample = labels.find((l) => l === choice);
  const choices = labels.map((says) => ({ says, figure: undefined }));
  return context.sample === undefined
    ? only(`several beds, ${labels.join(', ')}: say which one is meant`, choices)
    : only(`a heading: ${context.sample} is taken, as you said`, choices);
}
const waiting = (told: readonly Told[] = []): LineRead => ({
  lines: [
    { figure: undefined, says: 'figures of several beds: say above which one is meant', choices: [], waits: true },
  ],
  told,
});

/** A heading of columns: what it says holds for the rows below. */
function tableHead(p: Prepared, columns: readonly Column[], choice: string | undefined, context: Context): LineRead {
  context.columns = columns;
  const said = heading({ line: p.line, tokens: p.tokens.filter((t) => !columns.some((c) => c.unit === t)) }, context);
  const beds = columns.filter((c) => c.role === 'sample').map((c) => c.text);
  if (beds.length > 1) return severalBeds(beds, context, choice);
  return only(said.startsWith('holds') ? said : 'a heading: what was found is taken');
}

/** A line that is no line of figures: a heading, names over rows, or a row of a bed that is not meant. */
function headOf(
  p: Prepared,
  stack: Stack | undefined,
  choice: string | undefined,
  context: Context,
): LineRead | undefined {
  if (stack?.kind === 'rows') return severalBeds(stack.labels, context, choice);
  if (stack?.kind === 'head') return only('names, with their values below');
  if (stack?.kind === 'row')
    return stack.several && stack.label !== context.sample
      ? context.sample === undefined
        ? waiting()
        : only('figures of another bed')
      : undefined;
  if (p.values.length > 0 && tells(p.tokens[0], 'of.advice')) return only(OTHER_THINGS.advice ?? '');
  if (p.values.length > 0) return undefined;
  const columns = columnsOf(p);
  return columns ? tableHead(p, columns, choice, context) : only(headingOrIndex(p, context));
}

const justPairs = (pairs: readonly Pair[]): BoundLine => ({ pairs, either: undefined, brackets: [] });
/** "DTPA: Cu 2.1, Zn 8.8": a method before a colon holds for the line. */
function leadingMethod({ tokens, values }: Prepared): SoilMethod | undefined {
  const colon = tokens.findIndex((t) => isSign(t, ':'));
  return colon > 0 && colon < (values[0]?.from ?? 0) ? methodIn(tokens.slice(0, colon)) : undefined;
}

/** "Zn 1.4, Cu 2.2 mg/kg (DTPA)": a method in a bracket behind the last value holds for the line. */
function trailingMethod({ tokens, values }: Prepared): SoilMethod | undefined {
  const behind = tokens.slice((values.at(-1)?.to ?? tokens.length) + 1);
  return values.length > 1 && isSign(behind[0], '(') && isSign(behind.at(-1), ')') ? methodIn(behind) : undefined;
}

/** The values of a line with their names, wherever these stand. */
function boundLine(p: Prepared, stack: Stack | undefined): BoundLine {
  if (stack?.kind === 'row') return justPairs(stack.pairs);
  return bindLine(stack?.kind === 'value' ? [...stack.ahead, ...p.tokens] : p.tokens, p.line);
}

/** What a line says of all its values, with what lines before have said. */
const clauseOf = (
  p: Prepared,
  words: readonly Token[],
  general: TellingUnit | undefined,
  context: Context,
): Clause => ({
  general: general ?? context.unit,
  words,
  shares: context.shares || p.tokens.some((t) => tells(t, 'of.saturation')),
  method: leadingMethod(p) ?? trailingMethod(p) ?? context.method,
  suspension: context.suspension,
});

function readLine(
  whole: Prepared,
  number: number,
  stack: Stack | undefined,
  choice: string | undefined,
  context: Context,
): LineRead {
  const p = withGaps(whole, context.columns?.length ?? 0, context.mark);
  const head = headOf(p, stack, choice, context);
  if (head) return head;
  const bound = boundLine(p, stack);
  const table = stack?.kind !== 'row' && besideRow(bound) ? context.columns : undefined;
  const row = table && rowOf(bound.pairs, table, context.sample);
  return row && !row.pair ? waiting(row.told) : figuresOf(p, number, { bound, stack, table, row }, context);
}

interface LineBound {
  readonly bound: BoundLine;
  readonly stack: Stack | undefined;
  readonly table: readonly Column[] | undefined;
  readonly row: Row | undefined;
}
/** The figures of a line, each with what it says. */
function figuresOf(p: Prepared, number: number, { bound, stack, table, row }: LineBound, context: Context): LineRead {
  const found = bound.pairs.map((q) => q.found);
  const general = row?.unit ?? freeUnit(p.tokens, found) ?? lastUnit(bound.pairs);
  const ahead = stack?.kind === 'value' ? stack.ahead : [];
  const clause = clauseOf(p, [...ahead, ...p.tokens], general, context);
  const pieces = piecesOf(
    row?.pair ? justPairs([row.pair]) : { ...bound, pairs: table ? underTheirUnits(bound.pairs, table) : bound.pairs },
    clause,
  );
  for (const { outcome } of pieces)
    if (outcome.share) context.toldShares.set(outcome.share.analyte, { percent: outcome.share.percent, line: number });
  const told = pieces.map(({ found: { start, end }, outcome: { fate, says: why } }): Told => ({
    start,
    end,
    fate,
    why,
  }));
  return { lines: linesFrom(pieces), told: [...(row?.told ?? []), ...told, ...(row ? toldBeside(bound) : [])] };
}

/** The figures of a line, each a line of the reading; what is set aside beside one is told with it. */
function linesFrom(pieces: readonly Piece[]): LineRead['lines'] {
  const outcomes = pieces.map((p) => p.outcome);
  const taken = outcomes.filter((o) => o.figure);
  const asked = outcomes.filter((o, i) => o.fate === 'asked' && outcomes.findIndex((p) => p.says === o.says) === i);
  const missed = outcomes.filter((o) => o.fate === 'notUnderstood');
  const telling = [...taken, ...asked, ...missed.filter((o, i) => missed.findIndex((p) => p.says === o.says) === i)];
  const wanted = outcomes.some((o) => o.says === WANTED);
  return (telling.length > 0 ? telling : outcomes.slice(0, 1)).map(({ figure, says, choices }) => ({
    figure,
    says: wanted && figure ? `${says}, what is wanted is set aside` : says,
    choices: choices ?? [],
  }));
}

/** A line as a person's choice among its readings has it. */
function settled(line: LineRead['lines'][number], choice: string | undefined): LineRead['lines'][number] {
  const chosen = line.choices.find((c) => c.figure && c.says === choice);
  return chosen ? { ...line, figure: chosen.figure, says: `${chosen.says}, as you said` } : line;
}

/**
 * Reads a soil report as pasted text or as a CSV's rows joined by spaces: its figures with unit and method, what could be several things, and what
 * became of every number. A line that names only a method or a unit holds for the lines after it. Nothing is guessed.
 * @param chosen a person's word on lines in doubt, by line number: the words of the choice
 * @example readSoilSlip('pH 6.4\nPhosphorus (Olsen) 32 mg/kg')
 */
export function readSoilSlip(text: string, chosen: Readonly<Record<number, string>> = {}): readonly SoilLine[] {
  const all = linesOf(text);
  const lines = all.slice(0, MOST_LINES).map((raw) => raw.slice(0, 2 * LONGEST_LINE));
  const mark = decimalMarkIn(lines.join('\n'));
  const ready = preparedLines(lines, mark);
  const { unit } = ofAll(ready);
  const context: Context = {
    method: methodBelow(ready) ?? 'notSaid',
    mark,
    suspension: false,
    unit,
    columns: undefined,
    sample: undefined,
    shares: false,
    toldShares: new Map(),
  };
  const stacks = stackedBelow(ready);
  const read = ready.flatMap((p, i): readonly SoilLine[] => {
    const number = i + 1;
    const shown = p.printed
      .replace(/[\t;|]/g, ' ')
      .replace(/\s+/g, ' ')
      .trim()
      .slice(0, LONGEST_LINE);
    const found = shown === '' ? only('') : readLine(p, number, stacks.get(i), chosen[number], context);
    const figures = found.lines.some((l) => l.figure);
    const row = stacks.get(i)?.kind === 'row' && figures;
    const whole: Told = {
      start: 0,
      end: p.printed.length,
      fate: figures && !row ? 'notUnderstood' : 'setAside',
      why: row ? 'tells which row it is' : (found.lines[0]?.says ?? ''),
    };
    const numbers = fatesOf(p.printed, [...found.told, ...p.asides, whole]);
    return found.lines.map((line, nth) => ({
      number,
      text: shown,
      ...settled(line, chosen[number]),
      numbers: nth === 0 ? numbers : [],
    }));
  });
  const whole = weighed(read, context.toldShares);
  return all.length > MOST_LINES ? [...whole, beyond(all[MOST_LINES] ?? '')] : whole;
}
const beyond = (text: string): SoilLine => ({
  number: MOST_LINES + 1,
  text: text.slice(0, LONGEST_LINE),
  figure: undefined,
  says: `not read, nor is what follows: expected at most ${MOST_LINES} lines`,
  choices: [],
  numbers: [],
});

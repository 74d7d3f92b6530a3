import { analyteName } from '../../nutrient/index.js';
import { declaredRange, decimalMarkIn } from '../../quantity/index.js';
import {
  besideRow,
  bindLine,
  columnsOf,
  fatesOf,
  freeUnit,
  joined,
  linesOf,
  ofAll,
  prepared,
  roleBefore,
  rowOf,
  stackedBelow,
  toldBeside,
  subjectOf,
  tells,
  underTheirUnits,
  unitAmong,
  WANTED,
  withLimits,
  type BoundLine,
  type Column,
  type Fate,
  type FoundValue,
  type Pair,
  type Prepared,
  type Stack,
  type Subject,
  type TellingUnit,
  type Told,
  type Token,
} from '../../reading/index.js';
import { SOIL_ANALYTE_NAMES, SOIL_METHOD_NAMES, type SoilFigure, type SoilMethod } from '../soilReport.js';
import { outcomeOf, retold, tradeOnly, type Clause, type Outcome, type SoilChoice } from './figures.js';
import { methodIn, OTHER_THINGS, SHARE_OF_EXCHANGE } from './words.js';

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
  unit: TellingUnit | undefined;
  columns: readonly Column[] | undefined;
  /** Of several beds, the one a person chose. */
  sample: string | undefined;
  /** A heading said that what follows are shares of the exchange. */
  shares: boolean;
}

interface Piece {
  readonly outcome: Outcome;
  readonly found: FoundValue;
  /** The name before, where the value has none of its own. */
  readonly of?: string | undefined;
}
const withoutIndex = (name: readonly Token[]): readonly Token[] => name.filter((t) => !tells(t, 'of.index'));

/** What a value is by the words around it alone: what is wanted, a limit, a class. */
function asideBy({ before, found }: Pair): string | undefined {
  const index = before.some((t) => tells(t, 'of.index')) && found.unit === undefined;
  return roleBefore(before) ?? (index ? OTHER_THINGS.index : undefined);
}

/** The values of a line with their names; a value behind an index or what is wanted has the name before it. */
function piecesOf(bound: BoundLine, line: Clause): readonly Piece[] {
  let before: Pair | undefined;
  const pairs = joined(withLimits(bound.pairs, bound.brackets));
  const single = pairs.length === 1 && bound.brackets.length === 0;
  const pieces = [...pairs, ...bound.brackets.flatMap((b) => b.pairs)].map((pair): Piece => {
    const { found } = pair;
    const index = pair.before.some((t) => tells(t, 'of.index'));
    const own = tradeOnly(pair.subject, pair.name);
    const inherited = before && tradeOnly(subjectOf(withoutIndex(before.name)), before.name);
    if (pair.subject) before = pair;
    const aside = asideBy(pair);
    if (aside !== undefined) return { found, outcome: { says: aside, fate: 'setAside' } };
    const named = index && own?.kind === 'soil' ? tradeOnly(subjectOf(withoutIndex(pair.name)), pair.name) : own;
    const subject = named ?? (line.shares ? undefined : inherited);
    if (!subject) return { found, outcome: line.shares ? SHARE : NAMELESS };
    const name = own ? pair.name : (before?.name ?? []);
    const words = single ? line.words : [...name, ...pair.before, ...pair.behind];
    const outcome = outcomeOf({ ...pair, name: own ? pair.name : [] }, subject, { ...line, words });
    return { found, outcome, of: named ? undefined : nameText(subject) };
  });
  return oneEach(pieces);
}
const SHARE: Outcome = { says: SHARE_OF_EXCHANGE, fate: 'setAside' };
const NAMELESS: Outcome = { says: 'a number without a name that is known', fate: 'notUnderstood' };
const nameText = (subject: Subject): string =>
  subject.kind === 'nutrient' ? analyteName(subject.element) : subject.kind === 'soil' ? subject.what : 'it';

/**
 * Of two values of one thing in a line the first counts, if the other is it in another unit; else nobody can tell which is meant, and both are asked
 * about. So is a value under a name whose own value could not be taken.
 */
function oneEach(pieces: readonly Piece[]): readonly Piece[] {
  const alike = (a: SoilFigure | undefined, b: SoilFigure): boolean =>
    a !== undefined && a.analyte === b.analyte && a.method === b.method;
  const again = (piece: Piece, i: number): SoilFigure | undefined => {
    const { figure } = piece.outcome;
    return figure && pieces.slice(0, i).find((p) => alike(p.outcome.figure, figure))?.outcome.figure;
  };
  const rivals = new Set<Piece>();
  pieces.forEach((piece, i) => {
    const { figure } = piece.outcome;
    const first = again(piece, i);
    if (figure && first && !sameFigure(first, figure))
      pieces.filter((p) => p.outcome.figure && alike(p.outcome.figure, figure)).forEach((p) => rivals.add(p));
    // "K 95 150 ppm": a value of one name, whose first value has no unit of its own.
    const untold = pieces.slice(0, i).some((p) => p.outcome.fate === 'notUnderstood');
    if (figure && piece.of !== undefined && untold) rivals.add(piece);
  });
  const choices = [...rivals].flatMap(({ outcome: { figure, says } }) => (figure ? [{ says, figure }] : []));
  return pieces.map((piece, i) => {
    if (rivals.has(piece)) {
      const name = SOIL_ANALYTE_NAMES[piece.outcome.figure?.analyte ?? 'pH'];
      const says = `more than one value for ${name}: say which one is meant`;
      return { ...piece, outcome: { says, fate: 'asked', choices } };
    }
    return again(piece, i)
      ? { ...piece, outcome: { says: `said again as ${piece.found.text}`, fate: 'setAside' } }
      : piece;
  });
}
const sameFigure = (a: SoilFigure, b: SoilFigure): boolean =>
  a.unit !== b.unit || Math.abs(declaredRange(b.value).mid / (declaredRange(a.value).mid || 1) - 1) < 0.05;

const MOST_LINES = 200;
const LONGEST_LINE = 200;

/** What a line without values says of those below it. */
function heading({ tokens }: Pick<Prepared, 'tokens'>, context: Context): string {
  const method = methodIn(tokens);
  const unit = unitAmong(tokens);
  const saturation = tokens.some((t) => tells(t, 'of.saturation'));
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
  const said = heading({ tokens: p.tokens.filter((t) => !columns.some((c) => c.unit === t)) }, context);
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
  if (stack?.kind === 'row') return stack.several && stack.label !== context.sample ? waiting() : undefined;
  if (p.values.length > 0) return undefined;
  const columns = columnsOf(p);
  return columns ? tableHead(p, columns, choice, context) : only(headingOrIndex(p, context));
}

const justPairs = (pairs: readonly Pair[]): BoundLine => ({ pairs, either: undefined, brackets: [] });
/** The values of a line with their names, wherever these stand. */
function boundLine(p: Prepared, stack: Stack | undefined): BoundLine {
  if (stack?.kind === 'row') return justPairs(stack.pairs);
  return bindLine(stack?.kind === 'value' ? [...stack.ahead, ...p.tokens] : p.tokens, p.line);
}

function readLine(p: Prepared, stack: Stack | undefined, choice: string | undefined, context: Context): LineRead {
  const head = headOf(p, stack, choice, context);
  if (head) return head;
  const bound = boundLine(p, stack);
  const table = stack === undefined && besideRow(bound) ? context.columns : undefined;
  const row = table && rowOf(bound.pairs, table, context.sample);
  if (row && !row.pair) return waiting(row.told);
  const found = bound.pairs.map((q) => q.found);
  const clause: Clause = {
    general: row?.unit ?? freeUnit(p.tokens, found) ?? context.unit,
    words: p.tokens,
    shares: context.shares || p.tokens.some((t) => tells(t, 'of.saturation')),
    method: context.method,
  };
  const pieces = piecesOf(
    row?.pair ? justPairs([row.pair]) : { ...bound, pairs: table ? underTheirUnits(bound.pairs, table) : bound.pairs },
    clause,
  );
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
  const ready = lines.map((raw) => prepared(raw, mark));
  const { unit } = ofAll(ready);
  const context: Context = { method: 'notSaid', unit, columns: undefined, sample: undefined, shares: false };
  const stacks = stackedBelow(ready);
  const read = ready.flatMap((p, i): readonly SoilLine[] => {
    const number = i + 1;
    const shown = p.printed
      .replace(/[\t;|]/g, ' ')
      .replace(/\s+/g, ' ')
      .trim()
      .slice(0, LONGEST_LINE);
    const found = shown === '' ? only('') : readLine(p, stacks.get(i), chosen[number], context);
    const fate = found.lines.some((l) => l.figure) ? 'notUnderstood' : 'setAside';
    const whole: Told = { start: 0, end: p.printed.length, fate, why: found.lines[0]?.says ?? '' };
    const numbers = fatesOf(p.printed, [...found.told, ...p.asides, whole]);
    return found.lines.map((line, nth) => ({
      number,
      text: shown,
      ...settled(line, chosen[number]),
      numbers: nth === 0 ? numbers : [],
    }));
  });
  return all.length > MOST_LINES ? [...read, beyond(all[MOST_LINES] ?? '')] : read;
}
const beyond = (text: string): SoilLine => ({
  number: MOST_LINES + 1,
  text: text.slice(0, LONGEST_LINE),
  figure: undefined,
  says: `not read, nor is what follows: expected at most ${MOST_LINES} lines`,
  choices: [],
  numbers: [],
});

import { compoundPerElement, formulaText, type Basis } from '../nutrient/index.js';
import {
  decimalMarkIn,
  declaredRange,
  formatGiven,
  scaleDeclared,
  shownDeclared,
  type DeclaredValue,
} from '../quantity/index.js';
import {
  bindLine,
  columnsIn,
  fatesOf,
  freeUnit,
  joined,
  linesOf,
  ofAll,
  prepared,
  roleBefore,
  rowOf,
  stackedBelow,
  subjectOf,
  tells,
  twoNumbers,
  unitAmong,
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
} from '../reading/index.js';
import {
  SOIL_ANALYTE_NAMES,
  SOIL_METHOD_NAMES,
  soilFigureProblem,
  soilUnits,
  type SoilAnalyte,
  type SoilFigure,
  type SoilMethod,
  type SoilUnit,
} from './soilReport.js';
import { KEPT, methodIn, OTHER_THINGS, SHARE_OF_EXCHANGE } from './slipWords.js';

/** One of several things that a line of a slip can mean. A bed of several has no figure of its own. */
export interface SoilChoice {
  readonly says: string;
  readonly figure: SoilFigure | undefined;
}
export interface SoilLine {
  readonly number: number;
  readonly text: string;
  readonly figure: SoilFigure | undefined;
  /** What it was taken to be, or why not. */
  readonly says: string;
  readonly choices: readonly SoilChoice[];
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

/** A figure, what it was before, or why there is none. */
interface Outcome {
  readonly figure?: SoilFigure | undefined;
  readonly says: string;
  readonly fate: Told['fate'];
  readonly choices?: readonly SoilChoice[];
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
    : 'not kept here';
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
    default:
      return [unit, 1, ''];
  }
}
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
  const told = own ?? (found.foreign === undefined && only === undefined ? general : undefined);
  if (!told) return found.foreign === undefined && only !== undefined ? { unit: only, factor: 1, from: '' } : expected;
  if (told.unit === 'kg/ha' && POUNDS_PER_ACRE.test(told.text))
    return { unit: 'mg/kg', factor: own ? 0.5 / LB_ACRE : 0.5, from: FURROW_SLICE };
  if (told.unit === 'kg/ha')
    return `${SOIL_ANALYTE_NAMES[analyte]}, ${found.text}: for an area it depends on the depth and the weight of the soil, expected mg/kg or mg/L`;
  const soil = soilUnit(told.unit, analyte);
  if (!soil) return expected;
  const [unit, factor, words] = soil;
  // The value counts the factor of its own unit already.
  const per100 = /^mg ?(?:\/|per) ?100 ?g/i.test(told.text) ? 'from mg/100 g × 10' : '';
  return { unit, factor: factor * (own ? 1 : told.factor), from: words || per100 };
}
const LB_ACRE = 0.45359237 * 2.47105381;

/** What a value of a line is, under the name it has. */
function outcomeOf(
  pair: Pair,
  subject: Subject,
  general: TellingUnit | undefined,
  clause: readonly Token[],
  context: Context,
): Outcome {
  const { found, name } = pair;
  if (subject.kind === 'several') return { says: 'a number with several names', fate: 'notUnderstood' };
  if (subject.kind === 'either') return eitherOf(pair, subject, general, clause, context);
  const kept = analyteOf(subject);
  if (typeof kept === 'string') return { says: kept, fate: 'setAside' };
  const { analyte } = kept;
  const share = unitAmong(name)?.unit === '%' && isCation(analyte);
  if (share || (context.shares && (isCation(analyte) || analyte === 'acidity') && unitOf(found, general) === '%'))
    return { says: SHARE_OF_EXCHANGE, fate: 'setAside' };
  const called = SOIL_ANALYTE_NAMES[analyte];
  if (found.none)
    return {
      says: `${called} was not detected, but no limit is given: write it as < and the limit`,
      fate: 'notUnderstood',
    };
  if (found.bound === 'above')
    return { says: `${called}, ${found.text}: more than can be told, expected a number`, fate: 'notUnderstood' };
  const unit = unitFor(found, unitAmong(name) ?? general, analyte);
  if (typeof unit === 'string') return { says: unit, fate: 'notUnderstood' };
  const basis = found.of === undefined ? kept.basis : found.of.length > 2 ? (found.of as Basis) : 'element';
  const factor = unit.factor / compoundPerElement(basis);
  const inUnit = (value: DeclaredValue): SoilFigure => ({
    analyte,
    value: factor === 1 ? value : scaleDeclared(value, factor, basis === 'element' ? 6 : 4),
    unit: unit.unit,
    method: methodFor(analyte, clause, context),
  });
  const values = [found.value, ...found.others].flatMap((v) => v ?? []);
  const sensible = values.map(inUnit).filter((f) => soilFigureProblem(f) === undefined);
  const [figure] = sensible;
  if (!figure)
    return { says: soilFigureProblem(inUnit(values[0] as DeclaredValue))?.message ?? '', fate: 'notUnderstood' };
  const doubtful = found.spaced || sensible.length > 1;
  if (doubtful) {
    const number = /\d[\d., ]*\d/.exec(found.text)?.[0] ?? found.text;
    const choices = sensible.map((f) => ({ says: figureWords(f), figure: f }));
    return { says: twoNumbers(number, found.spaced), fate: 'asked', choices };
  }
  const from = [basis === 'element' ? '' : `from ${formulaText(basis)}`, unit.from].filter(Boolean);
  return { figure, says: [figureWords(figure), ...from].join(', '), fate: 'taken' };
}

const unitOf = (found: FoundValue, general: TellingUnit | undefined): string | undefined => found.unit ?? general?.unit;
const isCation = (analyte: SoilAnalyte): boolean => ['K', 'Ca', 'Mg', 'Na'].includes(analyte);
const OWN_METHOD: readonly SoilAnalyte[] = ['pH', 'CEC', 'organicMatter', 'bulkDensity'];
const methodFor = (analyte: SoilAnalyte, clause: readonly Token[], context: Context): SoilMethod =>
  methodIn(clause) ?? (OWN_METHOD.includes(analyte) ? 'notSaid' : context.method);

function eitherOf(
  pair: Pair,
  { element, oxide }: Extract<Subject, { kind: 'either' }>,
  general: TellingUnit | undefined,
  clause: readonly Token[],
  context: Context,
): Outcome {
  const as = (basis: Basis): Outcome =>
    outcomeOf(
      pair,
      { kind: 'nutrient', element, basis, form: undefined, share: 'said', extract: false },
      general,
      clause,
      context,
    );
  // On a soil slip "Phosphate P" names the element that was measured.
  if (pair.name.some((t) => t.text === element)) return as('element');
  const choices = [as('element'), as(oxide)].flatMap((o) => (o.figure ? [{ says: o.says, figure: o.figure }] : []));
  return { says: askOxide(element), fate: 'asked', choices };
}
const askOxide = (element: string): string =>
  element === 'K'
    ? 'potash could be the element or its oxide: say K or K2O'
    : 'phosphate could be the element or its oxide: say P or P2O5';

const tradeOnly = (subject: Subject | undefined, name: readonly Token[]): Subject | undefined => {
  if (subject?.kind !== 'nutrient' || (subject.basis !== 'P2O5' && subject.basis !== 'K2O')) return subject;
  const outright = name.some((t) => tells(t, 'ox.P2O5', 'ox.K2O', 'oxide'));
  return outright ? subject : { kind: 'either', element: subject.element, oxide: subject.basis };
};

interface Piece {
  readonly outcome: Outcome;
  readonly found: FoundValue;
}

/** The values of a line with their names; a value behind an index or what is wanted has the name before it. */
function piecesOf(
  bound: BoundLine,
  general: TellingUnit | undefined,
  all: readonly Token[],
  context: Context,
): readonly Piece[] {
  let before: Pair | undefined;
  const pairs = joined(withLimits(bound.pairs, bound.brackets));
  const single = pairs.length === 1 && bound.brackets.length === 0;
  const pieces = [...pairs, ...bound.brackets.flatMap((b) => b.pairs)].flatMap((pair): readonly Piece[] => {
    const { found } = pair;
    const role = roleBefore(pair.before);
    const index = pair.before.some((t) => tells(t, 'of.index'));
    const own = tradeOnly(pair.subject, pair.name);
    const named = own ?? (before && tradeOnly(subjectOf(withoutIndex(before.name)), before.name));
    if (pair.subject) before = pair;
    if (role !== undefined) return [{ found, outcome: { says: role, fate: 'setAside' } }];
    if (index && found.unit === undefined)
      return [{ found, outcome: { says: OTHER_THINGS.index ?? '', fate: 'setAside' } }];
    const subject = index && own?.kind === 'soil' ? tradeOnly(subjectOf(withoutIndex(pair.name)), pair.name) : named;
    if (!subject) return [{ found, outcome: { says: 'a number without a name that is known', fate: 'notUnderstood' } }];
    const clause = single ? all : [...(own ? pair.name : (before?.name ?? [])), ...pair.before];
    return [{ found, outcome: outcomeOf({ ...pair, name: own ? pair.name : [] }, subject, general, clause, context) }];
  });
  return oneEach(pieces);
}
const withoutIndex = (name: readonly Token[]): readonly Token[] => name.filter((t) => !tells(t, 'of.index'));

/** Of two values of one thing in a line the first counts, if the other is it in another unit; else both are told. */
function oneEach(pieces: readonly Piece[]): readonly Piece[] {
  return pieces.map((piece, i) => {
    const { figure } = piece.outcome;
    const first =
      figure &&
      pieces
        .slice(0, i)
        .find((p) => p.outcome.figure?.analyte === figure.analyte && p.outcome.figure.method === figure.method);
    if (!first || !figure) return piece;
    const [a, b] = [declaredRange((first.outcome.figure as SoilFigure).value).mid, declaredRange(figure.value).mid];
    const same = (first.outcome.figure as SoilFigure).unit !== figure.unit || Math.abs(b / (a || 1) - 1) < 0.05;
    return same
      ? { ...piece, outcome: { says: `said again as ${piece.found.text}`, fate: 'setAside' } }
      : {
          ...piece,
          outcome: {
            says: `a second figure for ${SOIL_ANALYTE_NAMES[figure.analyte]}, ${formatGiven(b)}: leave the one that is meant`,
            fate: 'asked',
          },
        };
  });
}

const MOST_LINES = 200;
const LONGEST_LINE = 200;

/** What a line without values says of those below it. */
function heading(p: Prepared, context: Context): SoilLine['says'] {
  const { tokens } = p;
  const method = methodIn(tokens);
  const unit = unitAmong(tokens);
  const saturation = tokens.some((t) => tells(t, 'of.saturation'));
  if (method) context.method = method;
  if (unit) context.unit = unit;
  context.shares = saturation || (context.shares && !tokens.some((t) => tells(t, 'section')) && unit === undefined);
  if (context.shares && saturation) return 'shares of the exchange follow: they are worked out here from the cations';
  const per100 = unit && /^mg ?(?:\/|per) ?100/i.test(unit.text) ? 'from mg/100 g × 10' : '';
  const pounds = unit && POUNDS_PER_ACRE.test(unit.text) ? FURROW_SLICE : '';
  const shown = unit && (pounds ? 'mg/kg' : unit.unit);
  const told = [method && SOIL_METHOD_NAMES[method], shown, per100, pounds].filter(Boolean).join(', ');
  return told ? `holds for the lines below: ${told}` : 'words without figures';
}

/** A line that names several beds side by side or below: one is chosen. */
const severalBeds = (
  labels: readonly string[],
  context: Context,
  choice: string | undefined,
): Pick<SoilLine, 'says' | 'choices'> => {
  context.sample = labels.find((l) => l === choice);
  const choices = labels.map((says) => ({ says, figure: undefined }));
  return context.sample === undefined
    ? { says: `several beds, ${labels.join(', ')}: say which one is meant`, choices }
    : { says: `a heading: ${context.sample} is taken, as you said`, choices };
};

function readLine(
  p: Prepared,
  stack: Stack | undefined,
  choice: string | undefined,
  context: Context,
): readonly Omit<SoilLine, 'number' | 'text' | 'numbers'>[] & { told?: readonly Told[] } {
  const none = { figure: undefined, choices: [] };
  if (stack?.kind === 'rows') return [{ ...none, ...severalBeds(stack.labels, context, choice) }];
  const columns = p.values.length === 0 && stack === undefined ? columnsIn(p.tokens, p.line) : undefined;
  if (columns) {
    context.columns = columns;
    const samples = columns.filter((c) => c.role === 'sample');
    const said = heading({ ...p, tokens: p.tokens.filter((t) => !columns.some((c) => c.unit === t)) }, context);
    return samples.length > 1
      ? [
          {
            ...none,
            ...severalBeds(
              samples.map((c) => c.text),
              context,
              choice,
            ),
          },
        ]
      : [{ ...none, says: said.startsWith('holds') ? said : 'a heading: what was found is taken' }];
  }
  if (stack?.kind === 'head') return [{ ...none, says: 'names, with their values below' }];
  if (p.values.length === 0) return [{ ...none, says: headingOrIndex(p, context) }];
  if (stack?.kind === 'row' && stack.several && stack.label !== context.sample)
    return [{ ...none, says: 'figures of several beds: say above which one is meant' }];
  const bound: BoundLine =
    stack?.kind === 'row'
      ? { pairs: stack.pairs, either: undefined, brackets: [] }
      : bindLine(stack?.kind === 'value' ? [...stack.ahead, ...p.tokens] : p.tokens, p.line);
  const row =
    context.columns && stack === undefined && bound.brackets.length === 0
      ? rowOf(bound.pairs, context.columns, context.sample)
      : undefined;
  if (row && !row.pair)
    return Object.assign([{ ...none, says: 'figures of several beds: say above which one is meant' }], {
      told: row.told,
    });
  const general =
    row?.unit ??
    freeUnit(
      p.tokens,
      bound.pairs.map((q) => q.found),
    ) ??
    context.unit;
  const pieces = row?.pair
    ? piecesOf({ pairs: [row.pair], either: undefined, brackets: [] }, general, p.tokens, context)
    : piecesOf(bound, general, p.tokens, context);
  const told = [
    ...(row?.told ?? []),
    ...pieces.map(({ found, outcome }): Told => ({
      start: found.start,
      end: found.end,
      fate: outcome.fate,
      why: outcome.says,
    })),
  ];
  return Object.assign(linesFrom(pieces), { told });
}

/** A line without values may still have the number of a class. */
const headingOrIndex = (p: Prepared, context: Context): string =>
  subjectOf(p.tokens)?.kind === 'soil' && p.tokens.some((t) => tells(t, 'of.index'))
    ? (OTHER_THINGS.index ?? '')
    : heading(p, context);

/** The figures of a line, each a line of the reading; what is set aside beside one is told with it. */
function linesFrom(pieces: readonly Piece[]): readonly Omit<SoilLine, 'number' | 'text' | 'numbers'>[] {
  const telling = pieces.filter(
    ({ outcome: o }) => o.figure || o.choices || o.fate === 'notUnderstood' || o.fate === 'asked',
  );
  const wanted = pieces.some(({ outcome: o }) => o.says === 'what is wanted, not what is there');
  const taken =
    telling.length > 0
      ? telling.filter(
          ({ outcome: o }, _, all) => o.figure || o.choices || !all.some((x) => x.outcome.figure) || o.fate === 'asked',
        )
      : pieces.slice(0, 1);
  return taken.map(({ outcome: { figure, says, choices } }) => ({
    figure,
    says: wanted && figure ? `${says}, what is wanted is set aside` : says,
    choices: choices ?? [],
  }));
}

/**
 * Reads a soil report as pasted text or as a CSV's rows joined by spaces: its figures with unit and method, what could be several things, and what
 * became of every number. A line that names only a method or a unit holds for the lines after it. Nothing is guessed.
 * @param chosen a person's word on lines in doubt, by line number: the words of the choice
 * @example readSoilSlip('pH 6.4\nPhosphorus (Olsen) 32 mg/kg')
 */
export function readSoilSlip(text: string, chosen: Readonly<Record<number, string>> = {}): readonly SoilLine[] {
  const all = linesOf(text);
  const mark = decimalMarkIn(text.slice(0, MOST_LINES * 2 * LONGEST_LINE));
  const lines = all.slice(0, MOST_LINES).map((raw) => prepared(raw.slice(0, 2 * LONGEST_LINE), mark));
  const context: Context = {
    method: 'notSaid',
    unit: ofAll(lines).unit,
    columns: undefined,
    sample: undefined,
    shares: false,
  };
  const stacks = stackedBelow(lines);
  const read = lines.flatMap((p, i): readonly SoilLine[] => {
    const number = i + 1;
    const shown = p.printed
      .replace(/[\t;|]/g, ' ')
      .replace(/\s+/g, ' ')
      .trim()
      .slice(0, LONGEST_LINE);
    if (shown === '') return [{ number, text: '', figure: undefined, says: '', choices: [], numbers: [] }];
    const found = readLine(p, stacks.get(i), chosen[number], context);
    const whole: Told = {
      start: 0,
      end: p.printed.length,
      fate: found.some((f) => f.figure) ? 'notUnderstood' : 'setAside',
      why: found[0]?.says ?? '',
    };
    const numbers = fatesOf(p.printed, [...(found.told ?? []), ...p.asides, whole]);
    return found.map((line, nth) => {
      const choice = line.choices.find((c) => c.figure && c.says === chosen[number]);
      const settled = choice
        ? { figure: choice.figure, says: `${choice.says}, as you said`, choices: line.choices }
        : line;
      return { number, text: shown, ...settled, numbers: nth === 0 ? numbers : [] };
    });
  });
  return all.length > MOST_LINES
    ? [
        ...read,
        {
          number: MOST_LINES + 1,
          text: (all[MOST_LINES] ?? '').slice(0, LONGEST_LINE),
          figure: undefined,
          says: `not read, nor is what follows: expected at most ${MOST_LINES} lines`,
          choices: [],
          numbers: [],
        },
      ]
    : read;
}

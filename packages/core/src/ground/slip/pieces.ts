import { analyteName } from '../../nutrient/index.js';
import { declaredRange } from '../../quantity/index.js';
import {
  joined,
  roleBefore,
  subjectOf,
  tells,
  unitAmong,
  WANTED,
  withLimits,
  type BoundLine,
  type FoundValue,
  type Pair,
  type Subject,
  type TellingUnit,
  type Token,
} from '../../reading/index.js';
import { SOIL_ANALYTE_NAMES, type SoilFigure } from '../soilReport.js';
import { outcomeOf, tradeOnly, type Clause, type Outcome } from './figures.js';
import { OTHER_THINGS, SHARE_OF_EXCHANGE } from './words.js';

/** A value of a line and what it was read as. */
export interface Piece {
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

/** "0.142 g/kg (0.080 - 0.120)": a range behind the value, to compare it with. */
const isBareRange = ({ found, subject }: Pair): boolean =>
  subject === undefined &&
  found.unit === undefined &&
  (found.value?.kind === 'range' || found.value?.kind === 'below' || found.bound !== undefined);

/** The values of a line with their names; a value behind an index or what is wanted has the name before it. */
export function piecesOf(bound: BoundLine, line: Clause): readonly Piece[] {
  let before: Pair | undefined;
  const pairs = joined(withLimits(bound.pairs, bound.brackets));
  const single = pairs.length === 1 && bound.brackets.length === 0;
  const beside = bound.brackets.flatMap((b) => b.pairs);
  const pieces = [...pairs, ...beside].map((pair): Piece => {
    const { found } = pair;
    if (beside.includes(pair) && isBareRange(pair)) return { found, outcome: { says: WANTED, fate: 'setAside' } };
    const own = tradeOnly(pair.subject, pair.name);
    const inherited = before && tradeOnly(subjectOf(withoutIndex(before.name)), before.name);
    if (pair.subject) before = pair;
    const aside = asideBy(pair);
    if (aside !== undefined) return { found, outcome: { says: aside, fate: 'setAside' } };
    const named = namedBy(pair, own, line.general);
    const subject = named ?? (line.shares ? undefined : inherited);
    if (line.shares && isShareOnly(subject)) return { found, outcome: shareOf(pair) };
    if (!subject) return { found, outcome: NAMELESS };
    const name = own ? pair.name : (before?.name ?? []);
    const words = single ? line.words : [...name, ...pair.before, ...pair.behind];
    const outcome = outcomeOf({ ...pair, name: own ? pair.name : [] }, subject, { ...line, words });
    return { found, outcome, of: named ? undefined : nameText(subject) };
  });
  return oneEach(pieces);
}
/** "CE 1:5 (dS/m) 0.31": nothing else is told in that unit. */
const ofUnit = ({ found, name }: Pair, general?: TellingUnit): Subject | undefined =>
  (found.unit ?? unitAmong(name)?.unit ?? general?.unit) === 'mS/cm' ? { kind: 'soil', what: 'EC' } : undefined;

/** What a value's own words name; a word for a class beside the name of an element does not count. */
function namedBy(pair: Pair, own: Subject | undefined, general: TellingUnit | undefined): Subject | undefined {
  const index = pair.before.some((t) => tells(t, 'of.index'));
  // "Ledningstal 0.42 mS/cm" is a conductivity; without a unit it is a number of one country.
  if (own?.kind === 'soil' && own.what === 'quickTest') return ofUnit(pair, general) ?? own;
  if (!index || own?.kind !== 'soil') return own ?? ofUnit(pair);
  return tradeOnly(subjectOf(withoutIndex(pair.name)), pair.name);
}

/** Nothing but the exchange is named, or nothing at all. */
const isShareOnly = (subject: Subject | undefined): boolean =>
  subject === undefined || (subject.kind === 'soil' && subject.what === 'saturation');
/** A share of the exchange, with the cation that it is of; hydrogen is the acidity. */
function shareOf({ found, name }: Pair): Outcome {
  const subject = subjectOf(name.filter((t) => !tells(t, 'of.saturation')));
  const cation = subject?.kind === 'nutrient' ? CATIONS.find((c) => c === subject.element) : undefined;
  const analyte = cation ?? (name.some((t) => t.text === 'H') ? ('acidity' as const) : undefined);
  const share = analyte && found.value && { analyte, percent: declaredRange(found.value).mid };
  return { says: SHARE_OF_EXCHANGE, fate: 'setAside', ...(share ? { share } : {}) };
}
const CATIONS = ['K', 'Ca', 'Mg', 'Na'] as const;
const NAMELESS: Outcome = { says: 'a number without a name that is known', fate: 'notUnderstood' };
const nameText = (subject: Subject): string =>
  subject.kind === 'nutrient' ? analyteName(subject.element) : subject.kind === 'soil' ? subject.what : 'it';

/**
 * Of two values of one thing in a line the first counts, if the other is it in another unit; else nobody can tell which is meant, and both are asked
 * about. So is a value under a name whose own value could not be taken.
 */
function oneEach(pieces: readonly Piece[]): readonly Piece[] {
  const alike = (a: SoilFigure | undefined, b: SoilFigure): boolean =>
    a !== undefined && a.analyte === b.analyte && (a.method === b.method || inBracket(a, b));
  // What a bracket says again has the method of what stands before it.
  const inBracket = (a: SoilFigure, b: SoilFigure): boolean => b.method === 'notSaid' && sameFigure(a, b);
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

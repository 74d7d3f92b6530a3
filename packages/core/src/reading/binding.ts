import { subjectOf, type Subject } from './subjects.js';
import { isSign, tells, type Token } from './token.js';
import { tokenize } from './tokens.js';
import { AND, valuesIn, type FoundValue } from './values.js';

/** A value of a line with the words that name it; no words where none can be told. */
export interface Pair {
  readonly found: FoundValue;
  readonly name: readonly Token[];
  readonly subject: Subject | undefined;
  /** What stands between the value before and this one. */
  readonly before: readonly Token[];
  /** What stands behind it and speaks of it. */
  readonly behind: readonly Token[];
  /** "20 mg/kg P2O5" of a metal: a share of the phosphate, none of the product. */
  readonly ofPhosphate: boolean;
}

/** What stands in brackets and has values of its own. */
export interface Bracket {
  readonly pairs: readonly Pair[];
  readonly start: number;
  readonly text: string;
}

/** A line as its pairs. */
export interface BoundLine {
  readonly pairs: readonly Pair[];
  /** The same values with the names on their other side, where both are as likely. */
  readonly either: readonly (readonly Pair[])[] | undefined;
  readonly brackets: readonly Bracket[];
}

const known = (subject: Subject | undefined): boolean => subject !== undefined && subject.kind !== 'several';
/** How much a name says: a nutrient more than what something is made of. */
const weightOf = (subject: Subject | undefined): number =>
  !known(subject) ? 0 : subject?.kind === 'matter' || subject?.kind === 'salt' ? 1 : 3;

/** The words of a region that name something: all of it, else what a colon, a comma or a gap sets apart. */
function nameOf(region: readonly Token[], side: 'ahead' | 'behind', inNitrogen: boolean): readonly Token[] {
  if (known(subjectOf(region, inNitrogen))) return region;
  const cuts = region.flatMap((token, i) => (isSign(token, ':,;|') ? [i] : []));
  const parts =
    side === 'ahead'
      ? cuts.reverse().map((i) => region.slice(i + 1))
      : [...cuts.map((i) => region.slice(0, i)), ...cuts.slice(0, 1).map((i) => region.slice(i + 1))];
  return parts.find((part) => known(subjectOf(part, inNitrogen))) ?? region;
}

/** Where a clause ends: at a semicolon, a bar, a comma, or a stroke or dash between spaces. */
const isEnd = (token: Token, line: string): boolean => {
  const [before, behind] = [line[token.start - 1] ?? ' ', line[token.end] ?? ' '];
  const gap = /\s/.test(behind);
  return isSign(token, ';|') || (isSign(token, ',') && gap) || (isSign(token, '-–/') && gap && /\s/.test(before));
};

/** "Nitrogen: 5.5 % nitrate, 6.5 % ammonium": the name before the colon only leads in, the values have their forms behind them. */
function leadIn({ values, regions }: Regions, line: string): readonly Pair[] | undefined {
  const [first = []] = regions;
  const lead = subjectOf(first);
  if (!isSign(first.at(-1), ':') || lead?.kind !== 'nutrient' || lead.element !== 'N' || lead.form) return undefined;
  const names = regions.slice(1).map((region) => nameOf(region, 'behind', true));
  const subjects = names.map((name) => subjectOf(name, true));
  if (!subjects.every((s) => s?.kind === 'nutrient' && s.form !== undefined)) return undefined;
  return values.map((found, i) => ({
    found,
    name: names[i] ?? [],
    subject: subjects[i],
    before: i === 0 ? [] : (regions[i] ?? []),
    behind: ownBehind(regions[i + 1] ?? [], line, i === values.length - 1),
    ofPhosphate: false,
  }));
}

/** Phosphate straight behind a value in mg/kg, that is no name of another value. */
function isOfPhosphate(found: FoundValue, behind: readonly Token[], names: readonly (readonly Token[])[]): boolean {
  const next = behind.find((t) => t.kind === 'word' && t.means.size > 0 && !tells(t, 'per'));
  const perKg = found.unit === 'mg/kg' || found.unit === 'g/kg';
  return perKg && next !== undefined && tells(next, 'ox.P2O5') && !names.some((name) => name.includes(next));
}

/** What stands behind a value and is its own: a bracket straight behind it, or the rest of the line up to the end of the clause. */
function ownBehind(region: readonly Token[], line: string, isLast: boolean): readonly Token[] {
  const close = isSign(region[0], '(') ? region.findIndex((t) => isSign(t, ')')) : -1;
  if (close > 0) return region.slice(0, close);
  const end = region.findIndex((t) => isEnd(t, line));
  return isLast ? region.slice(0, end < 0 ? region.length : end) : [];
}

/** "58 lb N per ton": a unit that says what it is of names its value. */
const ofItsUnit = ({ of }: FoundValue): Subject | undefined => (of === undefined ? undefined : subjectOf(tokenize(of)));

/** "Magnesium 2 % MgO", "Calcium 5 % as CaO": a compound of the same element straight behind its value is what the value is told as. */
function withCompound(
  name: readonly Token[],
  region: readonly Token[],
  names: readonly (readonly Token[])[],
  line: string,
): readonly Token[] {
  const end = region.findIndex((t) => isEnd(t, line));
  const clause = end < 0 ? region : region.slice(0, end);
  const next = clause.find((t) => t.kind === 'word' && !(t.text.length <= 3 && [...t.means].every((m) => m === 'as')));
  const compound = next?.kind === 'word' && [...next.means].some((m) => /^(?:ox\.|trade\.|oxide$)/.test(m));
  if (!next || !compound || names.some((n) => n.includes(next))) return name;
  const [before, both] = [subjectOf(name), subjectOf([...name, next])];
  const alike = before?.kind === 'nutrient' || before?.kind === 'either' ? before.element : undefined;
  return (both?.kind === 'nutrient' || both?.kind === 'either') && both.element === alike ? [...name, next] : name;
}

interface Regions {
  readonly values: readonly FoundValue[];
  /** One more than there are values: what stands before, between and behind them. */
  readonly regions: readonly (readonly Token[])[];
}

function regionsOf(tokens: readonly Token[], line: string): Regions {
  const values = valuesIn(tokens, line);
  const regions = [...values, undefined].map((value, i) =>
    tokens.slice((values[i - 1]?.to ?? -1) + 1, value?.from ?? tokens.length),
  );
  return { values, regions };
}

/** For each value the words of its clause, before and behind it; undefined where a clause has more than one value. */
function clauses(
  { values, regions }: Regions,
  line: string,
): readonly (readonly [readonly Token[], readonly Token[]])[] | undefined {
  const split = regions.map((region, i) => {
    const ends = region.flatMap((token, j) => (isEnd(token, line) ? [j] : []));
    const at = ends.length > 0 ? ends : region.flatMap((token, j) => (AND.test(token.text) ? [j] : []));
    if (at.length === 0) {
      const inner = i > 0 && i < values.length;
      return inner ? undefined : { behind: region, ahead: region };
    }
    return { behind: region.slice(0, at[0]), ahead: region.slice((at.at(-1) ?? 0) + 1) };
  });
  if (split.some((s) => s === undefined)) return undefined;
  return values.map((_, i) => [split[i]?.ahead ?? [], split[i + 1]?.behind ?? []] as const);
}

/** "water soluble 3.5 %     Iron 0.08 %": names before their values, each clause far from the next. */
function byGaps({ values, regions }: Regions, line: string): readonly (readonly Token[])[] | undefined {
  const names = regions.slice(0, -1);
  const gap = (from: number | undefined, to: number | undefined): number =>
    from === undefined || to === undefined ? 0 : line.slice(from, to).replace(/\t/g, '    ').length;
  const clear = names.every((name, i) => {
    const before = values[i - 1];
    return name.length > 0 && (before === undefined || gap(before.end, name[0]?.start) > 2);
  });
  return clear && (regions.at(-1) ?? []).length === 0 ? names : undefined;
}

/** Names for the values of a line, all on one side or with one change of side, and how much they say together. */
interface Way {
  readonly names: readonly (readonly Token[])[];
  readonly weight: number;
}
/** Ways to give names to values, the most telling first. A name between two values belongs to one of them only. */
function sides(
  { values, regions }: Regions,
  inNitrogen: boolean,
  weigh: (name: readonly Token[]) => number,
): readonly Way[] {
  const ahead = regions.slice(0, -1).map((region) => nameOf(region, 'ahead', inNitrogen));
  const behind = regions.slice(1).map((region) => nameOf(region, 'behind', inNitrogen));
  const [before, after] = [ahead.map(weigh), behind.map(weigh)];
  const seen = new Set<string>();
  const ways = values.flatMap((_, at): readonly Way[] =>
    [false, true].flatMap((first): readonly Way[] => {
      // Up to this value the names stand on one side, from it on on the other.
      const onAhead = values.map((__, i) => i < at === first);
      const key = onAhead.join();
      const twice = onAhead.some((a, i) => !a && onAhead[i + 1] === true && ahead[i + 1] === behind[i]);
      if (seen.has(key) || twice) return [];
      seen.add(key);
      const names = onAhead.map((a, i) => (a ? ahead[i] : behind[i]) ?? []);
      const weight = onAhead.reduce((sum, a, i) => sum + ((a ? before[i] : after[i]) ?? 0), at === 0 ? 0 : -1);
      return [{ names, weight }];
    }),
  );
  return ways.sort((a, b) => b.weight - a.weight);
}

/**
 * Each value with its name: in its own clause, or else on the side on which more names are known. Where both sides know as many, both are given and
 * neither is taken.
 */
function bind(all: Regions, line: string, inNitrogen: boolean): Pick<BoundLine, 'pairs' | 'either'> {
  const { values, regions } = all;
  const subject = (name: readonly Token[]): Subject | undefined => subjectOf(name, inNitrogen);
  const pairs = (names: readonly (readonly Token[])[]): readonly Pair[] =>
    values.map((found, i) => {
      const region = regions[i + 1] ?? [];
      const name = withCompound(names[i] ?? [], region, names, line);
      return {
        found,
        name,
        subject: subject(name) ?? ofItsUnit(found),
        before: regions[i] ?? [],
        behind: ownBehind(region, line, i === values.length - 1),
        ofPhosphate: isOfPhosphate(found, region, names),
      };
    });
  const forms = leadIn(all, line);
  if (forms) return { pairs: forms, either: undefined };
  const own = clauses(all, line)?.map(([ahead, behind]) => {
    const names = [nameOf(ahead, 'ahead', inNitrogen), nameOf(behind, 'behind', inNitrogen)] as const;
    return weightOf(subject(names[0])) >= weightOf(subject(names[1])) ? names[0] : names[1];
  });
  if (own && own.every((name) => known(subject(name)))) return { pairs: pairs(own), either: undefined };
  const apart = byGaps(all, line);
  const ways = sides(all, inNitrogen, (name) => weightOf(subject(name)));
  const [best, next] = ways;
  if (!best) return { pairs: pairs([]), either: undefined };
  if (values.length > 1 && next && next.weight === best.weight && best.weight > 0 && apart)
    return { pairs: pairs(apart.map((name) => nameOf(name, 'ahead', inNitrogen))), either: undefined };
  if (values.length > 1 && next && next.weight === best.weight && best.weight > 0)
    return { pairs: pairs([]), either: [pairs(best.names), pairs(next.names)] };
  return { pairs: pairs(best.weight > 0 || values.length === 1 ? best.names : []), either: undefined };
}

const isNitrogen = ({ subject }: Pair): boolean => subject?.kind === 'nutrient' && subject.element === 'N';

/** "5 % azote total : 1,4 % nitrique; 0,9 % ammoniacal": the colon behind a figure of nitrogen, with its forms behind that. */
function wholeBefore(tokens: readonly Token[], line: string): number {
  const colon = tokens.findIndex((t, i) => isSign(t, ':') && tokens[i + 1]?.kind === 'number');
  if (colon < 0 || tokens[0]?.kind !== 'number') return -1;
  const [whole, another] = valuesIn(tokens.slice(0, colon), line);
  const subject = subjectOf(tokens.slice(0, colon));
  const forms = tokens
    .slice(colon)
    .filter((t) => tells(t, 'form.nitrate', 'form.ammonium', 'form.urea', 'form.organic'));
  return whole && !another && subject?.kind === 'nutrient' && subject.element === 'N' && forms.length > 0 ? colon : -1;
}

/** "15 % dont 6,5 % nitrique": what stands behind "of which" is bound by itself, as parts of what stands before. */
function bindParts(tokens: readonly Token[], line: string, inNitrogen: boolean): Pick<BoundLine, 'pairs' | 'either'> {
  const number = tokens.findIndex((t) => t.kind === 'number');
  const at = tokens.findIndex(
    (t, i) => i > number && tells(t, 'part') && tokens.slice(i).some((u) => u.kind === 'number'),
  );
  const colon = at < 0 ? wholeBefore(tokens, line) : -1;
  if (colon > 0) {
    const whole = bind(regionsOf(tokens.slice(0, colon), line), line, inNitrogen);
    const parts = bind(regionsOf(tokens.slice(colon + 1), line), line, true);
    return { pairs: [...whole.pairs, ...parts.pairs], either: parts.either };
  }
  if (number < 0 || at < 0) return bind(regionsOf(tokens, line), line, inNitrogen);
  const whole = bind(regionsOf(tokens.slice(0, at), line), line, inNitrogen);
  const parts = bindParts(tokens.slice(at), line, inNitrogen || whole.pairs.some(isNitrogen));
  return { pairs: [...whole.pairs, ...parts.pairs], either: whole.either ?? parts.either };
}

const OPEN = '([';
const CLOSE = ')]';

/** Brackets of a line, outermost, as ranges of tokens; one that is never closed ends with the line. */
function bracketsIn(tokens: readonly Token[]): readonly (readonly [number, number])[] {
  const found: (readonly [number, number])[] = [];
  let depth = 0;
  let from = 0;
  tokens.forEach((token, i) => {
    if (isSign(token, OPEN)) {
      if (depth === 0) from = i;
      depth++;
    } else if (isSign(token, CLOSE) && depth > 0) {
      depth--;
      if (depth === 0) found.push([from, i]);
    }
  });
  return found;
}

/** The role before a colon that a line begins with. */
function leadOf(tokens: readonly Token[]): readonly Token[] {
  const colon = tokens.slice(0, 4).findIndex((t) => isSign(t, ':'));
  const role = tokens[colon - 1];
  const leads = tells(role, 'role.wanted', 'role.allowed', 'role.limit', 'role.before');
  return leads ? tokens.slice(colon - 1, colon + 1) : [];
}
function ledBy(
  lead: readonly Token[],
  bound: Pick<BoundLine, 'pairs' | 'either'>,
): Pick<BoundLine, 'pairs' | 'either'> {
  if (lead.length === 0) return bound;
  const led = (pairs: readonly Pair[]): readonly Pair[] => pairs.map((p) => ({ ...p, before: [...lead, ...p.before] }));
  return { pairs: led(bound.pairs), either: bound.either?.map(led) };
}

/**
 * The values of a line with their names. A bracket with values and names of its own is read by itself; one with a value alone belongs to the line
 * where the line has no other.
 * @param inNitrogen the line tells parts of nitrogen
 */
export function bindLine(tokens: readonly Token[], line: string, inNitrogen = false): BoundLine {
  const all = valuesIn(tokens, line);
  const groups = bracketsIn(tokens).filter(([from, to]) => all.some((v) => v.from > from && v.to < to));
  const outside = all.filter((v) => !groups.some(([from, to]) => v.from > from && v.to < to));
  const apart = groups.filter(([from, to]) => {
    const inner = bind(regionsOf(tokens.slice(from + 1, to), line), line, true);
    return outside.length > 0 || inner.pairs.some((p) => known(p.subject));
  });
  const main = tokens.filter((_, i) => !apart.some(([from, to]) => i >= from && i <= to));
  const bound = ledBy(leadOf(tokens), bindParts(main, line, inNitrogen));
  const nitrogenAhead = bound.pairs.some(isNitrogen);
  const brackets = apart.map(([from, to]): Bracket => {
    const inside = tokens.slice(from + 1, to);
    const start = tokens[from]?.start ?? 0;
    const { pairs } = bind(regionsOf(inside, line), line, nitrogenAhead);
    return { pairs, start, text: line.slice(start + 1, tokens[to]?.start) };
  });
  return { ...bound, brackets };
}

/** Whether the words before a value make it a part of the figure before it: "of which". */
export const isPart = (before: readonly Token[]): boolean => before.some((token) => tells(token, 'part'));

import { rangeValue } from '../quantity/index.js';
import type { BoundLine, Bracket, Pair } from './binding.js';
import type { Told } from './fate.js';
import { unitAmong, type TellingUnit } from './prepare.js';
import { subjectOf } from './subjects.js';
import { underColumns, type Column } from './tables.js';
import { isSign, tells, type Token } from './token.js';
import type { FoundValue } from './values.js';

/** What is said of a value that somebody wants. */
export const WANTED = 'what is wanted, not what is there';
/** Why a value is not what counts, by its column or the word before it. */
const ASIDES: Readonly<Record<Column['role'] | 'share', string>> = {
  dry: 'the same on dry matter',
  limit: 'the least that could be told',
  wanted: WANTED,
  allowed: 'what is allowed, not what is there',
  error: 'how far off it may be',
  before: 'an earlier result',
  share: 'a share of what was promised',
  index: 'a class, no amount',
  sample: 'another sample',
  found: 'said again in another unit',
  oxide: 'said again as an oxide',
  element: 'said again as an element',
  part: 'part of it, already counted',
};

/** Roles that a word before a value gives it. */
const ROLES = ['wanted', 'limit', 'allowed', 'error', 'before', 'share'] as const;
const tellsRole = (token: Token): boolean => ROLES.some((role) => tells(token, `role.${role}`));
/** "Lime to pH 6.5" tells where to go. */
const tellsGoal = (before: readonly Token[]): boolean =>
  before.some((t, i) => tells(t, 'of.pH') && tells(before[i - 1], 'to'));
/** "Ideal: P 50, K 150": a colon behind its role makes it hold for all that follows. */
const leads = (role: Token, before: readonly Token[]): boolean =>
  tells(role, 'role.share') || isSign(before[before.indexOf(role) + 1], ':');
/** Why a value is not what was found, by the words before it. @example roleBefore(tokenize('target')) // 'what is wanted, not what is there' */
export function roleBefore(before: readonly Token[]): string | undefined {
  if (before.some((t) => isSign(t, '±'))) return ASIDES.error;
  if (tellsGoal(before)) return WANTED;
  const words = [...before].reverse().filter((t) => t.kind === 'word');
  const last = words.find(tellsRole);
  const named = words.find((t) => tells(t, 'role.found') || [...t.means].some((m) => m.startsWith('el.')));
  if (!last || (named && named.start > last.start && !leads(last, before))) return undefined;
  const role = ROLES.find((r) => tells(last, `role.${r}`));
  return role && ASIDES[role];
}

/** "min. 3 % max. 5 %" of one thing is a range. */
export function joined(pairs: readonly Pair[]): readonly Pair[] {
  const out: Pair[] = [];
  for (const pair of pairs) {
    const last = out.at(-1);
    const span = last && spanOf(last.found, pair.found);
    if (last && span && (pair.subject === undefined || pair.name === last.name))
      out[out.length - 1] = { ...last, found: span };
    else out.push(pair);
  }
  return out;
}
function spanOf(first: FoundValue, last: FoundValue): FoundValue | undefined {
  if (first.bound !== 'least' || last.bound !== 'most') return undefined;
  if (first.value?.kind !== 'number' || last.value?.kind !== 'range') return undefined;
  const [low, high] = [first.value.value, last.value.high];
  if (high < low) return undefined;
  return {
    ...last,
    unit: last.unit ?? first.unit,
    bound: undefined,
    value: rangeValue(low, high),
    start: first.start,
    from: first.from,
  };
}

/** What was not found, told as less than the limit beside it. */
const belowLimit = (none: FoundValue, limit: FoundValue | undefined): FoundValue => {
  const { value } = limit ?? {};
  if (!none.none || !limit || (value?.kind !== 'number' && value?.kind !== 'below')) return none;
  const most = value.kind === 'below' ? value.limit : value.value;
  return { ...none, none: false, unit: limit.unit, value: { kind: 'below', limit: most }, text: `< ${limit.text}` };
};

/** "Mercury (Hg) n.d. (< 0.1 mg/kg)", "ND, LOD 0.05": what was not found, with the limit beside it. */
export function withLimits(pairs: readonly Pair[], brackets: readonly Bracket[]): readonly Pair[] {
  const isLimit = (p: Pair): boolean => p.found.value?.kind === 'below' || p.before.some((t) => tells(t, 'role.limit'));
  // In a bracket beside what was not found any limit is that of detection.
  const inBracket = (p: Pair): boolean => isLimit(p) || p.before.some((t) => tells(t, 'role.allowed'));
  return pairs.flatMap((pair, i) => {
    const [before, next] = [pairs[i - 1], pairs[i + 1]];
    if (!pair.found.none) return before?.found.none && isLimit(pair) ? [] : [pair];
    const limit = (next && isLimit(next) ? next : undefined) ?? brackets.flatMap((b) => b.pairs).find(inBracket);
    if (!limit) return [pair];
    return [
      {
        ...pair,
        found: {
          ...belowLimit(pair.found, limit.found),
          start: Math.min(pair.found.start, limit.found.start),
          end: Math.max(pair.found.end, limit.found.end),
        },
      },
    ];
  });
}

/** "Mg 14  Ca 210 mg/100 g": a unit that only the last of several nutrients has, which then holds for all of them. */
export function lastUnit(pairs: readonly Pair[]): TellingUnit | undefined {
  const last = pairs.at(-1)?.found;
  const nutrients =
    pairs.length > 1 && pairs.every((p) => p.subject?.kind === 'nutrient' || p.subject?.kind === 'either');
  const alone = pairs.slice(0, -1).every(({ found: f }) => f.unit === undefined && f.foreign === undefined);
  return nutrients && alone && last?.unit !== undefined ? unitOfValue(last) : undefined;
}
/** The unit of a value, to lend to others: the value counts its factor, theirs do not yet. */
export const unitOfValue = ({ unit, factor, text }: FoundValue): TellingUnit | undefined =>
  unit && { unit, factor, text: text.replace(/^[^\p{L}%µ]*/u, '') };

/** Several names with their values under headings that tell a unit each: "Macronutrients (%)   Micronutrients (ppm)". */
export function underTheirUnits(pairs: readonly Pair[], columns: readonly Column[]): readonly Pair[] {
  if (pairs.length < 2 || pairs.some((p) => p.subject === undefined)) return pairs;
  const under = underColumns(
    pairs.map((p) => p.found),
    columns,
  );
  return pairs.map((pair, i) => {
    const unit = under?.[i]?.unit;
    return unit && pair.found.unit === undefined ? { ...pair, name: [...pair.name, unit] } : pair;
  });
}

/** Whether the brackets of a row are beside its values: they name nothing, or only a class. */
export const besideRow = ({ pairs, brackets }: Pick<BoundLine, 'pairs' | 'brackets'>): boolean =>
  pairs.length > 0 &&
  (brackets.length === 0 || !pairs.some((p) => p.found.none)) &&
  brackets.every((b) => b.pairs.every((p) => p.subject === undefined || p.subject.kind === 'soil'));

/** What stands in the brackets of a row is set aside. */
export const toldBeside = ({ brackets }: Pick<BoundLine, 'brackets'>): readonly Told[] =>
  brackets
    .flatMap((b) => b.pairs)
    .map(({ found: { start, end } }) => ({ start, end, fate: 'setAside', why: 'a class or a remark beside the row' }));

const CLASS = { fate: 'setAside', why: 'a class, no amount' } as const;
/** "Index 2" beside the values of a row. */
const isClass = ({ found, before }: Pair): boolean =>
  found.unit === undefined &&
  before.some((t) => tells(t, 'of.index')) &&
  before.some((t) => t.end <= found.start && found.start - t.end <= 2 && tells(t, 'of.index'));

/** A row of a table, with the value that counts. */
export interface Row {
  /** Undefined where a sample has to be chosen first. */
  readonly pair: Pair | undefined;
  readonly unit: TellingUnit | undefined;
  readonly dry: boolean;
  /** The same on dry matter, where a column beside what was found has it. */
  readonly besideDry: FoundValue | undefined;
  /** The other values, and what they are. */
  readonly told: readonly Told[];
}

/** Where the column stands that counts: what was found, else what was found on dry matter. */
function mainOf(at: (test: (c: Column) => boolean) => number): number {
  // Pounds an acre beside a content are the same, worked out by the laboratory.
  const content = at((c) => c.role === 'found' && c.unit?.unit !== 'kg/ha');
  const found = content >= 0 ? content : at((c) => c.role === 'found');
  return found >= 0 ? found : at((c) => c.role === 'dry');
}

/** What becomes of a value that is not the one that counts, by its column. */
function toldUnder({ start, end }: FoundValue, column: Column | undefined, open: boolean): Told {
  const asked = open && column?.role === 'sample';
  return {
    start,
    end,
    fate: asked ? 'asked' : 'setAside',
    why: asked ? 'one of several samples' : ASIDES[column?.role ?? 'found'],
  };
}

/** "< LOQ | | 0.02": what was not found and one number, under a heading that has a column of limits. */
function noneBesideLimit(pairs: readonly Pair[], columns: readonly Column[]): readonly Column[] | undefined {
  const [first, second, more] = pairs;
  const [found, limit] = [columns.find((c) => c.role === 'found'), columns.find((c) => c.role === 'limit')];
  return first?.found.none && second && !more && found && limit ? [found, limit] : undefined;
}

/**
 * The value of a row that counts: what was found, else what was found on dry matter; of several samples the chosen one. The others are set aside for
 * what they are.
 */
export function rowOf(all: readonly Pair[], columns: readonly Column[], sample: string | undefined): Row | undefined {
  const pairs = all.filter((p) => !isClass(p));
  const under =
    underColumns(
      pairs.map((p) => p.found),
      columns,
    ) ?? noneBesideLimit(pairs, columns);
  const names = pairs.map((p) => p.name).filter((n) => subjectOf(n) !== undefined);
  const [name, another] = names;
  if (!under || !name || another) return undefined;
  const at = (test: (c: Column) => boolean): number => under.findIndex((c) => c !== undefined && test(c));
  const several = columns.filter((c) => c.role === 'sample').length > 1;
  const main = several ? at((c) => c.text === sample) : mainOf(at);
  const picked = pairs[main];
  const limit = pairs[at((c) => c.role === 'limit')]?.found;
  const classes = all.filter(isClass).map(({ found: { start, end } }) => ({ start, end, ...CLASS }));
  const told = pairs.flatMap(({ found: f }, i): readonly Told[] =>
    i === main || (picked?.found.none && f === limit) ? [] : [toldUnder(f, under[i], several && sample === undefined)],
  );
  if (!picked)
    return several ? { pair: undefined, unit: undefined, dry: false, besideDry: undefined, told } : undefined;
  const value = belowLimit(picked.found, limit);
  const column = under[main];
  // A unit behind one value of the row, as a rule its last, holds for those without.
  const last = pairs.map((p) => p.found).find((f) => f.unit !== undefined);
  const before = pairs[0]?.before ?? [];
  return {
    // "Calcium desired 3078 2420" says of the whole row that it is what is wanted.
    pair: {
      ...picked,
      found: value,
      name,
      before: tellsGoal(before) ? before : before.filter(tellsRole),
      subject: subjectOf(name),
    },
    unit: (column?.unit && unitAmong([column.unit])) ?? (last && unitOfValue(last)),
    dry: column?.role === 'dry',
    besideDry: column?.role === 'found' ? pairs[at((c) => c.role === 'dry')]?.found : undefined,
    told: [...told, ...classes],
  };
}

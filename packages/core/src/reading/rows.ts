import { rangeValue } from '../quantity/index.js';
import type { BoundLine, Bracket, Pair } from './binding.js';
import type { Told } from './fate.js';
import { unitAmong, type TellingUnit } from './prepare.js';
import { subjectOf } from './subjects.js';
import { underColumns, type Column } from './tables.js';
import { isSign, tells, type Token } from './tokens.js';
import type { FoundValue } from './values.js';

/** What is said of a value that somebody wants. */
export const WANTED = 'what is wanted, not what is there';
/** Why a value is not what counts, by its column or the word before it. */
const ASIDES: Readonly<Record<Column['role'], string>> = {
  dry: 'the same on dry matter',
  limit: 'the least that could be told',
  wanted: WANTED,
  allowed: 'what is allowed, not what is there',
  error: 'how far off it may be',
  before: 'an earlier result',
  index: 'a class, no amount',
  sample: 'another sample',
  found: 'said again in another unit',
  oxide: 'said again as an oxide',
  element: 'said again as an element',
};

/** Roles that a word before a value gives it. */
const ROLES = ['wanted', 'limit', 'allowed', 'error', 'before'] as const;
/** Why a value is not what was found, by the words before it. @example roleBefore(tokenize('target')) // 'what is wanted, not what is there' */
export function roleBefore(before: readonly Token[]): string | undefined {
  if (before.some((t) => isSign(t, '±'))) return ASIDES.error;
  const words = [...before].reverse().filter((t) => t.kind === 'word');
  const last = words.find((t) => ROLES.some((role) => tells(t, `role.${role}`)));
  const named = words.find((t) => tells(t, 'role.found') || [...t.means].some((m) => m.startsWith('el.')));
  if (!last || (named && named.start > last.start)) return undefined;
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
  if (!limit || (value?.kind !== 'number' && value?.kind !== 'below')) return none;
  const most = value.kind === 'below' ? value.limit : value.value;
  return { ...none, none: false, unit: limit.unit, value: { kind: 'below', limit: most }, text: `< ${limit.text}` };
};

/** "Mercury (Hg) n.d. (< 0.1 mg/kg)", "ND, LOD 0.05": what was not found, with the limit beside it. */
export function withLimits(pairs: readonly Pair[], brackets: readonly Bracket[]): readonly Pair[] {
  const isLimit = (p: Pair): boolean => p.found.value?.kind === 'below' || p.before.some((t) => tells(t, 'role.limit'));
  return pairs.flatMap((pair, i) => {
    const [before, next] = [pairs[i - 1], pairs[i + 1]];
    if (!pair.found.none) return before?.found.none && isLimit(pair) ? [] : [pair];
    const limit = (next && isLimit(next) ? next : undefined) ?? brackets.flatMap((b) => b.pairs).find(isLimit);
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

/** A row of a table, with the value that counts. */
export interface Row {
  /** Undefined where a sample has to be chosen first. */
  readonly pair: Pair | undefined;
  readonly unit: TellingUnit | undefined;
  readonly dry: boolean;
  /** The other values, and what they are. */
  readonly told: readonly Told[];
}

/**
 * The value of a row that counts: what was found, else what was found on dry matter; of several samples the chosen one. The others are set aside for
 * what they are.
 */
export function rowOf(pairs: readonly Pair[], columns: readonly Column[], sample: string | undefined): Row | undefined {
  const under = underColumns(
    pairs.map((p) => p.found),
    columns,
  );
  const names = pairs.map((p) => p.name).filter((n) => subjectOf(n) !== undefined);
  const [name, another] = names;
  if (!under || !name || another) return undefined;
  const at = (test: (c: Column) => boolean): number => under.findIndex((c) => c !== undefined && test(c));
  const several = columns.filter((c) => c.role === 'sample').length > 1;
  // Pounds an acre beside a content are the same, worked out by the laboratory.
  const content = at((c) => c.role === 'found' && c.unit?.unit !== 'kg/ha');
  const found = content >= 0 ? content : at((c) => c.role === 'found');
  const main = several ? at((c) => c.text === sample) : found >= 0 ? found : at((c) => c.role === 'dry');
  const picked = pairs[main];
  const limit = pairs[at((c) => c.role === 'limit')]?.found;
  const told = pairs.flatMap(({ found: f }, i): readonly Told[] => {
    const asked = several && sample === undefined && under[i]?.role === 'sample';
    if (i === main || (picked?.found.none && f === limit)) return [];
    return [
      {
        start: f.start,
        end: f.end,
        fate: asked ? 'asked' : 'setAside',
        why: asked ? 'one of several samples' : ASIDES[under[i]?.role ?? 'found'],
      },
    ];
  });
  if (!picked) return several ? { pair: undefined, unit: undefined, dry: false, told } : undefined;
  const value = picked.found.none && limit ? belowLimit(picked.found, limit) : picked.found;
  const column = under[main];
  // A unit behind one value of the row, as a rule its last, holds for those without.
  const last = pairs.map((p) => p.found).find((f) => f.unit !== undefined);
  const behind = last?.unit === undefined ? undefined : { unit: last.unit, factor: last.factor, text: last.text };
  return {
    pair: { ...picked, found: value, name, before: [], subject: subjectOf(name) },
    unit: (column?.unit && unitAmong([column.unit])) ?? behind,
    dry: column?.role === 'dry',
    told,
  };
}

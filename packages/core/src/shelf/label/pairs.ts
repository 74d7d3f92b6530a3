import { analyteNamed } from './names.js';
import { findValues, type FoundValue } from './values.js';

/** A value of a line with the name that belongs to it; an empty name where none can be told. */
export interface Pair {
  readonly name: string;
  readonly found: FoundValue;
  /** What stands between the value before and this one. */
  readonly before: string;
}

/** A name without a bracket that is still open, and without what a colon sets apart: "Analysis w/w: N". */
function nameIn(text: string): string {
  const open = text.replace(/\([^)]*$/, '');
  const last = /:([^:]*\p{L}[^:]*)$/u.exec(open)?.[1];
  return last !== undefined && analyteNamed(open) === undefined ? last : open;
}
const isKnown = (name: string): boolean => analyteNamed(name) !== undefined;

/** Where a line's clauses begin: behind a comma with a space, a semicolon, a bar, or a stroke between spaces. */
const CLAUSE = /[,;|]\s+|;|\s[-–/]\s/g;

/** For each value the clause it stands in; undefined when a clause has more than one. */
function clauses(
  line: string,
  values: readonly FoundValue[],
): readonly { readonly ahead: string; readonly behind: string }[] | undefined {
  const ends = [...line.matchAll(CLAUSE)]
    .filter((m) => !values.some((v) => m.index >= v.start && m.index < v.end))
    .map((m) => ({ from: m.index, to: m.index + m[0].length }));
  const found = values.map(({ start, end }) => {
    const from = Math.max(0, ...ends.filter((e) => e.to <= start).map((e) => e.to));
    const to = Math.min(line.length, ...ends.filter((e) => e.from >= end).map((e) => e.from));
    return { from, ahead: nameIn(line.slice(from, start)), behind: line.slice(end, to) };
  });
  return new Set(found.map((f) => f.from)).size === values.length ? found : undefined;
}

/**
 * Name and value pairs of a line: "Nitrogen 5 %" or "5 % Nitrogen". Where each clause has one value, its name stands in the clause; where a line has no
 * clauses, the side on which more names are known tells. Where both sides know as many, no name is given to any: it would be a guess.
 * @example pairsIn('Analysis: N 3.5 %, P 2.2 %').map((p) => p.name.trim()) // ['N', 'P']
 */
export function pairsIn(line: string): readonly Pair[] {
  const values = findValues(line);
  const before = values.map((found, i) => line.slice(values[i - 1]?.end ?? 0, found.start));
  const pairs = (names: readonly string[]): readonly Pair[] =>
    values.map((found, i) => ({ found, before: before[i] ?? '', name: names[i] ?? '' }));
  const within = clauses(line, values);
  if (within?.every((c) => isKnown(c.ahead) || isKnown(c.behind)))
    return pairs(within.map((c) => (isKnown(c.ahead) ? c.ahead : c.behind)));
  const ahead = before.map(nameIn);
  const behind = values.map((found, i) => line.slice(found.end, values[i + 1]?.start ?? line.length));
  const [k, l] = [ahead.filter(isKnown).length, behind.filter(isKnown).length];
  return pairs(k > l || (k === l && values.length === 1) ? ahead : k < l ? behind : []);
}

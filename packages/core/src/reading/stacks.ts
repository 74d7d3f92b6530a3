import { subjectOf, type Subject } from './subjects.js';
import type { Pair } from './binding.js';
import type { Prepared } from './prepare.js';
import { nameHead, nameTable, type NameHead, type NameTable } from './tables.js';
import { isSign, tells, type ContentToken, type Token } from './token.js';
import type { FoundValue } from './values.js';

/** A line that belongs to others: a name whose value stands below it, a value whose name stands above, or a row under a heading of names. */
export type Stack =
  | { readonly kind: 'head' }
  | { readonly kind: 'value'; readonly ahead: readonly Token[] }
  | { readonly kind: 'row'; readonly pairs: readonly Pair[]; readonly label: string; readonly several: boolean }
  /** A heading of names over several rows: one of them is meant. */
  | { readonly kind: 'rows'; readonly labels: readonly string[] };

const isBlank = ({ tokens }: Prepared): boolean => tokens.length === 0;
/** A name of a nutrient without a value, and no heading of a section. */
const isName = ({ tokens, line, values }: Prepared): boolean =>
  values.length === 0 &&
  !/:\s*$/.test(line) &&
  !tokens.some((t) => tells(t, 'section', 'use', 'part')) &&
  tokens.length <= 16 &&
  isNamed(subjectOf(tokens));
const isNamed = (subject: Subject | undefined): boolean =>
  subject?.kind === 'soil'
    ? ['pH', 'organicMatter', 'CEC', 'EC'].includes(subject.what)
    : ['nutrient', 'protein', 'moisture', 'either'].includes(subject?.kind ?? '');
/** One value with its unit or bound, and no words. */
function isValue({ tokens, values }: Prepared): boolean {
  const [only] = values;
  if (values.length !== 1 || only === undefined || only.foreign !== undefined) return false;
  return tokens.every(
    (t, i) => (i >= only.from && i <= only.to) || (t.kind === 'sign' && !isSign(t, '-')) || t.kind === 'content',
  );
}
/** A unit that stands alone. */
const isUnit = ({ tokens }: Prepared): boolean => tokens.length === 1 && tokens[0]?.kind === 'content';
/** The rest of a name that a line broke off: only words of how it is dissolved, and a value. */
const goesOn = ({ tokens, values }: Prepared): boolean =>
  values.length === 1 &&
  subjectOf(tokens) === undefined &&
  tokens.some((t) => tells(t, 'q.water', 'q.citrate', 'q.acid', 'q.soluble', 'method.water'));

const ROW_ROLES = ['role.found', 'role.wanted', 'role.before'] as const;
/** "found 3220": a row that only says what its values are. */
const roleRow = ({ tokens }: Prepared): boolean => tells(tokens[0], ...ROW_ROLES) && subjectOf(tokens) === undefined;
/** The name that such a row has from the one above: "Calcium desired 3078". */
function nameAbove(above: Prepared | undefined, stack: Stack | undefined): readonly Token[] | undefined {
  if (stack?.kind === 'value') return stack.ahead;
  const name = above?.tokens.slice(0, above.values[0]?.from).filter((t) => !tells(t, ...ROW_ROLES)) ?? [];
  return above && above.values.length > 0 && subjectOf(name) !== undefined ? name : undefined;
}

const MOST_STACKED = 40;
/** The lines from one on that are of a kind, blank ones between left out. */
function run(lines: readonly Prepared[], from: number, test: (line: Prepared) => boolean): readonly number[] {
  const at: number[] = [];
  for (let i = from; i < lines.length && at.length < MOST_STACKED; i++) {
    const line = lines[i] as Prepared;
    if (isBlank(line)) continue;
    if (!test(line)) break;
    at.push(i);
  }
  return at;
}

/** The values of a row under so many names: as many, or one more where the first only names the row. */
function rowValues({ values, tokens }: Prepared, head: NameHead): readonly (FoundValue | undefined)[] | undefined {
  const many = head.names.length;
  const [first] = values;
  const word = tokens[(first?.from ?? 0) - 1];
  // "Heap 1" and "24-113" only name the row.
  const names = first?.from === 0 || (word?.kind === 'word' && (first?.start ?? 0) - word.end <= 1);
  const found =
    values.length === many ? values : values.length === many + 1 && names ? values.slice(1) : underNames(values, head);
  const words = tokens.filter((_, i) => !values.some((v) => i >= v.from && i <= v.to));
  return found && subjectOf(words) === undefined ? found : undefined;
}

/** The unit that stands under each name: as many as there are names, or each under its own. */
function unitsUnder(head: NameHead, line: Prepared): readonly (ContentToken | undefined)[] {
  const units = unitsOf(line);
  if (units.length === head.names.length) return units;
  const starts = head.names.map(({ tokens }) => tokens[0]?.start ?? 0);
  const nearest = units.map(({ start }) => {
    const apart = starts.map((s) => Math.abs(s - start));
    return apart.indexOf(Math.min(...apart));
  });
  const clear = units.length > 1 && units.length < starts.length && new Set(nearest).size === units.length;
  return clear ? starts.map((_, i) => units[nearest.indexOf(i)]) : [];
}
/** The name that each value of a row stands under, where cells are empty and two values or more are left. */
function underNames(values: readonly FoundValue[], head: NameHead): readonly (FoundValue | undefined)[] | undefined {
  const spans = head.names.map(({ tokens }) => ({ start: tokens[0]?.start ?? 0, end: tokens.at(-1)?.end ?? 0 }));
  const at = values.map((v) => spans.findIndex((s) => v.start < s.end && v.end > s.start));
  const clear = values.length > 1 && values.length < spans.length && !at.includes(-1) && new Set(at).size === at.length;
  return clear ? spans.map((_, n) => values[at.indexOf(n)]) : undefined;
}
const unitsOf = ({ tokens, values }: Prepared): readonly ContentToken[] =>
  values.length > 0 ? [] : tokens.filter((t): t is ContentToken => t.kind === 'content');

/** A heading of names with its rows, put down for each line it holds for. */
function stackRows(
  lines: readonly Prepared[],
  at: number,
  head: NameHead,
  stacks: Map<number, Stack>,
): number | undefined {
  const next = run(lines, at + 1, () => true)[0];
  const units = next === undefined ? [] : unitsUnder(head, lines[next] as Prepared);
  const unitLine = units.length > 0 ? next : undefined;
  const rows = run(lines, (unitLine ?? at) + 1, (line) => rowValues(line, head) !== undefined);
  if (rows.length === 0) return undefined;
  const label = (row: number): string => {
    const { line } = lines[row] as Prepared;
    const words = line.slice(0, rowValues(lines[row] as Prepared, head)?.find((v) => v)?.start).trim();
    return words === '' ? `row ${rows.indexOf(row) + 1}` : words.slice(0, 60);
  };
  for (const row of rows) {
    const pairs = (rowValues(lines[row] as Prepared, head) ?? []).flatMap((found, n): readonly Pair[] => {
      if (!found) return [];
      const { tokens = [], subject } = head.names[n] ?? {};
      const unit = units[n];
      const name = unit ? [...tokens, unit] : tokens;
      return [{ found, name, subject, before: [], behind: [], ofPhosphate: false }];
    });
    stacks.set(row, { kind: 'row', pairs, label: label(row), several: rows.length > 1 });
  }
  stacks.set(at, rows.length > 1 ? { kind: 'rows', labels: rows.map(label) } : { kind: 'head' });
  if (unitLine !== undefined) stacks.set(unitLine, { kind: 'head' });
  return rows.at(-1);
}

/** A table with its rows, put down for each line it holds for. @returns its last line */
function stackTable({ rows }: NameTable, at: number, stacks: Map<number, Stack>): number {
  const several = rows.length > 1;
  for (const { at: row, label, pairs } of rows) stacks.set(row, { kind: 'row', pairs, label, several });
  stacks.set(at, several ? { kind: 'rows', labels: rows.map((r) => r.label) } : { kind: 'head' });
  return rows.at(-1)?.at ?? at;
}

/**
 * Lines that only make sense with others: a name and its value in turn, as many values as names in the same order, a name broken off, and rows under
 * a heading of names. What does not come out even is left as it is.
 */
export function stackedBelow(lines: readonly Prepared[]): ReadonlyMap<number, Stack> {
  const stacks = new Map<number, Stack>();
  for (let i = 0; i < lines.length; i++) {
    const line = lines[i] as Prepared;
    if (isBlank(line)) continue;
    const table = nameTable(lines, i);
    if (table) {
      i = stackTable(table, i, stacks);
      continue;
    }
    if (line.values.length > 0) {
      const ahead = roleRow(line) ? nameAbove(lines[i - 1], stacks.get(i - 1)) : undefined;
      if (ahead) stacks.set(i, { kind: 'value', ahead });
      continue;
    }
    const head = nameHead(line.tokens, line.line);
    const lastRow = head && stackRows(lines, i, head, stacks);
    if (lastRow !== undefined) {
      i = lastRow;
      continue;
    }
    if (!isName(line)) continue;
    const names = run(lines, i, isName);
    const unit = names.length === 1 ? run(lines, i + 1, isUnit)[0] : undefined;
    const after = (unit ?? names.at(-1) ?? i) + 1;
    const values = run(lines, after, isValue);
    const next = lines[after];
    if (names.length === values.length)
      names.forEach((at, n) => {
        stacks.set(at, { kind: 'head' });
        const told = unit === undefined ? [] : unitsOf(lines[unit] as Prepared);
        stacks.set(values[n] as number, { kind: 'value', ahead: [...(lines[at] as Prepared).tokens, ...told] });
        if (unit !== undefined) stacks.set(unit, { kind: 'head' });
      });
    else if (values.length === 0 && next && goesOn(next)) {
      const last = names.at(-1) as number;
      stacks.set(last, { kind: 'head' });
      stacks.set(after, { kind: 'value', ahead: (lines[last] as Prepared).tokens });
    }
    i = Math.max(i, after - 1);
  }
  return stacks;
}

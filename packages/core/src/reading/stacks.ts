import { subjectOf } from './subjects.js';
import type { Pair } from './binding.js';
import type { Prepared } from './prepare.js';
import { nameHead, type NameHead } from './tables.js';
import { isSign, tells, type ContentToken, type Token } from './tokens.js';
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
  ['nutrient', 'protein', 'moisture', 'either'].includes(subjectOf(tokens)?.kind ?? '');
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
function rowValues({ values, tokens }: Prepared, many: number): readonly FoundValue[] | undefined {
  const [first] = values;
  const word = tokens[(first?.from ?? 0) - 1];
  // "Heap 1" and "24-113" only name the row.
  const names = first?.from === 0 || (word?.kind === 'word' && (first?.start ?? 0) - word.end <= 1);
  const found = values.length === many ? values : values.length === many + 1 && names ? values.slice(1) : undefined;
  const words = tokens.filter((_, i) => !values.some((v) => i >= v.from && i <= v.to));
  return found && subjectOf(words) === undefined ? found : undefined;
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
  const many = head.names.length;
  const next = run(lines, at + 1, () => true)[0];
  const unitLine = next !== undefined && unitsOf(lines[next] as Prepared).length === many ? next : undefined;
  const units = unitLine === undefined ? [] : unitsOf(lines[unitLine] as Prepared);
  const rows = run(lines, (unitLine ?? at) + 1, (line) => rowValues(line, many) !== undefined);
  if (rows.length === 0) return undefined;
  const label = (row: number): string => {
    const { line } = lines[row] as Prepared;
    const words = line.slice(0, rowValues(lines[row] as Prepared, many)?.[0]?.start).trim();
    return words === '' ? `row ${rows.indexOf(row) + 1}` : words.slice(0, 60);
  };
  for (const row of rows) {
    const pairs = (rowValues(lines[row] as Prepared, many) ?? []).map((found, n): Pair => {
      const { tokens = [], subject } = head.names[n] ?? {};
      const unit = units[n];
      return { found, name: unit ? [...tokens, unit] : tokens, subject, before: [], behind: [], ofPhosphate: false };
    });
    stacks.set(row, { kind: 'row', pairs, label: label(row), several: rows.length > 1 });
  }
  stacks.set(at, rows.length > 1 ? { kind: 'rows', labels: rows.map(label) } : { kind: 'head' });
  if (unitLine !== undefined) stacks.set(unitLine, { kind: 'head' });
  return rows.at(-1);
}

/**
 * Lines that only make sense with others: a name and its value in turn, as many values as names in the same order, a name broken off, and rows under
 * a heading of names. What does not come out even is left as it is.
 */
export function stackedBelow(lines: readonly Prepared[]): ReadonlyMap<number, Stack> {
  const stacks = new Map<number, Stack>();
  for (let i = 0; i < lines.length; i++) {
    const line = lines[i] as Prepared;
    if (isBlank(line) || line.values.length > 0) continue;
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

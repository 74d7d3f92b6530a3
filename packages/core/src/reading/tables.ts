import { subjectOf, type Subject } from './subjects.js';
import { isSign, tells, type ContentToken, type Token } from './tokens.js';
import type { Prepared } from './prepare.js';
import type { FoundValue } from './values.js';

/** What a column of values holds. */
export type ColumnRole =
  'found' | 'dry' | 'limit' | 'wanted' | 'allowed' | 'error' | 'before' | 'sample' | 'index' | 'element' | 'oxide';
export interface Column {
  readonly role: ColumnRole;
  readonly text: string;
  readonly unit: ContentToken | undefined;
  /** Where its heading stands. */
  readonly start: number;
  readonly end: number;
}

const ROLES: readonly (readonly [Parameters<typeof tells>[1], ColumnRole])[] = [
  ['role.limit', 'limit'],
  ['role.wanted', 'wanted'],
  ['role.error', 'error'],
  ['role.before', 'before'],
  ['basis.dry', 'dry'],
  ['basis.asIs', 'found'],
  ['role.allowed', 'allowed'],
  ['role.found', 'found'],
  ['basis.element', 'element'],
  ['basis.oxide', 'oxide'],
  ['oxide', 'oxide'],
  ['sample', 'sample'],
  ['of.index', 'index'],
];
const roleOf = (token: Token): ColumnRole | undefined => ROLES.find(([meaning]) => tells(token, meaning))?.[1];

/** A line cut where tabs, bars or wide gaps part its cells. */
export function cellsOf(tokens: readonly Token[], line: string): readonly (readonly Token[])[] {
  const cells: Token[][] = [[]];
  tokens.forEach((token, i) => {
    const before = tokens[i - 1];
    if (isSign(token, '|;')) return void cells.push([]);
    if (before && /\t|\s{2,}/.test(line.slice(before.end, token.start))) cells.push([]);
    cells.at(-1)?.push(token);
  });
  return cells.filter((cell) => cell.length > 0);
}

const spanOf = (cell: readonly Token[]) => ({ start: cell[0]?.start ?? 0, end: cell.at(-1)?.end ?? 0 });
const unitIn = (cell: readonly Token[]): ContentToken | undefined =>
  cell.find((token): token is ContentToken => token.kind === 'content');

/** "Bed A", "Sample 2": one of several things side by side. */
const isSample = (cell: readonly Token[]): boolean =>
  (cell.length === 2 || cell.length === 3) &&
  tells(cell[0], 'sample') &&
  cell.slice(1).every((t) => t.kind === 'number' || (t.kind === 'word' && roleOf(t) === undefined));

function columnOf(cell: readonly Token[], line: string): Column | undefined {
  const { start, end } = spanOf(cell);
  const unit = unitIn(cell);
  // "Ideal value" is wanted, though a value may be what was found: the most telling word counts.
  const role = ROLES.find(([meaning, r]) => r !== 'sample' && cell.some((t) => tells(t, meaning)))?.[1];
  const text = line.slice(start, end);
  if (isSample(cell) && !role) return { role: 'sample', text, unit, start, end };
  if (role) return { role, text, unit, start, end };
  const named = subjectOf(cell);
  return unit && !named && cell.length <= 4 ? { role: 'found', text, unit, start, end } : undefined;
}

/** "Bed A  Bed B" and "as received, dry basis" with single spaces: a column begins with each word that tells a role. */
function columnsByWords(tokens: readonly Token[], line: string): readonly Column[] {
  const starts = tokens.flatMap((token, i) => {
    const role = roleOf(token);
    return role ? [{ i, role }] : [];
  });
  return starts.flatMap(({ i, role }, n): readonly Column[] => {
    const cell = tokens.slice(i, starts[n + 1]?.i ?? tokens.length);
    if (role === 'sample' && !isSample(cell)) return [];
    const text = line.slice(spanOf(cell).start, spanOf(cell).end).trim();
    return [{ role, text, unit: unitIn(cell), ...spanOf(cell) }];
  });
}

/** "Elemental   Oxide": beside the oxide the element is what was found; alone it is no column. */
function elementOrOxide(columns: readonly Column[]): readonly Column[] {
  if (!columns.some((c) => c.role === 'oxide')) return columns.filter((c) => c.role !== 'element');
  return columns.map((c) => (c.role === 'element' ? { ...c, role: 'found' as const } : c));
}

/**
 * The columns that a heading names, in their order; undefined where it names fewer than two things.
 * @example columnsIn(tokenize('Parameter | As received | Dry matter'), …) // found, dry
 */
export function columnsIn(tokens: readonly Token[], line: string): readonly Column[] | undefined {
  const cells = cellsOf(tokens, line);
  const byCell = cells.flatMap((cell) => columnOf(cell, line) ?? []);
  const words = columnsByWords(tokens, line);
  const columns = elementOrOxide(byCell.length > 1 && byCell.length >= words.length - 1 ? byCell : words);
  const telling = columns.filter((c) => c.role === 'found' || c.role === 'dry' || c.role === 'sample');
  const alone = columns.filter((c) => c.role !== 'sample');
  if (columns.length < 2) return undefined;
  // Two of one role are two only when each is a bed, or has a unit of its own.
  const twice = alone.some((c, i) => alone.findIndex((d) => d.role === c.role && d.unit?.text === c.unit?.text) < i);
  return telling.length > 0 && !twice ? columns : undefined;
}

/** The column each value of a row stands under: in order where there are as many, else by where they stand. */
export function underColumns(
  values: readonly FoundValue[],
  columns: readonly Column[],
): readonly (Column | undefined)[] | undefined {
  if (values.length === columns.length) return columns;
  if (values.length === 0 || values.length > columns.length) return undefined;
  const placed = values.map((v) => {
    const apart = columns.map((c) => Math.max(c.start - v.end, v.start - c.end, 0));
    const nearest = Math.min(...apart);
    return nearest > 2 ? undefined : columns[apart.indexOf(nearest)];
  });
  const distinct = new Set(placed).size === placed.length;
  return distinct && placed.every((c) => c !== undefined) ? placed : undefined;
}

/** A heading of names with their values in the lines below: "N  P2O5  K2O". */
export interface NameHead {
  readonly names: readonly { readonly tokens: readonly Token[]; readonly subject: Subject }[];
}
/** The names of such a heading; undefined where a cell is no name, but for the first. */
export function nameHead(tokens: readonly Token[], line: string): NameHead | undefined {
  const wide = cellsOf(tokens, line);
  const cells = wide.length > 1 ? wide : tokens.filter((t) => t.kind === 'word').map((t) => [t]);
  const named = cells.map((cell) => ({ cell, subject: subjectOf(cell) }));
  const from = named[0]?.subject === undefined ? 1 : 0;
  const rest = named.slice(from);
  if (rest.length < 2 || rest.some((n) => n.subject === undefined || n.subject.kind === 'several')) return undefined;
  return { names: rest.map(({ cell, subject }) => ({ tokens: cell, subject: subject as Subject })) };
}

/** "0-15 cm   15-30 cm": layers side by side, each a column. */
function depthColumns({ asides, printed, tokens }: Prepared): readonly Column[] | undefined {
  const depths = asides.filter((a) => a.why === 'a depth or a size').sort((a, b) => a.start - b.start);
  if (depths.length < 2 || tokens.some((t) => t.kind === 'number' || t.kind === 'content')) return undefined;
  return depths.map(({ start, end }) => ({
    role: 'sample',
    text: printed.slice(start, end).trim(),
    unit: undefined,
    start,
    end,
  }));
}
/** The columns that a prepared line without values heads, if it heads any. */
export const columnsOf = (line: Prepared): readonly Column[] | undefined =>
  line.values.length > 0 ? undefined : (depthColumns(line) ?? columnsIn(line.tokens, line.line));

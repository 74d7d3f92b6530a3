import { subjectOf, type Subject } from './subjects.js';
import { isSign, tells, type ContentToken, type Token } from './token.js';
import type { Pair } from './binding.js';
import type { Prepared } from './prepare.js';
import type { FoundValue } from './values.js';

/** What a column of values holds. */
export type ColumnRole =
  | 'found'
  | 'dry'
  | 'limit'
  | 'wanted'
  | 'allowed'
  | 'error'
  | 'before'
  | 'sample'
  | 'index'
  | 'element'
  | 'oxide'
  | 'part';
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
/** "p/p", "% w/v" alone in a cell heads figures by mass, or by volume. */
const PER_CENT = /^%?\s*\(?\s*[wmp]\s?\/\s?([wmpv])\s*\)?\s*%?$/i;
function perCentIn(text: string, start: number, end: number): ContentToken | undefined {
  const below = PER_CENT.exec(text.trim())?.[1]?.toLowerCase();
  if (below === undefined) return undefined;
  return { kind: 'content', text, start, end, unit: below === 'v' ? '% w/v' : '%', factor: 1, of: undefined };
}
const unitIn = (cell: readonly Token[]): ContentToken | undefined =>
  cell.find((token): token is ContentToken => token.kind === 'content');

/** "Bed A", "Sample 2": one of several things side by side. */
const isSample = (cell: readonly Token[]): boolean =>
  (cell.length === 2 || cell.length === 3) &&
  tells(cell[0], 'sample') &&
  cell.slice(1).every((t) => t.kind === 'number' || (t.kind === 'word' && roleOf(t) === undefined));

function columnOf(cell: readonly Token[], line: string): Column | undefined {
  const { start, end } = spanOf(cell);
  const share = perCentIn(line.slice(start, end), start, end);
  if (share) return { role: 'found', text: line.slice(start, end), unit: share, start, end };
  const unit = unitIn(cell);
  // "Ideal value" is wanted, though a value may be what was found: the most telling word counts.
  const available = cell.some((t) => tells(t, 'q.available')) && !cell.some((t) => tells(t, 'q.total'));
  const role = ROLES.find(([meaning, r]) => r !== 'sample' && cell.some((t) => tells(t, meaning)))?.[1];
  const text = line.slice(start, end);
  if (isSample(cell) && !role) return { role: 'sample', text, unit, start, end };
  if (role) return { role, text, unit, start, end };
  const named = subjectOf(cell);
  // "Total   Chelated" beside each other, each a column.
  if (cell.length === 1 && tells(cell[0], 'q.total')) return { role: 'found', text, unit, start, end };
  if (cell.length === 1 && tells(cell[0], 'q.chelated', 'q.water', 'q.available'))
    return { role: 'part', text, unit, start, end };
  if (unit && available) return { role: 'part', text, unit, start, end };
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

/** "Sample   Neem cake   Mustard meal", "Bed   A   B   C": several things by their names, with nothing said of any. */
function namedSamples(cells: readonly (readonly Token[])[], line: string): readonly Column[] | undefined {
  const [first, ...rest] = cells;
  const plain = (cell: readonly Token[]): boolean =>
    cell.every((t) => t.kind === 'number' || isSign(t, '-/') || (t.kind === 'word' && roleOf(t) === undefined));
  const heads =
    first?.length === 1 &&
    (tells(first[0], 'sample') || /^(?:batch|lot)$/i.test(first[0]?.text ?? '')) &&
    rest.length > 1;
  if (!heads || !rest.every((cell) => plain(cell) && subjectOf(cell) === undefined)) return undefined;
  return rest.map((cell) => {
    const { start, end } = spanOf(cell);
    return { role: 'sample', text: line.slice(start, end), unit: undefined, start, end };
  });
}

const END_OF_RANGE =
  /^(?:low|high|lower|upper|medium|min|max|niedrig|hoch|mittel|bas|haut|bajo|alto|medio|basso|laag|hoog)\.?$/i;
interface HeadCell {
  readonly cell: readonly Token[];
  readonly column: Column | undefined;
}
/** "Actual   Low   High": beside what was found, the ends of a range are what is wanted. */
function withEnds(cells: readonly HeadCell[], line: string): readonly Column[] {
  const found = cells.some(({ column }) => column?.role === 'found' || column?.role === 'dry');
  return cells.flatMap(({ cell, column }): readonly Column[] => {
    const { start, end } = spanOf(cell);
    const text = line.slice(start, end);
    if (!found || column || !END_OF_RANGE.test(text)) return column ? [column] : [];
    return [{ role: 'wanted', text, unit: undefined, start, end }];
  });
}

/**
 * The columns that a heading names, in their order; undefined where it names fewer than two things.
 * @example columnsIn(tokenize('Parameter | As received | Dry matter'), …) // found, dry
 */
export function columnsIn(tokens: readonly Token[], line: string): readonly Column[] | undefined {
  const cells = cellsOf(tokens, line);
  const beds = namedSamples(cells, line);
  if (beds) return beds;
  const byCell = withEnds(
    cells.map((cell) => ({ cell, column: columnOf(cell, line) })),
    line,
  );
  const words = columnsByWords(tokens, line);
  const columns = elementOrOxide(byCell.length > 1 && byCell.length >= words.length - 1 ? byCell : words);
  // The first cell may be a title whose words look like a column: "Spent grain, wet".
  const titled = columns.length > 2 && columns[0]?.start === cells[0]?.[0]?.start && byCell[0] === columns[0];
  return tellingColumns(columns) ?? (titled ? tellingColumns(columns.slice(1)) : undefined);
}

/** Roles that more than one column can have without telling anything apart. */
const BESIDE: readonly ColumnRole[] = ['wanted', 'allowed', 'part'];
/** The same columns where they tell two things apart; undefined where they do not. */
function tellingColumns(columns: readonly Column[]): readonly Column[] | undefined {
  const telling = columns.filter((c) => c.role === 'found' || c.role === 'dry' || c.role === 'sample');
  const alone = columns.filter((c) => c.role !== 'sample' && !BESIDE.includes(c.role));
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
  if (values.length === 0) return undefined;
  const placed = values.map((v) => {
    const apart = columns.map((c) => Math.max(c.start - v.end, v.start - c.end, 0));
    const nearest = Math.min(...apart);
    return nearest > 2 ? undefined : columns[apart.indexOf(nearest)];
  });
  const under = placed.filter((c) => c !== undefined);
  if (new Set(under).size < under.length) return undefined;
  // More values than columns: those that stand under none are remarks.
  if (values.length > columns.length)
    return under.some((c) => c.role === 'found' || c.role === 'dry') ? placed : undefined;
  return under.length === placed.length ? placed : undefined;
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

/** A cell of a line that tabs part. */
interface Cell {
  readonly tokens: readonly Token[];
  readonly start: number;
  readonly end: number;
}
function tabCells({ printed, tokens }: Prepared): readonly Cell[] {
  let start = 0;
  return printed.split('\t').map((text) => {
    const cell = { start, end: start + text.length };
    start = cell.end + 1;
    return { ...cell, tokens: tokens.filter((t) => t.start >= cell.start && t.end <= cell.end) };
  });
}

/** A table with a heading of names, some of them unknown, and rows of as many cells. */
export interface NameTable {
  /** The rows, each with the values that stand under a known name. */
  readonly rows: readonly { readonly at: number; readonly label: string; readonly pairs: readonly Pair[] }[];
}
/** The table whose heading a line with tabs is: two names or more, and rows below with one value in their cells. @example "Field⇥pH⇥P (ppm)", "North⇥6.1⇥44" */
export function nameTable(lines: readonly Prepared[], at: number): NameTable | undefined {
  const heading = lines[at];
  if (!heading || !heading.printed.includes('\t')) return undefined;
  const head = tabCells(heading).map(({ tokens }) => ({ tokens, subject: subjectOf(tokens) }));
  const named = head.map(({ subject }) => subject !== undefined && subject.kind !== 'several');
  if (named.filter(Boolean).length < 2) return undefined;
  const rows: NameTable['rows'][number][] = [];
  for (let i = at + 1; i < lines.length; i++) {
    const row = lines[i] as Prepared;
    if (row.tokens.length === 0) continue;
    const cells = tabCells(row);
    if (cells.length > head.length || cells.length < 2) break;
    const pairs = cells.flatMap((cell, n): Pair[] => {
      const { tokens: name = [], subject } = head[n] ?? {};
      const [found, more] = row.values.filter((v) => v.start >= cell.start && v.end <= cell.end);
      const words = cell.tokens.some((t) => t.kind === 'word' && subjectOf([t]) !== undefined);
      if (!named[n] || !found || more || words) return [];
      return [{ found, name, subject, before: [], behind: [], ofPhosphate: false }];
    });
    if (pairs.length < 2) break;
    const label = cells.flatMap((c, n) => (named[n] ? [] : [row.printed.slice(c.start, c.end).trim()]));
    rows.push({ at: i, label: label.filter(Boolean).join(' ').slice(0, 60) || `row ${rows.length + 1}`, pairs });
  }
  return rows.length > 0 ? { rows } : undefined;
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
/** Cells of two lines, each with what stands under it. */
function cellsTogether(above: Prepared, below: Prepared): readonly (readonly [readonly Token[], readonly Token[]])[] {
  const telling = ({ tokens, line }: Prepared): readonly (readonly Token[])[] =>
    cellsOf(tokens, line).filter((cell) => cell.some((t) => t.kind === 'word' || t.kind === 'content'));
  const [upper, lower] = [telling(above), telling(below)];
  const apart = (a: readonly Token[], b: readonly Token[]): number => {
    const [first, second] = [spanOf(a), spanOf(b)];
    return Math.max(first.start - second.end, second.start - first.end);
  };
  const under = upper.map((cell) => lower.filter((other) => apart(cell, other) < 0).flat());
  const alone = lower.filter((cell) => !upper.some((other) => apart(cell, other) < 0));
  const all = [...upper.map((cell, i) => [cell, under[i] ?? []] as const), ...alone.map((cell) => [[], cell] as const)];
  return all.sort(([a, b], [c, d]) => spanOf(a.length > 0 ? a : b).start - spanOf(c.length > 0 ? c : d).start);
}
/** "Result  Result" over "as received  dry matter": a heading of two lines, each cell told by both. */
function columnsOverTwo(above: Prepared, below: Prepared): readonly Column[] | undefined {
  const cells = cellsTogether(above, below);
  if (cells.filter(([upper, lower]) => upper.length > 0 && lower.length > 0).length < 2) return undefined;
  const columns = cells.flatMap(([upper, lower]): readonly Column[] => {
    const both = [...upper, ...lower];
    const column = columnOf(both, above.line);
    if (!column) return [];
    const spans = [upper, lower].filter((c) => c.length > 0).map(spanOf);
    const text = [above.line.slice(...edges(upper)), below.line.slice(...edges(lower))].filter(Boolean).join(' ');
    return [
      { ...column, text, start: Math.min(...spans.map((s) => s.start)), end: Math.max(...spans.map((s) => s.end)) },
    ];
  });
  return columns.some((c) => c.role === 'sample') ? undefined : tellingColumns(elementOrOxide(columns));
}
const edges = (cell: readonly Token[]): readonly [number, number] => [spanOf(cell).start, spanOf(cell).end];

/** The columns that a prepared line without values heads, if it heads any; the heading may have begun in the line above. */
export function columnsOf(line: Prepared): readonly Column[] | undefined {
  if (line.values.length > 0) return namedSamples(cellsOf(line.tokens, line.line), line.line);
  const own = depthColumns(line) ?? columnsIn(line.tokens, line.line);
  const both = line.above && columnsOverTwo(line.above, line);
  return both && both.length >= (own?.length ?? 0) ? both : own;
}

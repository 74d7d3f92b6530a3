import type { Context } from './analysis.js';
import type { Read } from './reading.js';
import { findValues, unitNamed } from './values.js';

/** What a column of a lab's table holds: what was found, the same on dry matter, the least that could be told, or what somebody wants. */
export type ColumnRole = 'found' | 'dry' | 'limit' | 'wanted';

const ROLES: readonly (readonly [RegExp, ColumnRole])[] = [
  [
    /\bas[ -](?:is|received|sampled|fed)\b|\bfresh\b|\bwet (?:basis|weight)\b|\bresults?\b|\bfound\b|\bmeasured\b/gi,
    'found',
  ],
  [/\bdry (?:matter|basis|weight)\b|\bdm\b/gi, 'dry'],
  [/\b(?:lod|loq|mdl|rl)\b|\b(?:detection|reporting) limit\b|\blimit of detection\b/gi, 'limit'],
  [/\b(?:target|ideal|desired|optimum|wanted|guideline|permitted|limit value)\b/gi, 'wanted'],
];

/** The columns of values that a heading without numbers names, in their order; undefined where it names fewer than two. @example columnsIn('Parameter | As received | Dry matter') // ['found', 'dry'] */
export function columnsIn(heading: string): readonly ColumnRole[] | undefined {
  if (findValues(heading).length > 0) return undefined;
  const found = ROLES.flatMap(([pattern, role]) =>
    [...heading.matchAll(pattern)].map((match) => ({ at: match.index, role })),
  ).sort((a, b) => a.at - b.at);
  const columns = found.map(({ role }) => role);
  return columns.length > 1 &&
    new Set(columns).size === columns.length &&
    columns.some((c) => c === 'found' || c === 'dry')
    ? columns
    : undefined;
}

/** A row of such a table with the value of one column only: what was found, else what was found on dry matter. A row that has not a value for each column is left as it is. */
export function ofOneColumn(line: string, columns: readonly ColumnRole[]): string {
  const values = findValues(line);
  if (values.length !== columns.length) return line;
  const taken = columns.includes('found') ? columns.indexOf('found') : columns.indexOf('dry');
  return values
    .filter((_, i) => i !== taken)
    .reduce((text, { start, end }) => text.slice(0, start) + ' '.repeat(end - start) + text.slice(end), line)
    .replace(/[\s|]+$/, '');
}

/** A table's heading: its columns and its unit hold for the rows below. */
export function readTableHead(line: string, context: Context): Read | undefined {
  const columns = columnsIn(line);
  if (!columns) return undefined;
  context.columns = columns;
  context.unit = unitNamed(line) ?? context.unit;
  const found = columns.includes('found');
  context.dry = !found;
  return {
    kind: 'heading',
    says: `a heading: of its columns that ${found ? 'of what was found' : 'on dry matter'} is taken`,
  };
}

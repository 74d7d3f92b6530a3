/** One field that differs, in words fit for a line. */
export interface FieldChange {
  readonly path: string;
  readonly before: string;
  readonly after: string;
}

const MOST = 6;
const LONGEST = 60;

function shown(value: unknown): string {
  if (value === undefined || value === null || value === '') return 'nothing';
  const text = typeof value === 'string' ? value : JSON.stringify(value);
  return text.length > LONGEST ? `${text.slice(0, LONGEST)}…` : text;
}

const isTree = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null;

/** Leaves that differ between two versions of a record, at most a handful. @example changesBetween({ a: 1 }, { a: 2 }) // [{ path: 'a', … }] */
export function changesBetween(before: unknown, after: unknown, path = ''): readonly FieldChange[] {
  if (isTree(before) && isTree(after)) {
    const keys = [...new Set([...Object.keys(before), ...Object.keys(after)])];
    return keys.flatMap((key) => changesBetween(before[key], after[key], path ? `${path}.${key}` : key)).slice(0, MOST);
  }
  return before === after ? [] : [{ path, before: shown(before), after: shown(after) }];
}

/**
 * Where an error came from, for the log, without what it says: the words of the database and of the ORM repeat the contents of records.
 * @example traceOf(new TypeError('secret')) // 'TypeError\n    at …'
 */
export function traceOf(error: unknown): string {
  if (!(error instanceof Error)) return `a thrown ${typeof error}`;
  const frames = (error.stack ?? '').split('\n').filter((line) => /^ {4}at \S/.test(line));
  const code = 'code' in error && typeof error.code === 'string' ? ` ${error.code}` : '';
  return [`${error.name}${code}`, ...frames].join('\n');
}

import { LOGGER_FILES } from '../../test/papers/loggerFiles.js';
import { readLogger } from '../ground/index.js';

test.each(LOGGER_FILES.map((file) => [file.name, file] as const))('a logger: %s', (_, { rows, from, days, first }) => {
  const read = readLogger(rows);
  if (read.kind !== 'log') throw new Error(read.reason);
  expect(read.problems).toEqual([]);
  expect([read.log.from, read.days]).toEqual([from, days]);
  expect(Object.fromEntries(Object.entries(read.log.series).map(([what, values]) => [what, values?.[0]]))).toEqual(
    first,
  );
});

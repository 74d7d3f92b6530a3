import { UniqueConstraintViolationException } from '@mikro-orm/core';
import { traceOf } from './traceOf.js';

test('the log learns the kind of error and its place, not its words', () => {
  const trace = traceOf(new TypeError('the note says: buried\nunder the oak'));
  expect(trace).toMatch(/^TypeError\n {4}at .*traceOf\.test/);
  expect(trace).not.toMatch(/buried|oak/);
});

test('an error of the database keeps its code and loses the statement with its values', () => {
  const wrapped = new UniqueConstraintViolationException(
    Object.assign(new Error(`insert into "plot" values ('Bed 7') - duplicate key`), { code: '23505' }),
  );
  expect(traceOf(wrapped)).toMatch(/^UniqueConstraintViolationException 23505\n {4}at /);
  expect(traceOf(wrapped)).not.toMatch(/Bed 7|insert/);
});

test('what is thrown and is no error is told by its kind alone', () => {
  expect(traceOf('buried under the oak')).toBe('a thrown string');
  expect(traceOf(undefined)).toBe('a thrown undefined');
});

import { DriverException } from '@mikro-orm/core';
import type { ArgumentsHost } from '@nestjs/common';
import { isDatabaseAway, isDiskFull } from './databaseAway.js';
import { ProblemFilter } from './problem.filter.js';

test('a database that is away is known by what wraps the error, and nothing else is taken for it', () => {
  expect(isDatabaseAway(Object.assign(new Error('x'), { code: 'ECONNREFUSED' }))).toBe(true);
  expect(isDatabaseAway(new Error('x', { cause: Object.assign(new Error('y'), { code: '57P01' }) }))).toBe(true);
  expect(isDatabaseAway(new AggregateError([Object.assign(new Error('y'), { code: 'ECONNREFUSED' })]))).toBe(true);
  expect(isDatabaseAway(new Error('Connection terminated unexpectedly'))).toBe(true);
  expect(isDatabaseAway(Object.assign(new Error('duplicate key'), { code: '23505' }))).toBe(false);
});

test('a full disk is known by what wraps the error too', () => {
  const full = Object.assign(new Error('could not extend file'), { code: '53100' });
  expect([full, new Error('x', { cause: full }), new DriverException(full)].map(isDiskFull)).toEqual([
    true,
    true,
    true,
  ]);
  expect(isDiskFull(Object.assign(new Error('duplicate key'), { code: '23505' }))).toBe(false);
  expect(isDatabaseAway(new DriverException(full))).toBe(false);
});

test('a full disk is told as such, and not as something that went wrong', () => {
  const said: { status?: number; body?: string } = {};
  const response = {
    headersSent: false,
    status: (n: number) => ((said.status = n), response),
    type: () => response,
    send: (body: string) => void (said.body = body),
    setHeader: () => response,
    destroyed: true,
  };
  const host = { switchToHttp: () => ({ getResponse: () => response }) } as unknown as ArgumentsHost;
  new ProblemFilter().catch(Object.assign(new Error('could not extend file'), { code: '53100' }), host);
  expect(said.status).toBe(507);
  expect(said.body).toMatch(/The disk of the ledger is full; nothing was saved/);
});

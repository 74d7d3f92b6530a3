import { setTimeout as rest } from 'node:timers/promises';
import type { EntityManager } from '@mikro-orm/postgresql';
import { ask, startApp } from '../../test/app.js';
import { RequestCounts } from './requestCounts.js';

test('two servers of one database count requests together', async () => {
  const first = await startApp({ requestsPerMinute: 60 });
  const second = await startApp({ databaseUrl: first.databaseUrl, requestsPerMinute: 60 });
  try {
    // A minute that is just over would begin a new count half way.
    const left = 60_000 - (Date.now() % 60_000);
    if (left < 10_000) await rest(left + 100);
    const answers: number[] = [];
    for (let i = 0; i < 90; i++) {
      const { http } = i % 2 === 0 ? first : second;
      answers.push((await http.get('/api/v1/catalogue/lists')).status);
    }
    const passed = answers.filter((s) => s === 200).length;
    expect(answers.at(-1)).toBe(429);
    // Each may be behind by a twentieth, and by what is on its way.
    expect(passed).toBeGreaterThanOrEqual(60);
    expect(passed).toBeLessThanOrEqual(72);
    const [count] = await ask<{ hits: number }>(first.databaseUrl, 'select max(hits) as hits from request_count');
    expect(count!.hits).toBeGreaterThanOrEqual(60);
  } finally {
    await second.close();
    await first.close();
  }
}, 120_000);

/** Counts whose database answers so. */
const countsOf = (execute: (sql: string, values: readonly unknown[]) => Promise<object[]>): RequestCounts =>
  new RequestCounts({ fork: () => ({ execute }) } as unknown as EntityManager);
const MINUTE = 60_000;
const blocked = async (counts: RequestCounts, times: number, limit: number): Promise<number> => {
  let refused = 0;
  for (let i = 0; i < times; i++) if ((await counts.increment('who', MINUTE, limit)).isBlocked) refused += 1;
  return refused;
};

test('while the database is away a server counts alone, and keeps the limit', async () => {
  const away = countsOf(() => Promise.reject(new Error('away')));
  expect(await blocked(away, 25, 20)).toBe(5);
});

test('what others counted counts too, and no request is counted twice', async () => {
  let others = 15;
  const told: unknown[] = [];
  const shared = countsOf((_, values) => {
    others += values[2] as number;
    told.push(values[2]);
    return Promise.resolve([{ hits: others }]);
  });
  expect(await blocked(shared, 30, 20)).toBeGreaterThanOrEqual(24);
  const { totalHits, timeToExpire } = await shared.increment('who', MINUTE, 20);
  expect(totalHits).toBe(15 + 31);
  expect(timeToExpire).toBeLessThanOrEqual(60);
  expect((told as number[]).reduce((a, b) => a + b, 0)).toBeLessThanOrEqual(31);
});

test('with a new minute it begins again', async () => {
  const counts = countsOf(() => Promise.reject(new Error('away')));
  const now = jest.spyOn(Date, 'now').mockReturnValue(10 * MINUTE + 1);
  expect(await blocked(counts, 6, 5)).toBe(1);
  now.mockReturnValue(11 * MINUTE + 1);
  expect(await blocked(counts, 5, 5)).toBe(0);
  now.mockRestore();
});

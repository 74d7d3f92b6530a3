import { EntityManager } from '@mikro-orm/postgresql';
import { startApp, type TestApp } from '../../test/app.js';
import { rowsWhileAwaited } from './connections.js';

let t: TestApp;
beforeAll(async () => {
  t = await startApp();
});
afterAll(() => t.close());
const manager = (): EntityManager => t.app.get(EntityManager).fork();
/** What the database works at, by a mark in its text. */
const working = async (mark: string): Promise<number> => {
  const [row] = await manager().execute<[{ count: number }]>(
    `select count(*)::int as count from pg_stat_activity where state = 'active' and query like ? and pid <> pg_backend_pid()`,
    [`%/* ${mark} */%`],
  );
  return row.count;
};
async function until(holds: () => Promise<boolean>): Promise<void> {
  while (!(await holds())) await new Promise((done) => setTimeout(done, 20));
}

test('rows come with their values put in', async () => {
  const rows = await rowsWhileAwaited(
    manager(),
    'select ? as word, ?::int as number',
    ['a?b', 3],
    new AbortController().signal,
  );
  expect(rows).toEqual([{ word: 'a?b', number: 3 }]);
});

test('a statement that nobody waits for ends in the database, and what follows is not called off', async () => {
  const gone = new AbortController();
  const sleeping = rowsWhileAwaited(manager(), 'select pg_sleep(60) /* long */', [], gone.signal);
  const ended = expect(sleeping).rejects.toMatchObject({ code: '57014' });
  await until(async () => (await working('long')) === 1);
  gone.abort();
  await ended;
  expect(await working('long')).toBe(0);
  for (let i = 0; i < 20; i++)
    expect(
      await rowsWhileAwaited(manager(), 'select pg_sleep(0.001), 1 as one', [], new AbortController().signal),
    ).toMatchObject([{ one: 1 }]);
});

test('many at once that are called off leave the pool as it was', async () => {
  const gone = new AbortController();
  const all = Array.from({ length: 40 }, () =>
    rowsWhileAwaited(manager(), 'select pg_sleep(60) /* many */', [], gone.signal).catch(() => 'called off'),
  );
  // They hold the whole pool, so that the database cannot be asked how many there are.
  await new Promise((done) => setTimeout(done, 300));
  gone.abort();
  expect(new Set(await Promise.all(all))).toEqual(new Set(['called off']));
  expect(await working('many')).toBe(0);
});

test('what nobody waited for from the start is not asked', async () => {
  const gone = new AbortController();
  gone.abort();
  await expect(rowsWhileAwaited(manager(), 'select pg_sleep(60)', [], gone.signal)).rejects.toThrow(/abort/i);
});

import { MikroORM } from '@mikro-orm/postgresql';
import { ask, newDatabase, startApp, type TestApp } from '../test/app.js';
import { readConfig } from './config.js';
import { migrate, ormConfig } from './database/orm.js';
import { startWords } from './startWords.js';

let t: TestApp;
beforeAll(async () => {
  t = await startApp();
});
afterAll(() => t.close());

/** What is said of a database that cannot be started on. */
async function said(url: string): Promise<string | undefined> {
  let orm: MikroORM;
  try {
    orm = await MikroORM.init(ormConfig(url));
  } catch (error) {
    return startWords(error);
  }
  try {
    await migrate(orm);
    return 'started';
  } catch (error) {
    return startWords(error);
  } finally {
    await orm.close();
  }
}
const altered = (url: string, change: (url: URL) => void): string => {
  const made = new URL(url);
  change(made);
  return made.toString();
};

test('a database that a newer version has changed is refused in words, and left as it is', async () => {
  const count = async (): Promise<unknown> =>
    (await ask<{ n: string }>(t.databaseUrl, 'select count(*) as n from migration'))[0];
  await ask(t.databaseUrl, "insert into migration (name, executed_at) values ('Migration9999Tomorrow', now())");
  const before = await count();
  expect(await said(t.databaseUrl)).toMatch(
    /changed by a newer version of Wheat Ledger \(Migration9999Tomorrow\).*restore/,
  );
  expect(await count()).toEqual(before);
  await ask(t.databaseUrl, "delete from migration where name = 'Migration9999Tomorrow'");
  expect(await said(t.databaseUrl)).toBe('started');
});

test('a wrong password, port, missing rights and another encoding are each told in a sentence', async () => {
  const url = await newDatabase();
  expect(await said(altered(url, (u) => (u.password = 'wrong')))).toMatch(/does not know this user and password/);
  expect(await said(altered(url, (u) => (u.port = '1')))).toMatch(/^Nothing answers at the address/);
  const name = new URL(url).pathname.slice(1);
  await ask(url, `create role guest_${name} login password 'guest'`);
  await ask(url, `revoke create on schema public from public`);
  const guest = altered(url, (u) => {
    u.username = `guest_${name}`;
    u.password = 'guest';
  });
  expect(await said(guest)).toMatch(/may not create tables there/);
  await ask(url, `create database latin_${name} encoding 'LATIN1' lc_collate 'C' lc_ctype 'C' template template0`);
  expect(await said(altered(url, (u) => (u.pathname = `/latin_${name}`)))).toMatch(
    /written in LATIN1.*encoding 'UTF8'/,
  );
});

test('an address that is none is refused before anything is asked; what nobody knows is not put into words', () => {
  for (const databaseUrl of ['garden', 'mysql://a@b/c', 'postgresql://'])
    expect(() => readConfig({ DATABASE_URL: databaseUrl })).toThrow(/DATABASE_URL cannot be read/);
  expect(startWords(new Error('DATABASE_URL cannot be read, expected …'))).toMatch(/^DATABASE_URL cannot be read/);
  expect(startWords(new TypeError('x is not a function'))).toBeUndefined();
});

// Jest's setup: a throwaway PostgreSQL cluster, shared by all workers, each with databases of its own in it.
import { join } from 'node:path';
import { startDatabase } from './database.mjs';
import { ROOT } from './run.mjs';

export default async function setUp() {
  // One cluster a run, so that two runs at once do not stop each other's.
  const database = await startDatabase(join(ROOT, `.data/test-${process.pid}`), { throwaway: true });
  globalThis.__testDatabase = database;
  process.env.TEST_DATABASE_URL = database.url;
}

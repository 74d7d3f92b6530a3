// Jest's teardown: the throwaway cluster goes, with its folder.
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './run.mjs';

export default async function tearDown() {
  await globalThis.__testDatabase?.stop();
  rmSync(join(ROOT, `.data/test-${process.pid}`), { recursive: true, force: true });
}

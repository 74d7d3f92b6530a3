// npm run mutants -- FOLDER: how many small changes to a folder of the core its tests notice, a folder at a time.
// The tests of the core judge, for what stands under everything the folder's own (all of them would take hours); results are kept in .data/mutants and taken up again where nothing changed.
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureDependencies } from './lib/build.mjs';
import { checkNode } from './lib/machine.mjs';
import { ROOT, run, tool } from './lib/run.mjs';

const folder = process.argv[2];
const BASES = ['quantity', 'nutrient', 'figure'];

async function main() {
  checkNode();
  if (!folder || !existsSync(join(ROOT, 'packages/core/src', folder)))
    throw new Error(`Read "${folder ?? ''}", expected a folder of the core, such as: npm run mutants -- price`);
  await ensureDependencies();
  const out = join(ROOT, '.data/mutants');
  mkdirSync(out, { recursive: true });
  const json = join(out, `${folder}.json`);
  // An old result must not pass for this run's.
  rmSync(json, { force: true });
  const [node, stryker] = tool('@stryker-mutator/core/bin/stryker.js');
  await run(
    node,
    [
      stryker,
      'run',
      'stryker.config.mjs',
      '--mutate',
      `packages/core/src/${folder}/**/*.ts,!packages/core/src/${folder}/**/*.test.ts,!packages/core/src/${folder}/**/index.ts`,
      '--incremental',
      '--incrementalFile',
      join(out, `${folder}.incremental.json`),
    ],
    { env: { ...process.env, CORE_FOLDER: BASES.includes(folder) ? folder : '.', MUTANTS_JSON: json } },
  );
  if (!existsSync(json)) throw new Error('Stryker left no result.');
  const { files } = JSON.parse(readFileSync(json, 'utf8'));
  const mutants = Object.entries(files).flatMap(([file, { mutants: m }]) => m.map((x) => ({ ...x, file })));
  const count = (...statuses) => mutants.filter((m) => statuses.includes(m.status)).length;
  const [found, missed] = [count('Killed', 'Timeout'), count('Survived', 'NoCoverage')];
  console.log(`${folder}: ${found} of ${found + missed} noticed, ${((100 * found) / (found + missed)).toFixed(1)} %`);
  for (const m of mutants.filter((x) => x.status === 'Survived' || x.status === 'NoCoverage').slice(0, 40))
    console.log(`  ${m.file}:${m.location.start.line} ${m.mutatorName}: ${m.replacement?.slice(0, 80) ?? ''}`);
}

main().catch((error) => {
  console.error(error.message);
  process.exit(1);
});

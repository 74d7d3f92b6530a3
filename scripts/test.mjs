// npm test: everything a clean checkout needs, then lint, types, unit, server and browser tests.
// `npm test -- --fast` leaves the browser out.
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { bundle, compile, ensureDependencies } from './lib/build.mjs';
import { checkNode, ensureChromium, ensurePostgres } from './lib/machine.mjs';
import { ROOT, run, tool } from './lib/run.mjs';

const fast = process.argv.includes('--fast');
let passed = 0;
let failed = 0;

async function step(name, work) {
  const from = Date.now();
  try {
    await work();
    passed += 1;
    console.log(`ok      ${name} (${((Date.now() - from) / 1000).toFixed(1)} s)`);
    return true;
  } catch (error) {
    failed += 1;
    console.log(`FAILED  ${name}\n${error.message}`);
    return false;
  }
}

async function check(path, args) {
  const [node, script] = tool(path);
  const { code, output } = await run(node, [script, ...args], { quiet: true });
  if (code !== 0) throw new Error(output.slice(-8000));
}

async function script(name, args) {
  const { code, output } = await run(process.execPath, [join(ROOT, 'scripts', name), ...args], { quiet: true });
  if (code !== 0) throw new Error(output.slice(-8000));
}

async function jest(name, env = {}) {
  const [node, script] = tool('jest/bin/jest.js');
  const file = join(ROOT, '.data', `jest-${process.pid}.json`);
  mkdirSync(join(ROOT, '.data'), { recursive: true });
  const from = Date.now();
  const { code, output } = await run(
    node,
    [script, '--json', `--outputFile=${file}`, ...(process.env.CI ? ['--ci'] : [])],
    { quiet: true, env: { ...process.env, ...env } },
  );
  let result;
  try {
    result = JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    failed += 1;
    console.log(`FAILED  ${name}\n${output.slice(-8000)}`);
    return;
  } finally {
    rmSync(file, { force: true });
  }
  passed += result.numPassedTests;
  // A suite that does not even load counts as a failure of its own.
  const broken =
    result.numFailedTests +
    result.testResults.filter((r) => r.status === 'failed' && r.assertionResults.length === 0).length;
  failed += code === 0 ? broken : Math.max(1, broken);
  console.log(
    `${code === 0 ? 'ok     ' : 'FAILED '} ${name}: ${result.numPassedTests} passed, ${broken} failed (${((Date.now() - from) / 1000).toFixed(1)} s)`,
  );
  for (const suite of result.testResults.filter((r) => r.status === 'failed'))
    console.log(suite.message.slice(0, 6000));
}

async function main() {
  checkNode();
  await ensureDependencies();
  await ensurePostgres();
  if (!fast) await ensureChromium();
  if (await step('types of the packages', compile)) {
    await step('types of the tests', () => check('typescript/lib/tsc.js', ['-p', 'tsconfig.test.json']));
    await step('rooms and their doors', () =>
      check('dependency-cruiser/bin/dependency-cruise.mjs', [
        'packages',
        '--config',
        '.dependency-cruiser.cjs',
        '--output-type',
        'err',
      ]),
    );
    await step('formatting', () => check('prettier/bin/prettier.cjs', ['--check', '--log-level', 'warn', '.']));
    await step('lint', () => check('eslint/bin/eslint.js', ['.', '--max-warnings', '0']));
    await jest('unit and server tests');
    if (!fast && (await step('build of the web app', bundle))) {
      await step('faults, the short form', () => script('faults.mjs', ['--short']));
      await jest('browser tests', { E2E: '1' });
    }
  }
  console.log(`${passed} passed, ${failed} failed`);
  process.exit(failed === 0 ? 0 : 1);
}

main().catch((error) => {
  console.error(error.message);
  console.log(`${passed} passed, ${failed + 1} failed`);
  process.exit(1);
});

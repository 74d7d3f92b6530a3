// npm test: everything a clean checkout needs, then lint, types, unit, server and browser tests.
// `npm test -- --fast` leaves the browser out.
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join, relative } from 'node:path';
import { bundle, compile, ensureDependencies } from './lib/build.mjs';
import { checkNode, ensureChromium, ensurePostgres } from './lib/machine.mjs';
import { ROOT, run, runWithin, tool } from './lib/run.mjs';

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

/** The suites that had begun and not ended, from what the reporter told. */
function unfinished(output) {
  const told = (word) =>
    [...output.matchAll(new RegExp(`^${word} +(\\S+\\.(?:test|e2e)\\.tsx?)`, 'gm'))].map((m) => m[1]);
  const ended = new Set(told('end'));
  return told('start')
    .filter((path) => !ended.has(path))
    .map((path) => relative(ROOT, path));
}

async function jest(name, minutes, env = {}) {
  const [node, script] = tool('jest/bin/jest.js');
  const file = join(ROOT, '.data', `jest-${process.pid}.json`);
  mkdirSync(join(ROOT, '.data'), { recursive: true });
  const from = Date.now();
  const reporters = ['default', join(ROOT, 'scripts/lib/suiteReporter.cjs')].map((path) => `--reporters=${path}`);
  const { code, output, late } = await runWithin(
    minutes * 60,
    node,
    // A suite that fails may leave its server open: the run ends all the same.
    [script, '--forceExit', '--json', `--outputFile=${file}`, ...reporters, ...(process.env.CI ? ['--ci'] : [])],
    { env: { ...process.env, ...env } },
  );
  if (late) {
    failed += 1;
    console.log(
      `FAILED  ${name}: not done after ${minutes} minutes; running: ${unfinished(output).join(', ') || 'nothing'}`,
    );
    console.log(output.slice(-4000));
    return;
  }
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
    await jest('unit and server tests', 30);
    if (!fast && (await step('build of the web app', bundle))) {
      await step('faults, the short form', () => script('faults.mjs', ['--short']));
      await step('faults of two servers, the short form', () => script('faults.mjs', ['--short', '--two']));
      await jest('browser tests', 35, { E2E: '1' });
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

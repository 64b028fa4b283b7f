/**
 * `npm test`: types, lint, format, import rules, unused code, unit tests, browser tests; every part
 * runs even when an earlier one failed. The last line counts: `N passed, N failed`.
 * `npm test -- NAME` runs the browser tests whose name holds it, and nothing else.
 */
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuilt } from './lib/build.mjs';
import { ensureInstalled } from './lib/install.mjs';
import { ensureBrowser, installMissing } from './lib/outside.mjs';
import { ROOT, runProgram, runProgramBeside } from './lib/packages.mjs';

ensureInstalled();
ensureBrowser();
if (installMissing('nginx').length > 0)
  process.stderr.write('There is no nginx here: the tests that stand behind it are left out.\n');
ensureBuilt();

const [name] = process.argv.slice(2);
if (name !== undefined) process.exit(runProgram('playwright', ['test', '--grep', name]));

const count = { passed: 0, failed: 0 };
const results = join(ROOT, 'test-results');
rmSync(results, { recursive: true, force: true });
mkdirSync(results);

/** Checks of a row, one after the other; rows stand side by side, one for each core. */
async function checkRow(checks) {
  for (const [name, bin, args] of checks) {
    const { status, said } = await runProgramBeside(bin, args);
    const passed = status === 0;
    count[passed ? 'passed' : 'failed'] += 1;
    process.stdout.write(`${passed ? '' : said}${passed ? 'ok' : 'FAILED'}: ${name}\n`);
  }
}

/** Adds a runner's own counts; a runner that left none has failed as a whole. */
function countFrom(file, code, read) {
  try {
    const { passed, failed } = read(JSON.parse(readFileSync(join(results, file), 'utf8')));
    count.passed += passed;
    count.failed += failed;
    if (code !== 0 && failed === 0) count.failed += 1;
  } catch {
    count.failed += 1;
  }
}

const CODE = ['src', 'cli', 'bench', 'faults'];
await Promise.all([
  checkRow([['lint', 'eslint', ['.', '--max-warnings', '0']]]),
  checkRow([
    ['types', 'tsc', ['--noEmit']],
    ['format', 'prettier', ['--check', '--log-level', 'warn', '.']],
    ['import rules', 'depcruise', ['--config', '.dependency-cruiser.cjs', ...CODE]],
    ['unused code', 'knip', []],
  ]),
]);

const unit = runProgram('jest', ['--json', '--outputFile', 'test-results/unit.json']);
countFrom('unit.json', unit, (report) => ({
  passed: report.numPassedTests,
  failed: report.numFailedTests + report.numRuntimeErrorTestSuites,
}));

const browser = runProgram('playwright', ['test']);
countFrom('browser.json', browser, ({ stats, errors }) => ({
  passed: stats.expected + stats.flaky,
  failed: stats.unexpected + errors.length,
}));

process.stdout.write(`${count.passed} passed, ${count.failed} failed\n`);
process.exitCode = count.failed === 0 ? 0 : 1;

/**
 * `npm test`: types, lint, format, import rules, unused code, unit tests, browser tests; every part
 * runs even when an earlier one failed. The last line counts: `N passed, N failed`.
 * `npm test -- NAME` runs the browser tests whose name holds it, and nothing else.
 */
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuilt } from './lib/build.mjs';
import { CHECKS, runCheck } from './lib/checks.mjs';
import { ensureInstalled } from './lib/install.mjs';
import { ensureBrowser, installMissing } from './lib/outside.mjs';
import { ROOT, runProgram } from './lib/packages.mjs';
import { demoHouseFile, morningZone } from './lib/testRun.mjs';

/** Minutes each part takes on two quiet cores, as measured. */
const MINUTES = { checks: 2, 'unit tests': 6, 'browser tests': 16, 'tests of load and disks': 2 };

const [name] = process.argv.slice(2);
const say = (words) => process.stdout.write(`${words}\n`);
const began = Date.now();
const minutes = () => ((Date.now() - began) / 60_000).toFixed(1);

ensureInstalled();
ensureBrowser();
if (installMissing('nginx').length > 0)
  process.stderr.write('There is no nginx here: the tests that stand behind it are left out.\n');
await ensureBuilt();
process.env.TZ ??= morningZone();

if (name !== undefined) {
  process.env.KETTLEBRAND_TEST_DEMO = await demoHouseFile();
  process.exit(runProgram('playwright', ['test', '--grep', name]));
}

const count = { passed: 0, failed: 0 };
const results = join(ROOT, 'test-results');
rmSync(results, { recursive: true, force: true });
mkdirSync(results);
const all = Object.values(MINUTES).reduce((sum, each) => sum + each, 0);
say(`About ${all} minutes on two quiet cores; more where something else runs.`);

function begin(part) {
  say(`\n== ${part}: about ${MINUTES[part]} min (${minutes()} min so far)`);
}

/** Checks of a row, one after the other; rows stand side by side, one for each core. */
async function checkRow(names) {
  for (const name of names) {
    const { passed, said } = await runCheck(name);
    count[passed ? 'passed' : 'failed'] += 1;
    say(`${passed ? '' : said}${passed ? 'ok' : 'FAILED'}: ${name}`);
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

function browserTests(file, args) {
  process.env.PLAYWRIGHT_JSON_OUTPUT_FILE = join(results, file);
  countFrom(file, runProgram('playwright', ['test', ...args]), ({ stats, errors }) => ({
    passed: stats.expected + stats.flaky,
    failed: stats.unexpected + errors.length,
  }));
}

begin('checks');
const others = Object.keys(CHECKS).filter((check) => check !== 'lint');
await Promise.all([
  checkRow(['lint']),
  checkRow(others).then(async () => {
    process.env.KETTLEBRAND_TEST_DEMO = await demoHouseFile();
  }),
]);

begin('unit tests');
const unit = runProgram('jest', ['--json', '--outputFile', 'test-results/unit.json']);
countFrom('unit.json', unit, (report) => ({
  passed: report.numPassedTests,
  failed: report.numFailedTests + report.numRuntimeErrorTestSuites,
}));

begin('browser tests');
browserTests('browser.json', ['--project', 'long', '--project', 'others']);
// What fills disks and lines would slow the others down.
begin('tests of load and disks');
browserTests('load.json', ['--project', 'load']);

say(`${minutes()} minutes`);
say(`${count.passed} passed, ${count.failed} failed`);
process.exitCode = count.failed === 0 ? 0 : 1;

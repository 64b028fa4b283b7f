/**
 * `npm run check`: the short loop of whoever works on the sources. Types, lint, format, import rules,
 * unused code, and the unit tests of what changed since the last commit. Node alone.
 */
import { CHECKS, runCheck } from './lib/checks.mjs';
import { ensureInstalled } from './lib/install.mjs';
import { runProgram } from './lib/packages.mjs';

ensureInstalled();

let hasFailed = false;
const say = (name, passed, said = '') => {
  hasFailed ||= !passed;
  process.stdout.write(`${passed ? '' : said}${passed ? 'ok' : 'FAILED'}: ${name}\n`);
};

for (const name of Object.keys(CHECKS)) {
  const { passed, said } = await runCheck(name);
  say(name, passed, said);
}
say('unit tests of what changed', runProgram('jest', ['--onlyChanged', '--silent']) === 0);
process.exitCode = hasFailed ? 1 : 0;

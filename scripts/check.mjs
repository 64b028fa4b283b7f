/**
 * `npm run check`: the short loop of whoever works on the sources. Types, lint, format, import rules,
 * unused code, and the unit tests of what changed since the last commit; each keeps what it found out, so
 * that only the first run is long. Node alone.
 */
import { ensureInstalled } from './lib/install.mjs';
import { runProgram } from './lib/packages.mjs';

ensureInstalled();

const CHECKS = [
  ['types', 'tsc', ['--noEmit']],
  ['lint', 'eslint', ['.', '--max-warnings', '0', '--cache', '--cache-location', '.cache/eslint']],
  [
    'format',
    'prettier',
    ['--check', '--log-level', 'warn', '--cache', '--cache-location', '.cache/prettier', '.'],
  ],
  [
    'import rules',
    'depcruise',
    [
      '--config',
      '.dependency-cruiser.cjs',
      '--cache',
      '.cache/imports',
      'src',
      'cli',
      'bench',
      'faults',
    ],
  ],
  ['unused code', 'knip', ['--cache', '--cache-location', '.cache/knip']],
  ['unit tests of what changed', 'jest', ['--onlyChanged', '--silent']],
];

const failed = CHECKS.filter(([name, bin, args]) => {
  const passed = runProgram(bin, args) === 0;
  process.stdout.write(`${passed ? 'ok' : 'FAILED'}: ${name}\n`);
  return !passed;
});
process.exitCode = failed.length === 0 ? 0 : 1;

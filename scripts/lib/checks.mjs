/** What is checked without running anything: each keeps what it found out, so that only the first run is long. Node alone. */
import { runProgramBeside } from './packages.mjs';

const CODE = ['src', 'cli', 'bench', 'faults'];

export const CHECKS = {
  types: ['tsc', '--noEmit'],
  lint: ['eslint', '.', '--max-warnings', '0', '--cache', '--cache-location', '.cache/eslint'],
  format: [
    'prettier',
    ...['--check', '--log-level', 'warn', '--cache', '--cache-location', '.cache/prettier', '.'],
  ],
  'import rules': [
    'depcruise',
    ...['--config', '.dependency-cruiser.cjs', '--cache', '.cache/imports', ...CODE],
  ],
  'unused code': ['knip', '--cache', '--cache-location', '.cache/knip'],
};

/** Whether a check passed, and what it said. */
export async function runCheck(name) {
  const [program, ...args] = CHECKS[name];
  const { status, said } = await runProgramBeside(program, args);
  return { passed: status === 0, said };
}

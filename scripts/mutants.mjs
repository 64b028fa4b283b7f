/**
 * `npm run mutants`: plants small faults into the core's judgement and the permissions, one at a time, and says which of
 * them the unit tests see. A score under the stated one fails. Survivors that are meant stand in docs/mutants.md.
 * `npm run mutants -- PART` takes one part: advice, grinder, rest, trials, roles, command. Node alone.
 */
import { ensureInstalled } from './lib/install.mjs';
import { runProgram } from './lib/packages.mjs';

/** What is mutated in each part; tests are those that reach it. */
const PARTS = {
  advice: 'src/core/advice/**/*.ts',
  grinder: 'src/core/grinder/**/*.ts',
  rest: 'src/core/rest/**/*.ts',
  trials: 'src/core/trials/**/*.ts',
  roles: 'src/core/roles.ts',
  command: 'src/data/command.ts',
};

const [part] = process.argv.slice(2);
if (part !== undefined && !(part in PARTS)) {
  process.stderr.write(`There is no part ${part}. Take one of ${Object.keys(PARTS).join(', ')}.\n`);
  process.exit(2);
}
ensureInstalled();
const mutate = part === undefined ? Object.values(PARTS) : [PARTS[part]];
process.exitCode = runProgram('stryker', [
  ...['run', 'stryker.config.mjs'],
  ...['--mutate', [...mutate, '!src/**/*.test.ts'].join(',')],
]);

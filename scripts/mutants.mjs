/**
 * `npm run mutants`: plants small faults into the core's judgement and the permissions, one at a time, and says which of
 * them the unit tests see. A score under the stated one fails. Survivors that are meant stand in docs/mutants.md.
 * `npm run mutants -- PART` takes one part: advice, grinder, rest, trials, roles, command. Node alone.
 */
import { ensureInstalled } from './lib/install.mjs';
import { runProgram } from './lib/packages.mjs';

/** What is mutated in each part, and the tests that should see it: those beside it, and those that judge with it. */
const PARTS = {
  advice: {
    files: 'src/core/advice/**/*.ts',
    tests: ['src/core/advice/**', 'tests/reference/judgement*'],
  },
  grinder: {
    files: 'src/core/{grinder,grinderMemory}/**/*.ts',
    tests: ['src/core/{grinder,grinderMemory}/**', 'src/core/advice/**'],
  },
  rest: {
    files: 'src/core/rest/**/*.ts',
    tests: [
      'src/core/rest/**',
      'src/core/advice/{carry,batchDifferences}',
      'src/core/due/**',
      'tests/reference/{restStage,samples}',
    ],
  },
  trials: { files: 'src/core/trials/**/*.ts', tests: ['src/core/{trials,taste}/**'] },
  roles: {
    files: 'src/core/roles.ts',
    tests: ['src/core/roles', 'tests/reference/{doors,people}'],
  },
  command: {
    files: 'src/data/command.ts',
    tests: ['src/data/{command,commands}', 'tests/reference/{doors,people,records}'],
  },
};

const [asked] = process.argv.slice(2);
if (asked !== undefined && !(asked in PARTS)) {
  const known = Object.keys(PARTS).join(', ');
  process.stderr.write(`There is no part ${asked}. Take one of ${known}.\n`);
  process.exit(2);
}
ensureInstalled();
for (const [part, { files, tests }] of Object.entries(PARTS)) {
  if (asked !== undefined && part !== asked) continue;
  process.env.KETTLEBRAND_MUTANTS_TESTS = tests.map((path) => `${path}.test.ts`).join(' ');
  process.env.KETTLEBRAND_MUTANTS_PART = part;
  const status = runProgram('stryker', [
    ...['run', 'stryker.config.mjs'],
    ...['--mutate', `${files},!src/**/*.test.ts`],
  ]);
  process.exitCode ||= status;
}

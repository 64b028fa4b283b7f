import unitTests from './jest.config.mjs';

/** The unit tests that should see the faults of a part: `npm run mutants` names them. */
const config = {
  ...unitTests.projects[0],
  testTimeout: unitTests.testTimeout,
  testMatch: (process.env.KETTLEBRAND_MUTANTS_TESTS ?? 'src/core/**/*.test.ts')
    .split(' ')
    .map((path) => `<rootDir>/${path}`),
};

export default config;

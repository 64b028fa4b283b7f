import unitTests from './jest.config.mjs';

/** The unit tests beside the core and those of the store, without what simulates for minutes. */
const config = {
  ...unitTests.projects[0],
  testTimeout: unitTests.testTimeout,
  testMatch: [
    '<rootDir>/src/{core,data}/**/*.test.ts',
    '<rootDir>/tests/reference/{judgement*,dialin,people,doors,rules,records,newBatch,rechecks}.test.ts',
  ],
};

export default config;

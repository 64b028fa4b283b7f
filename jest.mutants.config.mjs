import config from './jest.config.mjs';

/** The unit tests beside the core and those of the store, without what simulates for minutes. */
export default {
  ...config.projects[0],
  testTimeout: config.testTimeout,
  testMatch: [
    '<rootDir>/src/{core,data}/**/*.test.ts',
    '<rootDir>/tests/reference/{judgement*,dialin,people,doors,rules,records,newBatch,rechecks}.test.ts',
  ],
};

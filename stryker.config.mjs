const part = process.env.KETTLEBRAND_MUTANTS_PART ?? 'all';

/** Mutation testing of the core's judgement and the permissions; `npm run mutants` chooses what is mutated. */
const config = {
  testRunner: 'jest',
  jest: { configFile: 'jest.mutants.config.mjs', enableFindRelatedTests: true },
  coverageAnalysis: 'perTest',
  concurrency: 2,
  // Words of reasons are compared elsewhere; a mutant in one is no fault of judgement.
  mutator: { excludedMutations: ['StringLiteral', 'Regex'] },
  ignorePatterns: ['/.next', '/dist', '/data', '/test-results', '/docs/screenshots', '/.cache'],
  incremental: true,
  incrementalFile: `.cache/mutants-${part}.json`,
  tempDirName: '.cache/mutants',
  reporters: ['clear-text', 'progress-append-only', 'json'],
  jsonReporter: { fileName: `test-results/mutants-${part}.json` },
  clearTextReporter: { allowColor: false, logTests: false, reportTests: false },
  thresholds: { high: 85, low: 70, break: 70 },
  timeoutMS: 20_000,
};

export default config;

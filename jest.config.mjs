// Faults that tests provoke are not for whoever reads their report.
process.env.KETTLEBRAND_LOG ??= 'silent';

const swc = [
  '@swc/jest',
  {
    jsc: {
      parser: { syntax: 'typescript', tsx: true },
      transform: { react: { runtime: 'automatic' } },
      target: 'es2022',
    },
    module: { type: 'commonjs' },
  },
];

const common = {
  transform: { '^.+\\.(t|j)sx?$': swc },
  // These packages ship ES modules only.
  transformIgnorePatterns: [
    '/node_modules/(?!(ml-|is-any-array|cheminfo-types|intl-messageformat|@formatjs))',
  ],
  moduleNameMapper: {
    '^server-only$': '<rootDir>/tests/support/empty.cjs',
    '^@/(.*)$': '<rootDir>/src/$1',
  },
};

/** Core, store and formats run in node; components run in jsdom. */
const config = {
  // Long enough for a loaded machine of two cores; what hangs still fails.
  testTimeout: 60_000,
  // Nothing else runs beside them.
  maxWorkers: '100%',
  projects: [
    {
      ...common,
      displayName: 'node',
      testEnvironment: 'node',
      testMatch: ['<rootDir>/{src,cli,tests,bench}/**/*.test.ts'],
    },
    {
      ...common,
      displayName: 'components',
      testEnvironment: 'jsdom',
      setupFiles: ['<rootDir>/tests/support/jsdom.ts'],
      setupFilesAfterEnv: ['<rootDir>/tests/support/freshBrowser.ts'],
      testMatch: ['<rootDir>/src/**/*.test.tsx'],
    },
  ],
};

export default config;

import { defineConfig } from '@playwright/test';

/** Begun first, so that no core waits for the last of them. */
const LONG = [
  'e2e/quality',
  'e2e/card',
  'e2e/flight',
  'e2e/pull',
  'e2e/field',
  'faults/access',
].map((file) => `${file}.spec.ts`);
/** They fill disks, lines and cores, and would slow whatever stands beside them. */
const LOAD = ['load', 'disk', 'proxy', 'killServer'].map((file) => `faults/${file}.spec.ts`);

export default defineConfig({
  testDir: 'tests',
  globalSetup: './tests/support/demoHouse.ts',
  projects: [
    { name: 'long', testMatch: LONG },
    {
      name: 'others',
      testMatch: ['e2e/**/*.spec.ts', 'faults/**/*.spec.ts'],
      testIgnore: [...LONG, ...LOAD],
    },
    { name: 'load', testMatch: LOAD },
  ],
  // Walking every page with the accessibility checker takes minutes on two cores.
  timeout: 600_000,
  // A bound for what hangs, not for what is slow: a loaded machine takes its time.
  expect: { timeout: 60_000 },
  workers: 2,
  fullyParallel: false,
  reporter: [
    ['list'],
    [
      'json',
      { outputFile: process.env.PLAYWRIGHT_JSON_OUTPUT_FILE ?? 'test-results/browser.json' },
    ],
  ],
  use: {
    // Where a test is about it, it lets the page install one.
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
    // A step that finds nothing to press fails now, not when the whole test runs out.
    actionTimeout: 60_000,
    launchOptions: {
      executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
      // Chromium as root, and without its own background traffic.
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});

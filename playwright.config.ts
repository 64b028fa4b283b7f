import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: 'tests',
  globalSetup: './tests/support/demoHouse.ts',
  testMatch: ['e2e/**/*.spec.ts', 'faults/**/*.spec.ts'],
  // Walking every page with the accessibility checker takes minutes on two cores.
  timeout: 600_000,
  expect: { timeout: 20_000 },
  workers: 2,
  fullyParallel: false,
  reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
  use: {
    // Where a test is about it, it lets the page install one.
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
    // A step that finds nothing to press fails now, not when the whole test runs out.
    actionTimeout: 30_000,
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

import { fileURLToPath } from 'node:url';
import { defineConfig } from '@playwright/test';

/** Debian's Chromium on this machine; nothing is fetched. */
export default defineConfig({
  testDir: '.',
  outputDir: fileURLToPath(new URL('../test-results', import.meta.url)),
  // Each worker has a server of its own; files that tell one story are in order by themselves.
  workers: 2,
  fullyParallel: true,
  timeout: 60_000,
  expect: { timeout: 10_000 },
  retries: 0,
  forbidOnly: true,
  reporter: [
    ['line'],
    ['json', { outputFile: process.env.PLAYWRIGHT_JSON_OUTPUT_NAME ?? '../test-results/results.json' }],
  ],
  use: {
    testIdAttribute: 'data-testid',
    viewport: { width: 390, height: 844 },
    actionTimeout: 10_000,
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
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

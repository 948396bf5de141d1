import { defineConfig } from '@playwright/test';
import { BROWSER_ARGS } from '../scripts/machine/browser.mjs';

/**
 * Journeys in Debian’s Chromium against a server the test command has started (E2E_URL).
 * Everything waits for a state; the limits are so wide that a machine four times slower fails nothing by them alone.
 */
export default defineConfig({
  testDir: '.',
  outputDir: '../test-results',
  fullyParallel: true,
  workers: 2,
  timeout: 360_000,
  expect: { timeout: 60_000 },
  // A machine that stalls for minutes is given a second go; the report tells which journeys needed one, and they are looked into.
  retries: 1,
  forbidOnly: Boolean(process.env['CI']),
  use: {
    // Taken onto the device only where that is what is looked at: elsewhere it would be done a hundred times over.
    serviceWorkers: 'block',
    actionTimeout: 90_000,
    baseURL: process.env['E2E_URL'] ?? 'http://localhost:4600',
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'Europe/London',
    acceptDownloads: true,
    launchOptions: {
      executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
      args: BROWSER_ARGS,
    },
  },
});

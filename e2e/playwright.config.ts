import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: '.',
  timeout: 90_000,
  expect: { timeout: 15_000 },
  workers: 2,
  fullyParallel: true,
  forbidOnly: Boolean(process.env.CI),
  // A second try would hide what only goes wrong on a slow machine.
  retries: 0,
  reporter: process.env.CI ? 'line' : 'list',
  use: {
    viewport: { width: 1280, height: 800 },
    // Far from UTC, and not where the demo school is: what is shown is the school's own time.
    timezoneId: 'Pacific/Auckland',
    locale: 'en-GB',
    trace: 'retain-on-failure',
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-background-networking'],
    },
  },
});

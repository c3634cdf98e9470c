import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: '.',
  // Wide enough for a machine a third as quick as ours: a wait that is met costs nothing.
  timeout: 240_000,
  expect: { timeout: 45_000 },
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
    // A trace of each step takes as long as the step: it is asked for when a failure is looked into.
    trace: process.env.TRACE ? 'retain-on-failure' : 'off',
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-background-networking'],
    },
  },
});

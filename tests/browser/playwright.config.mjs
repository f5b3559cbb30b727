import { defineConfig } from '@playwright/test';
import { flags } from './server.mjs';

export default defineConfig({
  testDir: '.',
  globalSetup: './server.mjs',
  testMatch: '*.spec.mjs',
  workers: 3,
  fullyParallel: true,
  // Limits are for what hangs, not for a machine that is busy: each is many times what is needed.
  timeout: 400_000,
  expect: { timeout: 60_000 },
  reporter: 'list',
  use: {
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [...flags, '--autoplay-policy=no-user-gesture-required'],
    },
    // One browser window for all tests of a worker, emptied in between: a page begins sooner where another was.
    reuseContext: true,
    // Nothing slides: no test waits for what is only pleasant.
    contextOptions: { reducedMotion: 'reduce' },
    // Only the tests about it have the page kept by the browser.
    serviceWorkers: 'block',
    screenshot: 'only-on-failure',
    locale: 'en-GB',
    timezoneId: 'Europe/Berlin',
    viewport: { width: 1280, height: 800 },
  },
});

import { defineConfig } from '@playwright/test';
import { flags } from './server.mjs';

export default defineConfig({
  testDir: '.',
  globalSetup: './server.mjs',
  testMatch: '*.spec.mjs',
  workers: 3,
  fullyParallel: true,
  timeout: 180_000,
  expect: { timeout: 30_000 },
  reporter: 'list',
  use: {
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [...flags, '--autoplay-policy=no-user-gesture-required'],
    },
    // Nothing slides: no test waits for what is only pleasant.
    contextOptions: { reducedMotion: 'reduce' },
    screenshot: 'only-on-failure',
    locale: 'en-GB',
    timezoneId: 'Europe/Berlin',
    viewport: { width: 1280, height: 800 },
  },
});

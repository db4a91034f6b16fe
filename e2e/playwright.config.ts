import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: './tests',
  outputDir: './test-results',
  globalSetup: './setup.ts',
  // each test has a server and a directory of its own; the servers of one worker share a process
  workers: 2,
  fullyParallel: true,
  timeout: 180_000,
  // what these tests hold is that it comes, not how soon: that is measured by the bench
  expect: { timeout: 30_000 },
  reporter: [['list']],
  use: {
    // the machine's clock zone must not matter; one is fixed so that days are the same everywhere
    timezoneId: process.env.BURROW_ZONE ?? 'Europe/Berlin',
    locale: 'en-GB',
    // keeping the whole application for offline costs each page seconds: only what is tried offline does it
    serviceWorkers: 'block',
    // an action that finds nothing to act on says so, before the whole test runs out
    actionTimeout: 45_000,
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: [
        '--lang=en-GB',
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
  // what has to do with one of them alone, or with neither, is tried on one: "@phone" or "@wide"
  projects: [
    { name: 'phone', grepInvert: /@wide/, use: { viewport: { width: 390, height: 844 }, hasTouch: true } },
    // with motion on one and without on the other: both are used, and what does not move is quicker
    {
      name: 'wide',
      grepInvert: /@phone/,
      use: { viewport: { width: 1280, height: 800 }, contextOptions: { reducedMotion: 'reduce' } },
    },
  ],
});

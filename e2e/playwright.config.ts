import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: 'tests',
  outputDir: 'test-results',
  timeout: 120_000,
  // A machine with other work to do is slow, not broken.
  expect: { timeout: 30_000 },
  // Once in some hundred runs a press is sent to a browser and never answered. What passed the second time only is told by its name.
  retries: 1,
  // Two browsers side by side, each with a real server and database of its own.
  workers: 2,
  reporter: [['list']],
  use: {
    viewport: { width: 1280, height: 800 },
    acceptDownloads: true,
    actionTimeout: 30_000,
    trace: 'off',
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: process.env.GRAIN_FOLD_CHROMIUM ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
      ],
    },
  },
});

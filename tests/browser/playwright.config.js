import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: '.',
  outputDir: `../../var/browser-results${process.env.HG_HALF ?? ''}`,
  workers: 1,
  timeout: 400_000,
  expect: { timeout: 40_000 },
  reporter: [['list']],
  use: {
    baseURL: process.env.GARDEN_URL,
    actionTimeout: 40_000,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-quic', '--disable-background-networking'],
    },
  },
});

import { defineConfig } from '@playwright/test'

export default defineConfig({
  testDir: '.',
  outputDir: '../test-results',
  // Each worker runs a whole Fleam, see house.ts; a file's tests stay with one of them.
  workers: 2,
  fullyParallel: false,
  timeout: 240_000,
  // What fails once is wrong: the product or the test is mended.
  retries: 0,
  // Two whole houses share two cores.
  expect: { timeout: 60_000 },
  reporter: process.env.CI ? 'line' : 'list',
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-component-update'],
    },
  },
})

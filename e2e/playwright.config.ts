import { rmSync } from 'node:fs'
import { defineConfig } from '@playwright/test'
import { findFreePort } from '../tools/ports.ts'

const DATA_FOLDER = '.fleam/e2e'

// Workers read this file again: the port and the fresh data are settled once, by the first reader.
if (!process.env.FLEAM_E2E_PORT) {
  process.env.FLEAM_E2E_PORT = String(await findFreePort())
  rmSync(DATA_FOLDER, { recursive: true, force: true })
}
const port = process.env.FLEAM_E2E_PORT

export default defineConfig({
  testDir: '.',
  outputDir: '../test-results',
  // One kitchen has one scale: tests take turns at it.
  workers: 1,
  fullyParallel: false,
  timeout: 60_000,
  reporter: process.env.CI ? 'line' : 'list',
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-component-update'],
    },
  },
  webServer: {
    command: 'node --import tsx tools/main.ts demo',
    cwd: '..',
    env: { FLEAM_PORT: port, FLEAM_DATA_DIR: DATA_FOLDER },
    wait: { stdout: /Fleam is ready/ },
    timeout: 120_000,
    gracefulShutdown: { signal: 'SIGTERM', timeout: 30_000 },
  },
})

import { rmSync } from 'node:fs'
import { test as base } from '@playwright/test'
import { House } from '../tools/house.ts'
import { findFreePort } from '../tools/ports.ts'

const START_MS = 120_000

interface OwnHouse {
  house: House
  /** Where the house of this worker keeps its data. */
  dataFolder: string
}

/**
 * Every worker has a Fleam of its own, with its own database and its own scale: one kitchen has one scale,
 * so that tests which use it take turns, but two workers need not wait for each other.
 */
export const test = base.extend<object, { own: OwnHouse }>({
  own: [
    // biome-ignore lint/correctness/noEmptyPattern: Playwright reads the names of fixtures from here
    async ({}, use, { parallelIndex }) => {
      const dataFolder = `.fleam/e2e-${parallelIndex}`
      rmSync(dataFolder, { recursive: true, force: true })
      const house = new House({
        port: await findFreePort(),
        dataFolder,
        isDemo: true,
        isScaleQuick: true,
        databaseUrl: null,
        scale: null,
      })
      try {
        await house.start()
        await use({ house, dataFolder })
      } finally {
        await house.stop()
      }
    },
    { scope: 'worker', auto: true, timeout: START_MS },
  ],
  baseURL: async ({ own }, use) => use(own.house.url),
})

export { expect } from '@playwright/test'

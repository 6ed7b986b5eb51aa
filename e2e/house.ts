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
  // Every part of a verdict is open, so that a test finds what it is about; how they open has a test of its own.
  context: async ({ context }, use) => {
    await context.addInitScript(() => {
      const parts = 'totals offers policies batch portions steps ask cut what-ifs inputs record'
      for (const [room, open] of Object.entries({ verdict: parts, 'verdict.forecast': 'forecast' })) {
        if (localStorage.getItem(`fleam.open-parts.${room}`) === null)
          localStorage.setItem(`fleam.open-parts.${room}`, open)
      }
    })
    await use(context)
  },
  baseURL: async ({ own }, use) => use(own.house.url),
})

export { expect } from '@playwright/test'

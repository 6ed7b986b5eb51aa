import AxeBuilder from '@axe-core/playwright'
import type { APIRequestContext, Page } from '@playwright/test'
import { expect, test } from './house.ts'
import { fabrications, items } from './kitchen.ts'

/** What a room is called, and where it is in the demo kitchen. */
export type RoomPlace = readonly [name: string, pathOf: (request: APIRequestContext) => string | Promise<string>]

export async function rowOf(request: APIRequestContext, status: 'open' | 'closed'): Promise<string | undefined> {
  return (await fabrications(request)).find((row) => row.status === status)?.id
}

export async function styleOf(request: APIRequestContext): Promise<string | undefined> {
  return (await items(request))[0]?.styles[0]?.id
}

const SIZES = [
  [1280, 800],
  [800, 1280],
  [390, 844],
] as const

/** Goes to a room as a link does, without loading the page again, and waits until it is there. */
async function moveTo(page: Page, path: string): Promise<void> {
  await page.evaluate((to) => {
    document.querySelector('h1')?.setAttribute('data-left', '')
    history.pushState(null, '', to)
    dispatchEvent(new PopStateEvent('popstate'))
  }, path)
  await expect(page.locator('h1:not([data-left])')).toBeVisible()
}

const ID = /[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/i

/** Tests for each room that axe finds nothing in it, in each colour scheme, and that nothing is cut off at any size. */
export function checkRooms(rooms: readonly RoomPlace[], schemes: readonly ('light' | 'dark')[]): void {
  let page: Page
  test.beforeAll(async ({ browser, own }) => {
    page = await browser.newPage({ baseURL: own.house.url, reducedMotion: 'reduce' })
    // From a room that is none of those that are checked first: a heading that stays would look like one that has not come.
    await page.goto('/settings')
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  })
  test.afterAll(() => page.close())

  for (const [name, pathOf] of rooms) {
    test(`${name}: axe finds nothing, and nothing is cut off at any size`, async ({ request }) => {
      const [[width, height]] = SIZES
      await page.setViewportSize({ width, height })
      await moveTo(page, await pathOf(request))
      for (const colorScheme of schemes) {
        await page.emulateMedia({ colorScheme, reducedMotion: 'reduce' })
        // No page has frames of other origins, and only faults are asked for: that takes a third of the time.
        const axe = new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] })
        // In the dark nothing but the colours is another.
        const { violations } = await (colorScheme === 'light' ? axe : axe.withRules(['color-contrast'])).analyze()
        const faults = violations.map(
          (violation) => `${violation.id} ${violation.nodes.map((node) => node.target).join(' | ')}`,
        )
        expect({ colorScheme, faults }).toEqual({ colorScheme, faults: [] })
      }
      // Ids refer, names read: none may come onto a screen.
      await expect(page.locator('body')).not.toContainText(ID)
      for (const [width, height] of SIZES) {
        await page.setViewportSize({ width, height })
        const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
        expect({ width, overflow: Math.max(0, overflow) }).toEqual({ width, overflow: 0 })
      }
    })
  }
}

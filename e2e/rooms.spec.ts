import AxeBuilder from '@axe-core/playwright'
import type { ArticleRows, LotRow } from '@fleam/contract'
import type { APIRequestContext } from '@playwright/test'
import { expect, test } from './house.ts'
import { fabrications, items, larchHalt } from './kitchen.ts'

const COMPRESSED_LIMIT = 250 * 1024

/** Where each room is, in the demo kitchen. */
const ROOMS: readonly [string, (request: APIRequestContext) => string | Promise<string>][] = [
  ['Today', () => '/'],
  ['Bench, starting', () => '/bench'],
  ['Bench', async (request) => `/bench/${await rowOf(request, 'open')}`],
  ['Styles side by side', () => '/verdict/styles'],
  ['Verdict', async (request) => `/verdict/${await rowOf(request, 'closed')}`],
  ['Knife lines', () => '/knife'],
  ['Racks', () => '/knife/racks'],
  ['Plates', () => '/knife/plates'],
  ['Two bonded', () => '/knife/bonded'],
  ['Buying', () => '/buying'],
  ['Prices', () => '/buying/prices'],
  ['an article', async (request) => `/buying/articles/${await articleOf(request)}`],
  ['Price lists', () => '/buying/lists'],
  ['Parted', () => '/buying/parted'],
  ['Meals', () => '/buying/meals'],
  ['Receiving', () => '/buying/receiving'],
  ['a delivery', () => '/buying/receiving/new'],
  ['a lot', async (request) => `/buying/lots/${await lotOf(request)}`],
  ['a claim', async (request) => `/buying/lots/${await lotOf(request)}/claim`],
  ['In the cold', () => '/buying/cold'],
  ['Guide', () => '/guide'],
  ['a style', async (request) => `/guide/${await styleOf(request)}`],
  ['a style, changing', async (request) => `/guide/${await styleOf(request)}/change`],
  ['Cautions', () => '/guide/cautions'],
  ['a blank card', async (request) => `/card/${await styleOf(request)}`],
  ['a card, entering', async (request) => `/bench/${await rowOf(request, 'open')}/entry`],
  ['a room to come', () => '/plan'],
]

async function rowOf(request: APIRequestContext, status: 'open' | 'closed'): Promise<string | undefined> {
  return (await fabrications(request)).find((row) => row.status === status)?.id
}

async function styleOf(request: APIRequestContext): Promise<string | undefined> {
  return (await items(request))[0]?.styles[0]?.id
}

async function articleOf(request: APIRequestContext): Promise<string | undefined> {
  const { id } = await larchHalt(request)
  const { rows } = (await (await request.get(`/api/kitchens/${id}/articles?words=tenderloin`)).json()) as ArticleRows
  return rows[0]?.article.id
}

async function lotOf(request: APIRequestContext): Promise<string | undefined> {
  const { id } = await larchHalt(request)
  return ((await (await request.get(`/api/kitchens/${id}/lots?words=duck`)).json()) as LotRow[])[0]?.lot.id
}

const SIZES = [
  [1280, 800],
  [800, 1280],
  [390, 844],
] as const

for (const [name, pathOf] of ROOMS) {
  test(`${name}: axe finds nothing, light or dark, and nothing is cut off at any size`, async ({ page, request }) => {
    await page.emulateMedia({ reducedMotion: 'reduce' })
    await page.goto(await pathOf(request))
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    for (const colorScheme of ['light', 'dark'] as const) {
      await page.emulateMedia({ colorScheme, reducedMotion: 'reduce' })
      const axe = new AxeBuilder({ page })
      // In the dark nothing but the colours is another.
      const { violations } = await (colorScheme === 'light' ? axe : axe.withRules(['color-contrast'])).analyze()
      const faults = violations.map((each) => `${each.id} ${each.nodes.map((node) => node.target).join(' | ')}`)
      expect({ colorScheme, faults }).toEqual({ colorScheme, faults: [] })
    }
    for (const [width, height] of SIZES) {
      await page.setViewportSize({ width, height })
      const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
      expect({ width, overflow: Math.max(0, overflow) }).toEqual({ width, overflow: 0 })
    }
  })
}

test('every target at the bench is at least 64 pixels high, and the weight 72', async ({ page }) => {
  const bench = `/bench/${await rowOf(page.request, 'open')}`
  await page.goto(bench)
  await expect(page.locator('.tile').first()).toBeVisible()
  const heights = await page
    .locator('.tile, .scale .btn, .typed input, .pieces li button, .finish, .bench-heading .btn, .step-moves .btn')
    .evaluateAll((all) => all.map((each) => Math.round(each.getBoundingClientRect().height)))
  expect(heights.length).toBeGreaterThan(10)
  expect(Math.min(...heights)).toBeGreaterThanOrEqual(64)
  const size = await page
    .locator('.scale-weight')
    .evaluate((each) => Number.parseFloat(getComputedStyle(each).fontSize))
  expect(size).toBeGreaterThanOrEqual(72)
})

test('the bench loads less than 250 kB of compressed script, and nothing from elsewhere', async ({ page }) => {
  const bench = `/bench/${await rowOf(page.request, 'open')}`
  const session = await page.context().newCDPSession(page)
  await session.send('Network.enable')
  await session.send('Network.setCacheDisabled', { cacheDisabled: true })
  const scripts = new Set<string>()
  const elsewhere: string[] = []
  let bytes = 0
  session.on('Network.responseReceived', ({ requestId, type, response }) => {
    if (type === 'Script') scripts.add(requestId)
    if (!/^(?:http:\/\/127\.0\.0\.1|data:)/.test(response.url)) elsewhere.push(response.url)
  })
  session.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    if (scripts.has(requestId)) bytes += encodedDataLength
  })
  await page.goto(bench)
  await expect(page.locator('.scale-weight')).toBeVisible()
  await page.waitForTimeout(500)
  expect(elsewhere).toEqual([])
  expect(bytes).toBeGreaterThan(50 * 1024)
  expect(bytes).toBeLessThan(COMPRESSED_LIMIT)
})

test('rooms to come say so honestly; unknown paths and assets are told apart', async ({ page, request }) => {
  await page.goto('/logbook')
  await expect(page.getByText('Not built yet')).toBeVisible()
  await page.goto('/nowhere')
  await expect(page.getByText('There is no such room')).toBeVisible()
  expect((await request.get('/assets/missing.js')).status()).toBe(404)
  await page.goto('/bench/019b76da-a8f2-7000-8003-000000000000')
  await expect(page.getByRole('alert')).toContainText('no such fabrication')
})

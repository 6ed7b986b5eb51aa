import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { expect, test } from './house.ts'
import { fabrications, items } from './kitchen.ts'

const COMPRESSED_LIMIT = 250 * 1024

async function pathsOf(page: Page): Promise<[string, string][]> {
  const rows = await fabrications(page.request)
  const open = rows.find((row) => row.status === 'open')
  const closed = rows.find((row) => row.status === 'closed')
  const style = (await items(page.request))[0]?.styles[0]?.id
  return [
    ['Today', '/'],
    ['Bench, starting', '/bench'],
    ['Bench', `/bench/${open?.id}`],
    ['Verdict', `/verdict/${closed?.id}`],
    ['Guide', '/guide'],
    ['a style', `/guide/${style}`],
    ['a style, changing', `/guide/${style}/change`],
    ['Cautions', '/guide/cautions'],
    ['a blank card', `/card/${style}`],
    ['a card, entering', `/bench/${open?.id}/entry`],
    ['a room to come', '/plan'],
  ]
}

for (const scheme of ['light', 'dark'] as const) {
  test(`no room has a fault that axe finds, ${scheme}`, async ({ page }) => {
    await page.emulateMedia({ colorScheme: scheme, reducedMotion: 'reduce' })
    for (const [name, path] of await pathsOf(page)) {
      await page.goto(path)
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
      const { violations } = await new AxeBuilder({ page }).analyze()
      expect(
        violations.map((each) => `${name}: ${each.id} ${each.nodes.map((node) => node.target).join(' | ')}`),
      ).toEqual([])
    }
  })
}

for (const [width, height] of [
  [1280, 800],
  [800, 1280],
  [390, 844],
] as const) {
  test(`nothing is cut off at ${width} by ${height}`, async ({ page }) => {
    await page.setViewportSize({ width, height })
    for (const [name, path] of await pathsOf(page)) {
      await page.goto(path)
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
      const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
      expect({ name, overflow: Math.max(0, overflow) }).toEqual({ name, overflow: 0 })
    }
  })
}

test('every target at the bench is at least 64 pixels high, and the weight 72', async ({ page }) => {
  const bench = (await pathsOf(page))[2]?.[1] as string
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
  const bench = (await pathsOf(page))[2]?.[1] as string
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

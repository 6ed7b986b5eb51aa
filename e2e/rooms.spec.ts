import { rowOf } from './check-rooms.ts'
import { expect, test } from './house.ts'

const COMPRESSED_LIMIT = 250 * 1024

test('every target at the bench is at least 64 pixels high, and the weight 72', async ({ page }) => {
  const bench = `/bench/${await rowOf(page.request, 'open')}`
  await page.goto(bench)
  await expect(page.locator('.tiles_tile').first()).toBeVisible()
  const heights = await page
    .locator(
      '.tiles_tile, .scale-panel_scale .btn, .scale-panel_typed input, .piece-list_pieces li button, .running_finish, .bench-heading_bench-heading .btn, .step-card_step-moves .btn',
    )
    .evaluateAll((all) => all.map((item) => Math.round(item.getBoundingClientRect().height)))
  expect(heights.length).toBeGreaterThan(10)
  expect(Math.min(...heights)).toBeGreaterThanOrEqual(64)
  const size = await page
    .locator('.scale-panel_scale-weight')
    .evaluate((entry) => Number.parseFloat(getComputedStyle(entry).fontSize))
  expect(size).toBeGreaterThanOrEqual(72)
})

test('the bench loads less than 250 kB of compressed script, and nothing from elsewhere', async ({ page }) => {
  const bench = `/bench/${await rowOf(page.request, 'open')}`
  const session = await page.context().newCDPSession(page)
  await session.send('Network.enable')
  await session.send('Network.setCacheDisabled', { cacheDisabled: true })
  const scripts = new Set<string>()
  const loaded = new Set<string>()
  const elsewhere: string[] = []
  let bytes = 0
  session.on('Network.responseReceived', ({ requestId, type, response }) => {
    if (type === 'Script') scripts.add(requestId)
    if (!/^(?:http:\/\/127\.0\.0\.1|data:)/.test(response.url)) elsewhere.push(response.url)
  })
  // What a script weighs, without what is said of it: `loadingFinished` counts the headers too.
  session.on('Network.dataReceived', ({ requestId, encodedDataLength }) => {
    if (scripts.has(requestId)) bytes += encodedDataLength
  })
  session.on('Network.loadingFinished', ({ requestId }) => loaded.add(requestId))
  await page.goto(bench)
  await expect(page.locator('.scale-panel_scale-weight')).toBeVisible()
  await expect.poll(() => [...scripts].filter((script) => !loaded.has(script))).toEqual([])
  expect(elsewhere).toEqual([])
  expect(bytes).toBeGreaterThan(50 * 1024)
  expect(bytes).toBeLessThan(COMPRESSED_LIMIT)
})

test('unknown paths and assets are told apart, and a tab is called by its room', async ({ page, request }) => {
  await page.goto('/buying/prices')
  await expect(page).toHaveTitle('Buying · Fleam')
  await page.goto('/bench/nothing')
  await expect(page.getByText('There is no such room')).toBeVisible()
  await page.goto('/nowhere')
  await expect(page.getByText('There is no such room')).toBeVisible()
  expect((await request.get('/assets/missing.js')).status()).toBe(404)
  await page.goto('/bench/019b76da-a8f2-7000-8003-000000000000')
  await expect(page.getByRole('alert')).toContainText('no such fabrication')
})

import { readFileSync } from 'node:fs'
import { expect, type Page, test } from '@playwright/test'
import { startBirds, stateOf, tile, typeWeight } from './kitchen.ts'

const WEIGHTS = ['284', '279', '281', '290', '276']
const keptHere = (page: Page) => page.locator('.kept-here')
const sorted = (list: readonly number[]) => [...list].sort((a, b) => a - b)

test('a cut network: what is weighed is kept here, shown so, and stored once when it is back', async ({
  page,
  context,
  request,
}) => {
  const id = await startBirds(page, 6, '12.6 kg')
  await typeWeight(page, WEIGHTS[0] as string)
  await expect.poll(async () => (await stateOf(request, id)).readings.length).toBe(1)
  await context.setOffline(true)
  for (const weight of WEIGHTS.slice(1)) await typeWeight(page, weight)
  await expect(tile(page, 'supremes')).toContainText('5 of 12 pieces')
  await expect(keptHere(page)).toHaveText('4 kept here')
  expect((await stateOf(request, id)).readings).toHaveLength(1)
  await context.setOffline(false)
  await expect(keptHere(page)).toHaveText('', { timeout: 15_000 })
  const { readings } = await stateOf(request, id)
  expect(sorted(readings.map((each) => each.grams))).toEqual(sorted(WEIGHTS.map(Number)))
  await page.reload()
  await expect(tile(page, 'supremes')).toContainText('5 of 12 pieces')
})

test('a tab that dies without a network leaves its readings to the next one', async ({ page, context, request }) => {
  const id = await startBirds(page, 6, '12.6 kg')
  await context.setOffline(true)
  for (const weight of WEIGHTS) await typeWeight(page, weight)
  await expect(keptHere(page)).toHaveText('5 kept here')
  await page.close({ runBeforeUnload: false })
  await context.setOffline(false)
  const next = await context.newPage()
  await next.goto(`/bench/${id}`)
  await expect(tile(next, 'supremes')).toContainText('5 of 12 pieces')
  await expect(keptHere(next)).toHaveText('')
  await expect.poll(async () => (await stateOf(request, id)).readings.length).toBe(5)
})

test('a server that is killed in the middle of weighing comes back with everything', async ({ page, request }) => {
  const id = await startBirds(page, 6, '12.6 kg')
  await typeWeight(page, '284')
  const [, server] = (JSON.parse(readFileSync('.fleam/e2e/running.json', 'utf8')) as { children: number[] }).children
  process.kill(server as number, 'SIGKILL')
  for (const weight of WEIGHTS) await typeWeight(page, weight)
  await expect(tile(page, 'supremes')).toContainText('6 of 12 pieces')
  await expect(keptHere(page)).toHaveText('', { timeout: 30_000 })
  expect((await stateOf(request, id)).readings).toHaveLength(6)
})

test('another device sees the half-done fabrication as it is', async ({ page, browser }) => {
  const id = await startBirds(page, 6, '12.6 kg')
  const other = await (await browser.newContext()).newPage()
  await other.goto(`/bench/${id}`)
  await typeWeight(page, '284')
  await expect(tile(other, 'supremes')).toContainText('1 of 12 pieces', { timeout: 10_000 })
  await typeWeight(other, '279')
  await expect(tile(page, 'supremes')).toContainText('2 of 12 pieces', { timeout: 10_000 })
  await other.context().close()
})

import type { Page } from '@playwright/test'
import { runningOn } from '../tools/running.ts'
import { expect, test } from './house.ts'
import { readingsOf, startBirds, stateOf, tile, typeWeight } from './kitchen.ts'

const WEIGHTS = ['284', '279', '281', '290', '276']
const keptHere = (page: Page) => page.locator('.kept-here')
/** What the page wrote down to be readable without a network. */
const rememberedBy = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<string>((resolve, reject) => {
        const opening = indexedDB.open('fleam-cache')
        opening.onerror = () => reject(opening.error)
        opening.onsuccess = () => {
          const reading = opening.result.transaction('texts').objectStore('texts').get('queries')
          reading.onsuccess = () => resolve(reading.result ?? '')
          reading.onerror = () => reject(reading.error)
        }
      }),
  )
/** Six birds, of which the supremes are weighed. */
async function startSupremes(page: Page): Promise<string> {
  const id = await startBirds(page, 6, '12.6 kg')
  await tile(page, 'supremes').click()
  return id
}
const sorted = (list: readonly number[]) => [...list].sort((a, b) => a - b)

test('a cut network: what is weighed is kept here, shown so, and stored once when it is back', async ({
  page,
  context,
  request,
}) => {
  const id = await startSupremes(page)
  await typeWeight(page, WEIGHTS[0] as string)
  await expect.poll(async () => readingsOf(await stateOf(request, id)).length).toBe(1)
  await context.setOffline(true)
  for (const weight of WEIGHTS.slice(1)) await typeWeight(page, weight)
  await expect(tile(page, 'supremes')).toContainText('5 of 12 pieces')
  await expect(keptHere(page)).toHaveText('4 kept here')
  expect(readingsOf(await stateOf(request, id))).toHaveLength(1)
  await context.setOffline(false)
  await expect(keptHere(page)).toHaveText('')
  const readings = readingsOf(await stateOf(request, id))
  expect(sorted(readings.map((reading) => reading.grams))).toEqual(sorted(WEIGHTS.map(Number)))
  await page.reload()
  await expect(tile(page, 'supremes')).toContainText('5 of 12 pieces')
})

test('a tab that dies without a network leaves its readings to the next one', async ({ page, context, request }) => {
  const id = await startSupremes(page)
  await context.setOffline(true)
  for (const weight of WEIGHTS) await typeWeight(page, weight)
  await expect(keptHere(page)).toHaveText('5 kept here')
  await page.close({ runBeforeUnload: false })
  await context.setOffline(false)
  const next = await context.newPage()
  await next.goto(`/bench/${id}`)
  await expect(tile(next, 'supremes')).toContainText('5 of 12 pieces')
  await expect(keptHere(next)).toHaveText('')
  await expect.poll(async () => readingsOf(await stateOf(request, id)).length).toBe(5)
})

test('a server that is killed in the middle of weighing comes back with everything', async ({ page, request, own }) => {
  const id = await startSupremes(page)
  await typeWeight(page, '284')
  const server = runningOn(own.dataFolder).programs.find(({ name }) => name === 'server')
  process.kill(server?.pid as number, 'SIGKILL')
  for (const weight of WEIGHTS) await typeWeight(page, weight)
  await expect(tile(page, 'supremes')).toContainText('6 of 12 pieces')
  await expect(keptHere(page)).toHaveText('')
  expect(readingsOf(await stateOf(request, id))).toHaveLength(6)
})

test('two minutes without a network, a dead tab and a page that opens offline: every reading is there once', async ({
  page,
  context,
  request,
}) => {
  const id = await startBirds(page, 30, '63 kg')
  // The page has been visited once the device keeps it.
  await page.evaluate(() => navigator.serviceWorker.ready)
  await typeWeight(page, '285')
  await expect.poll(async () => readingsOf(await stateOf(request, id)).length).toBe(1)
  await expect.poll(() => rememberedBy(page)).toContain(id)
  await page.clock.install()
  await context.setOffline(true)
  const weights = Array.from({ length: 40 }, (_, index) => String(260 + index))
  for (const weight of weights) {
    await typeWeight(page, weight)
    await page.clock.runFor(3_000)
  }
  await expect(keptHere(page)).toHaveText('40 kept here')
  await page.close({ runBeforeUnload: false })

  const next = await context.newPage()
  await next.goto(`/bench/${id}`)
  await expect(next.locator('.kept-here')).toHaveText('40 kept here')
  await expect(tile(next, 'supremes')).toContainText('41 of 60 pieces')
  await typeWeight(next, '310')
  await context.setOffline(false)
  await expect(keptHere(next)).toHaveText('')
  const readings = readingsOf(await stateOf(request, id))
  expect(sorted(readings.map((reading) => reading.grams))).toEqual(sorted([285, ...weights.map(Number), 310]))
  const [first, last] = [readings[1], readings.at(-2)]
  expect(Date.parse(last?.takenAt as string) - Date.parse(first?.takenAt as string)).toBeGreaterThan(110_000)
})

test('a tab that dies offline as soon as the device keeps the page comes back, and takes the next weight', async ({
  page,
  browser,
}) => {
  const id = await startSupremes(page)
  const context = await browser.newContext()
  const first = await context.newPage()
  await first.goto(`/bench/${id}`)
  await expect(tile(first, 'supremes')).toBeVisible()
  await first.evaluate(() => navigator.serviceWorker.ready)
  await context.setOffline(true)
  await first.close({ runBeforeUnload: false })

  const next = await context.newPage()
  await next.goto(`/bench/${id}`)
  await expect(tile(next, 'supremes')).toContainText('0 of 12 pieces')
  await typeWeight(next, '284')
  await expect(tile(next, 'supremes')).toContainText('1 of 12 pieces')
  await context.close()
})

test('another device sees every reading, move and clock by itself', async ({ page, browser }) => {
  const id = await startSupremes(page)
  const other = await (await browser.newContext()).newPage()
  const follows = other.waitForResponse(/\/stream$/)
  await other.goto(`/bench/${id}`)
  await expect(tile(other, 'supremes')).toBeVisible()
  await follows
  await typeWeight(page, '284')
  await expect(tile(other, 'supremes')).toContainText('1 of 12 pieces')
  await typeWeight(other, '279')
  await expect(tile(page, 'supremes')).toContainText('2 of 12 pieces')
  await page.getByRole('button', { name: /^284/ }).click()
  await tile(page, 'drumsticks').click()
  await expect(tile(other, 'drumsticks')).toContainText('284')
  await page.getByRole('button', { name: /start the clock/ }).click()
  await expect(other.getByRole('button', { name: /pause the clock/ })).toBeVisible()
  // What another cook weighed is theirs to take back.
  await other.getByRole('button', { name: 'Undo' }).click()
  await expect(other.locator('.bench_bench-said')).toContainText('Undone: 279')
  await expect(other.getByRole('button', { name: 'Undo' })).toBeDisabled()
  await other.context().close()
})

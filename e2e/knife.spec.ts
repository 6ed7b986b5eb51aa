import { addressOf } from '@fleam/contract/client'
import { startOperations } from '@fleam/contract/new-records/operations'
import { platingOperations } from '@fleam/contract/plating/operations'
import type { APIRequestContext } from '@playwright/test'
import { expect, test } from './house.ts'
import { callBy, items, larchHalt, tile, typeWeight } from './kitchen.ts'

test('a loin is planned on the board, a line dragged, and the cuts follow the scale', async ({ page, browser }) => {
  await page.goto('/knife')
  const board = page.getByRole('row', { name: /^on the board/ })
  await expect(board).toContainText('8 centre steak')
  const line = page.getByRole('slider', { name: 'Knife line' }).nth(2)
  const before = Number(await line.getAttribute('aria-valuenow'))
  const grip = await line.locator('circle').boundingBox()
  if (!grip) throw new Error('No knife line')
  const [x, y] = [grip.x + grip.width / 2, grip.y + grip.height / 2]
  await page.mouse.move(x, y)
  await page.mouse.down()
  await page.mouse.move(x + 60, y, { steps: 12 })
  await page.mouse.up()
  await expect.poll(async () => Number(await line.getAttribute('aria-valuenow'))).toBeGreaterThan(before + 15)
  await expect(board).not.toContainText('8 centre steak')
  await page.getByRole('button', { name: 'Lay out most money' }).click()
  await expect(board).toContainText('8 centre steak')
  const loop = page.getByRole('region', { name: 'Next cut' })
  await loop.getByLabel('It weighs').fill('214')
  await loop.getByRole('button', { name: 'Cut, and plan the rest' }).click()
  await expect(loop.getByRole('listitem')).toContainText('centre steak 214 g')
  await expect(board).toContainText('7 centre steak')
  await page.reload()
  await expect(page.getByRole('region', { name: 'Next cut' }).getByRole('listitem')).toHaveCount(1)
  // What was weighed here teaches another device how far off a plan may be.
  const elsewhere = await (await browser.newContext()).newPage()
  const off = elsewhere.getByText(/a portion may be off by/)
  await expect(async () => {
    await elsewhere.goto(new URL('/knife', page.url()).href)
    await expect(off).toBeVisible()
    await expect(off).not.toContainText('12.0', { timeout: 2000 })
  }).toPass({ timeout: 30_000 })
  await elsewhere.context().close()
})

test('plates are matched in the page by the solver, with no other machine asked', async ({ page }) => {
  const asked: string[] = []
  page.on('request', (request) => asked.push(new URL(request.url()).pathname))
  await page.goto('/knife/plates')
  const field = page.getByLabel('It weighs')
  for (const weight of [77, 120, 108, 104, 101, 118, 103, 93, 95, 116, 99]) {
    await field.fill(String(weight))
    await page.getByRole('button', { name: /^Take it/ }).click()
  }
  await expect(page.getByText('No better way is possible.')).toBeVisible({ timeout: 20_000 })
  await expect(page.getByRole('heading', { name: '11 weighed' })).toBeVisible()
  expect(asked.filter((path) => path.startsWith(addressOf(platingOperations.matchPlates, {})))).toEqual([])
})

test('on paper the plan is alone, and its strip is one to one', async ({ page }) => {
  await page.goto('/knife')
  await expect(page.getByRole('row', { name: /^on the board/ })).toContainText('centre steak')
  await page.emulateMedia({ media: 'print' })
  await expect(page.locator('.knife_knife-fields').first()).toBeHidden()
  await expect(page.getByRole('region', { name: 'Next cut' })).toBeHidden()
  await expect(page.locator('.knife_sheet-facts')).toContainText('2,100 g, 480 mm, known by weight and length')
  const bar = await page.locator('.one-to-one_one-to-one svg rect').boundingBox()
  // 96 pixels an inch, as a printer counts them.
  expect(((bar?.width ?? 0) / 96) * 25.4).toBeCloseTo(100, 0)
})

test('a rack is graded, and each blade says where it comes out', async ({ page }) => {
  await page.goto('/knife/racks')
  await expect(page.getByText(/heaviest less lightest/)).toContainText('22 g, cut straight 52 g')
  await expect(page.getByRole('img', { name: 'Rack 1 with 3 cuts' })).toBeVisible()
  await page.getByRole('listitem').filter({ hasText: 'after rib 4' }).getByRole('button').click()
  await expect(page.getByRole('tooltip')).toContainText('a rib and its gap')
})

/** A tenderloin for steaks throughout, begun at the bench. */
async function startLoin(request: APIRequestContext, id: string): Promise<void> {
  const kitchen = await larchHalt(request)
  const loin = (await items(request)).find((item) => item.name.startsWith('Beef tenderloin'))
  const style = loin?.styles.find((style) => style.name === 'Steaks throughout')
  await callBy(request)(startOperations.startFabrication, {
    kitchenId: kitchen.id,
    body: {
      id,
      styleId: style?.id ?? '',
      units: 1,
      purchase: { price: { amount: 40, per: 'kg' }, invoiceWeight: 2600 },
      cookId: null,
      supplierId: null,
      lot: null,
      date: '2026-11-25',
      startedAt: new Date().toISOString(),
    },
  })
}

test('at the bench a weighed portion answers with the next cut', async ({ page, request }) => {
  const id = '019b76da-a8f2-7000-8003-0000000000c1'
  await startLoin(request, id)
  await page.goto(`/bench/${id}`)
  const next = page.getByRole('region', { name: 'Next cut' })
  await next.getByRole('button', { name: 'Where to cut?' }).click()
  await expect(next.locator('strong')).toHaveText(/^\d+$/)
  const first = await next.locator('strong').textContent()
  await tile(page, 'steaks').click()
  await typeWeight(page, '231')
  await expect(next.locator('strong')).not.toHaveText(first as string)
  await expect(next).toContainText('steaks')
})

test('at the bench each piece gets the number of its plate as it is weighed, or all are matched at the end', async ({
  page,
  request,
}) => {
  const id = '019b76da-a8f2-7000-8003-0000000000c2'
  await startLoin(request, id)
  await page.goto(`/bench/${id}`)
  await tile(page, 'steaks').click()
  await page.getByRole('button', { name: 'Number the plates' }).click()
  const plates = page.getByRole('region', { name: 'Plates' })
  for (const grams of ['215', '207', '222']) await typeWeight(page, grams)
  await expect(plates.locator('strong')).toHaveText(/^\d+$/)
  await page.reload()
  await expect(page.getByText(/plate \d/).first()).toBeVisible()
  await plates.getByRole('button', { name: 'Change' }).click()
  await plates.getByLabel('A piece gets its number').selectOption('at-the-end')
  await plates.getByRole('button', { name: 'Done' }).click()
  await plates.getByRole('button', { name: 'Match all 3 now' }).click()
  await expect(plates).toContainText('whole of')
  await expect(page.getByText(/plate \d/).first()).toBeVisible()
})

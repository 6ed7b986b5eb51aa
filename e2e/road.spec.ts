import type { Appraisal } from '@fleam/core'
import { expect, type Page, test } from '@playwright/test'
import { larchHalt, nextOnScale, putOn, startBirds, stateOf, tile } from './kitchen.ts'

const WHOLE_PILES: readonly [string, number][] = [
  ['thighs, boneless', 1640],
  ['drumsticks', 1700],
  ['wing tips and flats', 1010],
  ['bones and back', 3900],
  ['fat', 500],
  ['bin', 250],
]

/** Weighs a pile with one touch of its tile. */
async function weigh(page: Page, pile: string, grams: number): Promise<void> {
  await nextOnScale(page, grams)
  await tile(page, pile).click()
  await expect(page.locator('.bench-said')).toContainText(pile)
}

test.beforeEach(({ request }) => putOn(request, 0))

test('six chickens from the invoice to the verdict, one touch for each weighing', async ({ page, request }) => {
  let touches = 0
  const id = await startBirds(page, 6, '12.6 kg')
  touches += 2 // the weight of the invoice, and Start; the rest is as last time
  const supremes = [281, 276, 290, 285, 279, 300, 270, 288, 292, 283, 277, 286]
  for (const grams of supremes) {
    await weigh(page, 'supremes', grams)
    touches++
  }
  await expect(tile(page, 'supremes')).toContainText('3,407')
  await expect(tile(page, 'supremes')).toContainText('12 of 12 pieces')
  for (const [pile, grams] of WHOLE_PILES) {
    await weigh(page, pile, grams)
    touches++
  }
  await page.getByRole('button', { name: 'Finish' }).click()
  touches++
  await page.waitForURL(/\/verdict\//)
  expect(touches).toBe(supremes.length + WHOLE_PILES.length + 3)

  // Every reading is stored once, and the sentence says what the core says of them.
  const { readings, record } = await stateOf(request, id)
  expect(readings.map((each) => each.grams)).toEqual([...supremes, ...WHOLE_PILES.map(([, grams]) => grams)])
  expect(record.status).toBe('closed')
  const kitchen = await larchHalt(request)
  const document = await (await request.get(`/api/kitchens/${kitchen.id}/fabrications/${id}/document.json`)).json()
  const appraisal = (await (await request.post('/api/appraise', { data: document })).json()) as Appraisal
  const [comparison] = appraisal.comparisons
  const sentence = page.getByRole('heading', { level: 1 })
  await expect(sentence).toContainText(`costs €${comparison?.costPerPortion?.toFixed(2)} a portion`)
  await expect(sentence).toContainText(
    `buying them ready €${comparison?.buyPerPortionSameWeight?.toFixed(2)}: ${comparison?.verdict}`,
  )
  await expect(sentence).toContainText(`€${comparison?.breakEven.apPricePerKg?.toFixed(2)}`)
})

test('one bird takes at most twenty actions', async ({ page }) => {
  await startBirds(page, 1, '2100')
  let actions = 2
  const piles: [string, number][] = [
    ['supremes', 284],
    ['supremes', 279],
    ...WHOLE_PILES.map(([pile, grams]) => [pile, Math.round(grams / 6)] as [string, number]),
  ]
  for (const [pile, grams] of piles) {
    await weigh(page, pile, grams)
    actions++
  }
  await page.getByRole('button', { name: 'Finish' }).click()
  actions++
  await expect(page.getByRole('heading', { level: 1 })).toContainText('a portion')
  expect(actions).toBeLessThanOrEqual(20)
})

test('a load is taken once, and undo takes it back', async ({ page, request }) => {
  const id = await startBirds(page, 1, '2100')
  await weigh(page, 'supremes', 284)
  await expect(page.locator('.scale-state')).toContainText('taken: lift it off')
  await page.locator('body').press('Enter')
  await expect(page.locator('.bench-said')).toContainText('taken already')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(tile(page, 'supremes')).toContainText('0 of 2 pieces')
  await expect(page.locator('.scale-state')).toContainText('settled')
  await expect.poll(async () => (await stateOf(request, id)).voids.length).toBe(1)
  expect((await stateOf(request, id)).readings).toHaveLength(1)
})

test('everything at the bench works by keys alone', async ({ page }) => {
  await startBirds(page, 1, '2100')
  await nextOnScale(page, 284)
  await page.keyboard.press('1')
  await expect(tile(page, 'supremes')).toContainText('284')
  await nextOnScale(page, 279)
  await page.locator('body').press('Enter')
  await expect(tile(page, 'supremes')).toContainText('2 of 2 pieces')
  await page.locator('body').press('n')
  await expect(tile(page, 'thighs')).toHaveAttribute('aria-pressed', 'true')
  await page.locator('body').press('u')
  await expect(tile(page, 'supremes')).toContainText('1 of 2 pieces')
  await page.locator('body').press('t')
  await expect(page.locator('.scale-state')).toContainText('tare 279')
  await page.locator('body').press('?')
  await expect(page.getByRole('dialog')).toContainText('next pile')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toBeHidden()
  await page.keyboard.press('g')
  await page.keyboard.press('t')
  await expect(page.getByRole('heading', { name: 'Latest records' })).toBeVisible()
  await page.request.post('/api/scale/commands', { data: { command: 'zero' } })
})

test('the stand-in panel puts 281 g on and lifts it off', async ({ page }) => {
  await startBirds(page, 1, '2100')
  const panel = page.getByRole('region', { name: 'Stand-in for the scale' })
  await expect(panel).toContainText('simulated')
  await panel.getByLabel('Grams to put on').fill('281')
  await panel.getByRole('button', { name: 'Put on' }).click()
  await expect(page.locator('.scale-weight')).toHaveText('281\u00a0g')
  await panel.getByRole('button', { name: 'Lift off' }).click()
  await expect(page.locator('.scale-weight')).toHaveText('0\u00a0g')
})

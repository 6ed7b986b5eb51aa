import { appraisalOperations } from '@fleam/contract/appraisal/operations'
import { fabricationOperations } from '@fleam/contract/fabrication/operations'
import { invoicePrice } from '@fleam/core/costing'
import type { Page } from '@playwright/test'
import { expect, test } from './house.ts'
import {
  callBy,
  larchHalt,
  nextOnScale,
  putOn,
  readingsOf,
  type StartRequest,
  shownGrams,
  startAt,
  startBirds,
  stateOf,
  tile,
  zeroScale,
} from './kitchen.ts'

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
  await expect(page.locator('.bench_bench-said')).toContainText(pile)
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
  const state = await stateOf(request, id)
  const { record } = state
  const readings = readingsOf(state)
  expect(readings.map((reading) => reading.grams)).toEqual([...supremes, ...WHOLE_PILES.map(([, grams]) => grams)])
  expect(record.status).toBe('closed')
  const kitchen = await larchHalt(request)
  const call = callBy(request)
  const of = { kitchenId: kitchen.id, fabricationId: id }
  const document = await call(fabricationOperations.exportDocument, of)
  const appraisal = await call(appraisalOperations.appraise, { body: document })
  const [comparison] = appraisal.comparisons
  const sentence = page.getByRole('heading', { level: 1 })
  await expect(sentence).toContainText(`costs €${comparison?.costPerPortion?.toFixed(2)} a portion`)
  await expect(sentence).toContainText(
    `buying them ready €${comparison?.buyPerPortionSameWeight?.toFixed(2)}: ${comparison?.verdict}`,
  )
  const turning = invoicePrice(document.purchase, comparison?.breakEven.apPricePerKg ?? null)
  await expect(sentence).toContainText(`costs more than €${turning?.perKg?.toFixed(2)}`)
})

/** One unit of each kind of animal: what the scale shows for each weighing, in the order of the steps. */
const ROADS: readonly { what: string; start: StartRequest; weights: readonly number[]; most: number }[] = [
  {
    what: 'a chicken',
    start: { item: 'Chicken, eviscerated', style: 'Supremes and boneless thighs', invoice: '2100', price: '3.1' },
    weights: [284, 273, 168, 284, 283, 650, 84, 42],
    most: 11,
  },
  {
    what: 'a fillet',
    start: { item: 'Turbot, gutted', style: 'Quarter fillets, skinless', invoice: '2000', price: '19' },
    weights: [120, 172, 168, 171, 169, 60, 1100, 18],
    most: 11,
  },
  {
    what: 'a loin',
    start: { item: 'Beef tenderloin, peeled, side muscle on', invoice: '2600', price: '32' },
    weights: [24, 156, 248, 494, 214, 210, 216, 213, 212, 234, 338, 12],
    most: 15,
  },
  {
    what: 'a rack',
    start: { item: 'Lamb rack, eight ribs, chined, cap on', style: 'Cutlets', invoice: '1050', price: '24' },
    weights: [32, 116, 116, 137, 82, 80, 79, 78, 78, 79, 77, 77, 9],
    most: 16,
  },
]

for (const { what, start, weights, most } of ROADS) {
  test(`${what} from start to verdict, the steps leading, one action a weighing`, async ({ page, request }) => {
    const id = await startAt(page, start)
    // What only the kitchen can know, and Start: item and style stand as last time in daily work.
    let actions = 2
    for (const grams of weights) {
      await nextOnScale(page, grams)
      // The bench knows which pile comes next: the same key takes every weight.
      await page.locator('body').press('Enter')
      await expect(page.locator('.bench_bench-said')).toContainText(`Took ${shownGrams(grams)}`)
      actions++
    }
    await page.getByRole('button', { name: 'Finish' }).click()
    actions++
    await page.waitForURL(/\/verdict\//)
    expect(actions).toBe(most)
    expect(actions).toBeLessThanOrEqual(20)
    const state = await stateOf(request, id)
    const { record } = state
    const readings = readingsOf(state)
    expect(readings.map((reading) => reading.grams)).toEqual(weights)
    const weighed = new Set(readings.map((reading) => reading.pileId))
    expect(weighed.size).toBe(record.piles.length)
    // Each weight went where the style expects it: nothing had to be explained at the end.
    expect(record).toMatchObject({ status: 'closed', causes: [] })
  })
}

test('a load is taken once, and undo takes it back', async ({ page, request }) => {
  const id = await startBirds(page, 1, '2100')
  await weigh(page, 'supremes', 284)
  await expect(page.locator('.scale-panel_scale-state')).toContainText('taken: lift it off')
  await page.locator('body').press('Enter')
  await expect(page.locator('.bench_bench-said')).toContainText('taken already')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(tile(page, 'supremes')).toContainText('0 of 2 pieces')
  await expect(page.locator('.scale-panel_scale-state')).toContainText('settled')
  await expect
    .poll(async () => (await stateOf(request, id)).facts.filter((fact) => fact.kind === 'void').length)
    .toBe(1)
  expect(readingsOf(await stateOf(request, id))).toHaveLength(1)
})

test('everything at the bench works by keys alone', async ({ page }) => {
  const id = await startBirds(page, 1, '2100')
  await nextOnScale(page, 284)
  await page.keyboard.press('1')
  await expect(tile(page, 'supremes')).toContainText('284')
  await nextOnScale(page, 279)
  await page.locator('body').press('Enter')
  await expect(tile(page, 'supremes')).toContainText('2 of 2 pieces')
  await page.locator('body').press('u')
  await expect(tile(page, 'supremes')).toContainText('1 of 2 pieces')
  await page.locator('body').press('t')
  await expect(page.locator('.scale-panel_scale-state')).toContainText('tare 279')
  await page.locator('body').press('?')
  await expect(page.getByRole('dialog')).toContainText('next step')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toBeHidden()
  const step = page.getByRole('region', { name: 'Step' })
  const before = await step.locator('.step-card_step-place').textContent()
  await page.locator('body').press('n')
  await expect(step.locator('.step-card_step-place')).not.toHaveText(before as string)
  await page.keyboard.press('g')
  await page.keyboard.press('t')
  await expect(page.getByRole('heading', { name: 'Latest records' })).toBeVisible()
  await zeroScale(page.request, id)
})

test('a whole bird by the number pad alone, with a cause named at the end', async ({ page, request }) => {
  const id = await startBirds(page, 1, '2100')
  const pad = (key: string) => page.keyboard.press(key)
  const step = page.locator('.step-card_step-place')
  await pad('NumpadAdd')
  await expect(step).toContainText('Step 2 of 9')
  await pad('NumpadDivide')
  await expect(step).toContainText('Step 1 of 9')
  // Too little comes off for supremes, and much stays on the bones: that is asked about.
  for (const grams of [84, 284, 273, 168, 240, 241, 735]) {
    await nextOnScale(page, grams)
    await pad('NumpadEnter')
    await expect(page.locator('.bench_bench-said')).toContainText(`Took ${shownGrams(grams)}`)
  }
  await pad('NumpadSubtract')
  await expect(page.locator('.bench_bench-said')).toContainText('Undone')
  await pad('NumpadEnter')
  await pad('NumpadMultiply')
  await page.keyboard.type('42')
  await pad('NumpadEnter')
  await expect(tile(page, 'bin')).toContainText('42')
  await pad('Numpad0')
  await expect(page.locator('.scale-panel_scale-state')).toContainText('tare 735')
  await pad('NumpadDecimal')
  const asked = page.getByRole('dialog', { name: 'What happened here?' })
  await expect(asked).toContainText('Less supremes than expected')
  await pad('Numpad1')
  await expect(asked.getByRole('button', { name: 'meat left on carcass or frame' }).first()).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  await asked.getByRole('button', { name: 'Keep and finish' }).focus()
  await pad('NumpadEnter')
  await page.waitForURL(/\/verdict\//)
  const { record } = await stateOf(request, id)
  const pileId = record.piles.find((pile) => pile.name === 'supremes')?.id
  expect(record.causes).toEqual([{ pileId, cause: 'meat-on-bones', isLasting: false }])
  await expect(page.locator('.verdict_verdict').getByText('meat left on carcass or frame')).toBeVisible()
  await zeroScale(page.request, id)
})

test('the stand-in panel puts 281 g on and lifts it off', async ({ page }) => {
  await startBirds(page, 1, '2100')
  const panel = page.getByRole('region', { name: 'Stand-in for the scale' })
  await expect(panel).toContainText('simulated')
  await panel.getByLabel('Grams to put on').fill('281')
  await panel.getByRole('button', { name: 'Put on' }).click()
  await expect(page.locator('.scale-panel_scale-weight')).toHaveText('281\u00a0g')
  await panel.getByRole('button', { name: 'Lift off' }).click()
  await expect(page.locator('.scale-panel_scale-weight')).toHaveText('0\u00a0g')
})

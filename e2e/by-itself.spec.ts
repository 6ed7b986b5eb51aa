import { expect, test } from './house.ts'
import { putOn, readingsOf, startBirds, stateOf, tile, typeWeight } from './kitchen.ts'

test.beforeEach(({ request }) => putOn(request, 0))
test.afterEach(({ request }) => putOn(request, 0))

test('a settled load is taken by itself when it changes, undo leaves it alone, and a doubt is asked', async ({
  page,
  request,
}) => {
  await page.clock.install()
  await page.addInitScript(() => {
    const spoken: string[] = []
    const voice = { cancel: () => {}, speak: (words: { text: string }) => spoken.push(words.text) }
    Object.defineProperty(window, 'spoken', { value: spoken })
    Object.defineProperty(window, 'speechSynthesis', { value: voice })
  })
  const id = await startBirds(page, 6, '12.6 kg')
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await page.getByLabel('Take by itself').check()
  await page.getByLabel('Voice').check()
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click()
  await page.keyboard.press('1')
  await putOn(request, 281)
  await expect(tile(page, 'supremes')).toContainText('1 of 12 pieces')
  // Another piece beside it: what was added counts.
  await putOn(request, 560)
  await expect(tile(page, 'supremes')).toContainText('2 of 12 pieces')
  await expect(page.getByRole('button', { name: /^279/ })).toBeVisible()
  await page.keyboard.press('u')
  await expect(tile(page, 'supremes')).toContainText('1 of 12 pieces')
  await page.clock.runFor(2_000)
  await expect(tile(page, 'supremes')).toContainText('1 of 12 pieces')
  await putOn(request, 0)
  await putOn(request, 220)
  await expect(tile(page, 'supremes')).toContainText('2 of 12 pieces')
  expect(await page.evaluate('window.spoken')).toEqual(['taken', 'taken', 'too light'])
  await expect
    .poll(async () => readingsOf(await stateOf(request, id)).map((entry) => entry.grams))
    .toEqual([281, 279, 220])
})

test('a weight that looks like another pile is asked about, and one touch puts it there', async ({ page, request }) => {
  await startBirds(page, 1, '2100')
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await page.getByLabel('Take by itself').check()
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click()
  await putOn(request, 655)
  await expect(page.locator('.bench_bench-said')).toContainText('Which pile? It looks like bones and back.')
  await expect(tile(page, 'bones and back')).toContainText('looks like one of these')
  await page.locator('body').press('Enter')
  await expect(tile(page, 'bones and back')).toContainText('655')
})

test('what looks wrong is asked about at once, and weighing goes on', async ({ page }) => {
  await startBirds(page, 6, '12.6 kg')
  await page.keyboard.press('1')
  const question = page.getByRole('status', { name: 'Question' })
  await typeWeight(page, '617')
  await expect(question).toContainText('pounds for kilos?')
  await typeWeight(page, '281')
  await expect(tile(page, 'supremes')).toContainText('2 of 12 pieces')
  await question.getByRole('button', { name: 'Delete this weight' }).click()
  await expect(tile(page, 'supremes')).toContainText('1 of 12 pieces')
  await expect(question).toBeHidden()
  await typeWeight(page, '14 kg')
  await expect(question).toContainText('is more than the whole')
  await question.getByRole('button', { name: 'It is right' }).click()
  await expect(question).toContainText('Is a weight or a unit wrong?')
})

test('clocks of the cooks become the labour of the record', async ({ page, request }) => {
  await page.clock.install()
  const id = await startBirds(page, 1, '2100')
  await page.getByRole('button', { name: /start the clock/ }).click()
  await page.clock.runFor(12.5 * 60_000)
  await expect(page.getByRole('button', { name: /pause the clock/ })).toContainText('12 min')
  await expect(page.getByRole('timer')).toContainText('Out of the fridge 12 min')
  await page.clock.runFor(20 * 60_000)
  await expect(page.getByRole('timer')).toContainText('over: back now')
  await page.getByRole('button', { name: 'Back in the fridge' }).click()
  await expect(page.getByRole('timer')).toContainText('In the fridge')
  await typeWeight(page, '2090')
  await page.getByRole('button', { name: 'Finish' }).click()
  // Three times what was expected is asked about.
  await page.getByRole('button', { name: /^Use the clock/ }).click()
  await page.getByRole('button', { name: 'Keep and finish' }).click()
  await page.waitForURL(/\/verdict\//)
  const { record } = await stateOf(request, id)
  expect(record.labour).toHaveLength(1)
  expect(record.labour[0]?.minutes).toBeGreaterThan(32)
  expect(record.labour[0]?.minutes).toBeLessThan(34)
})

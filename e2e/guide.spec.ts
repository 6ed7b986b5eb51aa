import { readFileSync } from 'node:fs'
import { expect, test } from './house.ts'
import { items, putOn, startAt } from './kitchen.ts'

test('a style is copied, changed, used at the bench, archived, exported and imported', async ({ page, request }) => {
  await page.goto('/guide')
  await page.getByRole('link', { name: 'Eight bone-in pieces' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('eight bone-in pieces')
  await page.getByRole('button', { name: 'Copy it' }).click()
  await page.waitForURL(/\/change$/)
  const name = 'Eight pieces, ours'
  await page.getByLabel('Name', { exact: true }).first().fill('')
  await page.getByRole('button', { name: 'Save the style' }).click()
  await expect(page.getByRole('alert')).toContainText('nothing is saved yet')
  await expect(page.getByText('Say it here.')).toBeVisible()
  await page.getByLabel('Name', { exact: true }).first().fill(name)
  await page.getByLabel('Share of the whole, %').first().fill('40')
  await expect(page.getByRole('alert')).toContainText('more than the whole')
  await page.getByLabel('Share of the whole, %').first().fill('32')
  await page.getByRole('button', { name: 'Take the wings off: earlier' }).click()
  // A step is also drawn to its place, by hand or by the keys.
  const grip = page.getByRole('button', { name: 'Drag Take the wings off' })
  await grip.focus()
  const heard = page.locator('[id^="DndLiveRegion"]')
  await page.keyboard.press('Space')
  await expect(heard).toContainText('Take the wings off is at place 3 of 7')
  await page.keyboard.press('ArrowDown')
  await expect(heard).toContainText('is at place 4 of 7')
  await page.keyboard.press('Space')
  await expect(page.locator('.steps-editor_steps-editor summary').nth(3)).toContainText('4. Take the wings off')
  await page.getByRole('button', { name: 'Take the wings off: earlier' }).click()
  await page.getByText('4. Part thigh and drumstick').click()
  await page.getByLabel('Done when').nth(3).fill('It goes through like butter.')
  await page.getByRole('button', { name: 'Save the style' }).click()
  await page.waitForURL(/\/guide\/[0-9a-f-]{36}$/)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('eight pieces, ours')
  const own = (await items(request)).flatMap((item) => item.styles).find((style) => style.name === name)
  expect(own?.piles[0]?.expectedShare).toBeCloseTo(0.32, 9)
  expect(own?.steps.map((step) => step.id)).toEqual([
    'dry',
    'legs',
    'wings',
    'divide',
    'split',
    'carcass',
    'clean-down',
  ])

  await startAt(page, { item: 'Chicken, eviscerated', style: name, invoice: '2100', price: '3.1' })
  await page.getByRole('button', { name: 'All steps' }).click()
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /Part thigh and drumstick/ })
    .click()
  await expect(page.getByRole('region', { name: 'Step' })).toContainText('It goes through like butter.')

  await page.goto(`/guide/${own?.id}`)
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Export' }).click(),
  ])
  const file = readFileSync(await download.path(), 'utf8')
  expect(JSON.parse(file)).toMatchObject({ format: 'fleam/style', version: 1, style: { name } })
  await page.getByRole('button', { name: 'Archive it' }).click()
  await expect(page.getByRole('button', { name: 'Use it again' })).toBeVisible()
  await page.goto('/guide')
  await expect(page.getByRole('link', { name })).toHaveCount(0)
  await page
    .getByLabel('Cut style')
    .setInputFiles({ name: 'style.json', mimeType: 'application/json', buffer: Buffer.from(file) })
  await page.waitForURL(/\/guide\/[0-9a-f-]{36}$/)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('eight pieces, ours (2)')
  await page.goto('/guide')
  await page
    .getByLabel('Cut style')
    .setInputFiles({ name: 'half.json', mimeType: 'application/json', buffer: Buffer.from(file.slice(0, 99)) })
  await expect(page.getByRole('alert')).toContainText('half.json is not whole JSON')
})

test('a stale style is refused and what was typed stays', async ({ page, request }) => {
  const style = (await items(request)).flatMap((item) => item.styles).find((entry) => entry.name === 'Spatchcock')
  await page.goto(`/guide/${style?.id}/change`)
  await page.getByLabel('Minutes for one').fill('7')
  const elsewhere = await page.context().newPage()
  await elsewhere.goto(`/guide/${style?.id}/change`)
  await elsewhere.getByLabel('Minutes for one').fill('5')
  await elsewhere.getByRole('button', { name: 'Save the style' }).click()
  await elsewhere.waitForURL(/\/guide\/[0-9a-f-]{36}$/)
  await page.getByRole('button', { name: 'Save the style' }).click()
  await expect(page.getByRole('alert')).toContainText('Somebody changed it meanwhile')
  await expect(page.getByLabel('Minutes for one')).toHaveValue('7')
})

test('a caution of the kitchen’s own stands at the bench with its reason, and sets the clock', async ({ page }) => {
  await page.goto('/guide/cautions')
  await page.getByRole('button', { name: 'Our plan says otherwise: Keep it at or below 5' }).click()
  await page.getByLabel('As our plan has it').fill('Back in the cold within 20 minutes.')
  await page.getByLabel('Why').fill('plan of this autumn')
  await page.getByLabel('Minutes out of the cold in all').fill('60')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('Our own plan, for everything in this kitchen: plan of this autumn')).toBeVisible()
  await startAt(page, { item: 'Hake, gutted, head off', invoice: '2000', price: '9' })
  await expect(page.getByRole('complementary', { name: 'Cautions' })).toContainText(
    'within 20 minutes. Our own plan: plan of this autumn',
  )
  await expect(page.getByRole('timer')).toContainText(/of 60.min in all/)
  await page.goto('/guide/cautions')
  await page.getByRole('button', { name: 'Back to the default' }).click()
  await expect(page.getByText('Our own plan, for')).toHaveCount(0)
})

test('a blank card is one page, and a filled-in one is typed in one screen', async ({ page, request }) => {
  const loin = (await items(request)).find((item) => item.drawing === 'loin')?.styles[0]
  await page.goto(`/card/${loin?.id}?units=2`)
  await expect(page.getByRole('rowheader', { name: /Strip the silverskin/ })).toBeVisible()
  const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1')
  expect(pdf.match(/\/Type \/Page\b/g)).toHaveLength(1)

  await startAt(page, { item: 'Beef tenderloin, peeled, side muscle on', invoice: '2600', price: '32' })
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await page.getByRole('link', { name: 'Enter a filled-in card' }).click()
  await page.getByRole('textbox', { name: 'centre steaks' }).fill('214 210 heavy')
  await expect(page.getByText('is no weight')).toBeVisible()
  await expect(page.getByRole('button', { name: /on their piles/ })).toBeDisabled()
  await page.getByRole('textbox', { name: 'centre steaks' }).fill('214 210 216 213 212')
  await page.getByRole('textbox', { name: 'head roast' }).fill('0,494 kg')
  await page.getByRole('textbox', { name: 'sinew' }).fill('200; 60')
  await page.getByRole('button', { name: 'Put 8 weights on their piles' }).click()
  await expect(page.getByRole('button', { name: /centre steaks/ }).first()).toContainText('1,065')
  await expect(page.getByRole('group', { name: 'Piles' })).toContainText('494')
})

test('a container is remembered by name and taken off next time', async ({ page, request }) => {
  await startAt(page, { item: 'Duck', invoice: '2400', price: '7' })
  await putOn(request, 0)
  await putOn(request, 640)
  await page.getByRole('button', { name: /^Container/ }).click()
  await page.getByLabel(/stands on the scale/).fill('blue tub')
  await page.getByRole('button', { name: 'Remember' }).click()
  await expect(page.locator('.container-choice_container-choice')).toContainText('blue tub')
  await putOn(request, 0)
  await putOn(request, 1240)
  await page.locator('body').press('Enter')
  await expect(page.locator('.bench_bench-said')).toContainText('Took 600')
  await putOn(request, 0)
})

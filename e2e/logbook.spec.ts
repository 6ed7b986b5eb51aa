import { expect, test } from './house.ts'

test('the logbook finds what eighteen months hold, without being told where to look', async ({ page }) => {
  await page.goto('/logbook?period=all')
  const brought = page.getByRole('region', { name: 'What it brought' })
  await expect(brought).toContainText(/Cutting it ourselves brought €[\d,.]+ against buying ready, over \d{3} records/)
  await brought.locator('.figure_figure').first().click()
  await expect(page.locator('.figure_formula')).toContainText('Duck')
  await page.keyboard.press('Escape')
  // Fish that gives less for some weeks; nothing else has changed by more than chance.
  await expect(page.getByRole('region', { name: 'What changed' })).toContainText(/Hake.* gives [\d.]+ points less/)
  await expect(page.getByRole('region', { name: 'What changed' })).toContainText('Not one cook alone')
  await expect(page.getByRole('region', { name: 'Cooks' })).toContainText(/Bruno is getting better at Chicken/)
  await expect(page.getByRole('region', { name: 'Suppliers' })).toContainText(/Brindlemere Meats [\d.]+ points less/)
  const year = page.getByRole('region', { name: 'Through the year' })
  await expect(year).toContainText(/Beef tenderloin.*buying ready was the cheaper way/)
  await expect(year).toContainText(/Lamb rack.*fat and skin most in/)
  await expect(year).toContainText(/by-products nobody used cost €[\d.]+, usually/)
  const sideBySide = page.getByRole('region', { name: 'Side by side' })
  await page.getByLabel('Group by').selectOption('supplier')
  await expect(sideBySide).toContainText(/Brindlemere Meats [\d.]+ points less/)
  await expect(page).toHaveURL(/group=supplier/)
})

test('records that do not count are the mistakes, and each leads to its verdict', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('link', { name: 'Look at them' }).click()
  const doubts = page.getByRole('region', { name: 'Records that cannot be right' })
  for (const [who, why] of [
    ['Guinea fowl: halves, one boned, Bruno', 'Weighed twice, or in another unit?'],
    ['Chicken, eviscerated: scored halves, Casimir', 'Weighed in another unit?'],
    ['Chicken, eviscerated: supremes and boneless thighs, Bruno', 'a pile is missing'],
  ] as const) {
    await expect(doubts.getByRole('listitem').filter({ hasText: who }).filter({ hasText: why }).first()).toBeVisible()
  }
  const records = page.getByRole('region', { name: 'Records', exact: true })
  await expect(records.getByText('more came out than went in').first()).toBeVisible()
  await records.getByRole('link').first().click()
  await expect(page).toHaveURL(/\/verdict\//)
})

test('yields of an item and a style are drawn within what is usual, and a view is a link', async ({
  page,
  context,
}) => {
  await page.goto('/logbook?period=all')
  await page.getByLabel('Item').selectOption({ label: 'Hake, gutted, head off' })
  await page.getByLabel('Cut style').selectOption({ label: 'Skin-on portions' })
  const yields = page.getByRole('region', { name: 'Portion yield through time' })
  await expect(yields.locator('svg').first()).toBeVisible()
  await expect(yields.getByRole('listitem').first()).toContainText(/usual|in a row/)
  const other = await context.newPage()
  await other.goto(page.url())
  await expect(other.getByLabel('Item').locator('option:checked')).toHaveText('Hake, gutted, head off')
  await expect(other.getByRole('region', { name: 'Records', exact: true })).toContainText('Hake')
})

test('records are gone on from page to page, sorted by the server', async ({ page }) => {
  await page.goto('/logbook?period=all')
  const records = page.getByRole('region', { name: 'Records', exact: true })
  const yields = records.locator('tbody tr td:nth-child(8)')
  // What stood there stays until the answer has come.
  const areSorted = () =>
    expect(async () => {
      const shown = (await yields.allTextContents()).map(Number.parseFloat)
      expect(shown).toEqual([...shown].sort((a, b) => a - b))
    }).toPass({ timeout: 60_000 })
  await records.getByRole('button', { name: 'Portion yield' }).click()
  await areSorted()
  await expect(yields).toHaveCount(50)
  await records.getByRole('button', { name: /^\d+ more$/ }).click()
  await expect(yields).toHaveCount(100)
  await areSorted()
})

test('a signal asks for its cause, and one that lasts begins a new baseline', async ({ page }) => {
  await page.goto('/logbook?period=all')
  await page.getByLabel('Item').selectOption({ label: 'Hake, gutted, head off' })
  await page.getByLabel('Cut style').selectOption({ label: 'Skin-on portions' })
  const yields = page.getByRole('region', { name: 'Portion yield through time' })
  const fallen = yields.getByRole('listitem').filter({ hasText: 'less than is usual' })
  // Worked out aside, behind what the rest of the page asks for.
  await expect(fallen.first()).toContainText(/portions [\d.]+ points less/)
  const before = await fallen.count()
  await fallen.first().getByRole('button', { name: 'Why?' }).click()
  await yields.getByLabel('Cause').selectOption('other-goods')
  await yields.getByLabel('It stays so').check()
  await yields.getByRole('button', { name: 'Keep' }).click()
  await expect(async () => expect(await fallen.count()).toBeLessThan(before)).toPass({ timeout: 60_000 })
})

test('several records stand beside each other as a link, a view is kept, and a supplier has a card', async ({
  page,
}) => {
  await page.goto('/logbook?period=364')
  const records = page.getByRole('region', { name: 'Records', exact: true })
  for (const at of [0, 1, 2]) await records.getByRole('checkbox').nth(at).check()
  await records.getByRole('button', { name: 'Beside each other' }).click()
  const beside = page.getByRole('region', { name: 'Beside each other' })
  await expect(beside.getByRole('columnheader')).toHaveCount(4)
  await page.reload()
  await expect(beside.getByRole('row', { name: /^Portion yield/ })).toContainText('%')
  await page.getByRole('button', { name: 'Keep this view' }).click()
  await page.getByLabel('Name of the view').fill('The year')
  const kept = page.waitForResponse((answer) => answer.url().endsWith('/logbook/views') && answer.status() === 201)
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await kept
  await page.goto('/logbook')
  await page.getByRole('link', { name: 'The year' }).click()
  await expect(page).toHaveURL(/period=364/)
  const pdf = await page.request.get(
    (await page.getByRole('link', { name: 'One page (PDF)' }).getAttribute('href')) ?? '',
  )
  expect(pdf.headers()['content-type']).toContain('pdf')
  await page.getByRole('link', { name: 'One card for each supplier' }).click()
  await expect(page.getByRole('region', { name: 'Brindlemere Meats' })).toContainText(/points less than the others/)
})

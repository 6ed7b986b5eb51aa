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
    ['Guinea fowl: halves, one boned, Bruno', 'more came out than went in'],
    ['Chicken, eviscerated: scored halves, Casimir', 'a pile is missing'],
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
  const yields = records.locator('tbody tr td:nth-child(7)')
  // What stood there stays until the answer has come.
  const areSorted = () =>
    expect(async () => {
      const shown = (await yields.allTextContents()).map(Number.parseFloat)
      expect(shown).toEqual([...shown].sort((a, b) => a - b))
    }).toPass({ timeout: 20_000 })
  await records.getByRole('button', { name: 'Portion yield' }).click()
  await areSorted()
  await expect(yields).toHaveCount(50)
  await records.getByRole('button', { name: /^\d+ more$/ }).click()
  await expect(yields).toHaveCount(100)
  await areSorted()
})

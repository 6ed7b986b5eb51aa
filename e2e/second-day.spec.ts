import { expect, test } from './house.ts'

test('a morning that goes wrong: a short delivery, an ill cook and ten covers more are planned in two touches', async ({
  page,
}) => {
  await page.goto('/')
  await page.getByRole('link', { name: 'Plan what is left of The week' }).click()
  // Five of eight racks come, and Casimir is ill.
  await page.getByLabel('Packs of Lamb rack, chined that come').fill('5')
  await page.getByLabel('Casimir').check()
  await page.getByRole('button', { name: 'Plan what is left' }).click()
  await expect(page.getByRole('heading', { name: 'Before and after' })).toBeVisible()
  const answer = page.getByRole('region', { name: 'Answer' })
  await expect(answer).toContainText('Cheapest possible.')
  // Ten covers more on the first day that has any; while it is planned, Accept is off.
  const covers = page.getByLabel(/^Covers on Wed/)
  await covers.fill(String(Number(await covers.inputValue()) + 10))
  const accept = page.getByRole('button', { name: 'Accept this plan' })
  await expect(accept).toBeDisabled()
  await expect(accept).toBeEnabled()
  await expect(answer).toContainText('Cheapest possible.')
  await expect(page.getByText('The cooks can do it: a schedule was found with nothing late.')).toBeVisible()
  const beside = page.getByRole('region', { name: 'Before and after' })
  await expect(beside.getByRole('row', { name: /^Wed .*Chicken/ })).toBeVisible()
  await accept.click()
  // What waits of the week is cut by the new plan alone, and its orders are still expected.
  await expect(page.getByRole('link', { name: 'Who does what, when' })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'What came' })).toBeVisible()
  await page.goto('/plan')
  await page.getByRole('link', { name: 'The week', exact: true }).click()
  const real = page.getByRole('region', { name: 'Planned and real' })
  await expect(real.getByText('not cut after all').first()).toBeVisible()
  await expect(real.getByText('waits', { exact: true })).toHaveCount(0)
  await expect(page.getByRole('link', { name: 'Plan what is left' })).toHaveCount(0)
})

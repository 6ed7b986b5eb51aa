import { expect, test } from './house.ts'

const FEAST = 'The feast of the first snow'

test('what goes otherwise than planned: a short delivery and ten covers more are planned in two touches', async ({
  page,
}) => {
  await page.goto('/')
  await page.getByRole('link', { name: `Plan what is left of ${FEAST}` }).click()
  // Fifteen of twenty turkeys come.
  await page.getByLabel('Packs of Turkey, feast weight that come').fill('15')
  await page.getByRole('button', { name: 'Plan what is left' }).click()
  await expect(page.getByRole('heading', { name: 'Before and after' })).toBeVisible()
  const answer = page.getByRole('region', { name: 'Answer' })
  await expect(answer).toContainText('Cheapest possible.')
  // Ten covers more; while that is planned, Accept is off.
  const covers = page.getByLabel(/^Covers on/)
  const asked = await covers.evaluateAll((fields) => fields.findIndex((field) => (field as HTMLInputElement).value))
  await covers.nth(asked).fill('190')
  const accept = page.getByRole('button', { name: 'Accept this plan' })
  await expect(accept).toBeDisabled()
  await expect(accept).toBeEnabled()
  await expect(answer).toContainText('Cheapest possible.')
  // It is said whether the cooks can do it, by what their hours are.
  await expect(page.getByText(/^The cooks (can do it|cannot do)/)).toBeVisible()
  const beside = page.getByRole('region', { name: 'Before and after' })
  await expect(beside.getByRole('row', { name: /Turkey/ }).first()).toBeVisible()
  await accept.click()
  // What waits of the feast is cut by the new plan alone, and its orders are still expected.
  await expect(page.getByRole('link', { name: 'Schedule', exact: true })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'What came' })).toBeVisible()
  await page.goto('/plan')
  await page.getByRole('link', { name: FEAST, exact: true }).click()
  const real = page.getByRole('region', { name: 'Planned and real' })
  await expect(real.getByText('not cut after all').first()).toBeVisible()
  await expect(real.getByText('waits', { exact: true })).toHaveCount(0)
  await expect(page.getByRole('link', { name: 'Plan what is left' })).toHaveCount(0)
})

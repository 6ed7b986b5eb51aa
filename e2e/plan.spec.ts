import type { Plan, PlannedFabrication } from '@fleam/contract'
import { expect, test } from './house.ts'
import { choose, larchHalt } from './kitchen.ts'

test('a week is planned, answered, accepted, taken in at the door and started at the bench', async ({
  page,
  request,
}) => {
  await page.goto('/plan')
  await page.getByRole('button', { name: 'Plan a week' }).click()
  await page.waitForURL(/\/plan\/[0-9a-f-]{36}$/)
  const planId = page.url().split('/').at(-1) as string
  await page.getByLabel('Plan', { exact: true }).fill('Two dinners')
  await choose(page, page.getByRole('combobox', { name: 'Add to the menu' }), 'Chicken: supremes')
  await page.getByLabel('Share of Chicken: supremes, per cent').fill('50')
  // Somebody comes and somebody cuts on at least one of the days before.
  await page
    .getByLabel(/^Covers on/)
    .nth(3)
    .fill('24')
  await expect(page.getByText('Nothing costs less: proven.')).toBeVisible({ timeout: 20_000 })
  const total = async () => (await page.locator('[class*=sentence] button').first().textContent()) ?? ''
  const free = await total()

  // More eat: it is made again; as many as before, it is as it was.
  const covers = page.getByLabel(/^Covers on/).nth(3)
  await covers.fill('48')
  await expect.poll(total, { timeout: 20_000 }).not.toBe(free)
  await covers.fill('24')
  await expect.poll(total, { timeout: 20_000 }).toBe(free)
  await expect(page.getByText('kept', { exact: true })).toBeVisible()

  await page.getByRole('button', { name: 'Accept this plan' }).click()
  await expect(page.getByRole('heading', { name: 'Two dinners' })).toBeVisible()
  const { id } = await larchHalt(request)
  const plan: Plan = await (await request.get(`/api/kitchens/${id}/plans/${planId}`)).json()
  expect(plan.accepted?.planned.length).toBeGreaterThan(0)

  const whole = plan.accepted?.expected.find(({ kind }) => kind === 'whole')
  if (whole) {
    await page.goto('/buying/receiving')
    await expect(page.getByText(whole.name).first()).toBeVisible()
    await page.goto(`/buying/receiving/new?expected=${whole.id}`)
    await expect(page.getByText(/^Ordered: /)).toBeVisible()
  }

  const [planned] = plan.accepted?.planned ?? []
  await page.goto(`/bench?planned=${planned?.id}`)
  await expect(page.getByText(/^Planned in/)).toBeVisible()
  await expect(page.getByLabel('How many')).toHaveValue(String(planned?.units))
  await page.getByRole('button', { name: 'Start weighing' }).click()
  await page.waitForURL(/\/bench\/[0-9a-f-]{36}$/)
  const left: PlannedFabrication[] = await (await request.get(`/api/kitchens/${id}/planned`)).json()
  expect(left.some((each) => each.id === planned?.id)).toBe(false)
  await page.goto(`/plan/${planId}`)
  await expect(page.getByRole('link', { name: 'on the board' })).toBeVisible()

  // Who does what when: what is on the board keeps its place; a bar is moved by keys, and is kept.
  await page.goto(`/plan/${planId}/schedule`)
  await page.getByRole('group', { name: 'Day' }).getByRole('button').last().click({ timeout: 30_000 })
  const bar = page.getByRole('button', { name: /pack and label/ }).first()
  await expect(bar).toBeVisible({ timeout: 30_000 })
  const before = await bar.getAttribute('aria-label')
  await bar.press('ArrowRight')
  await expect(bar).not.toHaveAttribute('aria-label', before ?? '')
  const after = await bar.getAttribute('aria-label')
  const [hour, minute] = (/, (\d+):(\d+) to /.exec(after ?? '') ?? []).slice(1).map(Number) as [number, number]
  await expect
    .poll(async () => {
      const kept: Plan = await (await request.get(`/api/kitchens/${id}/plans/${planId}`)).json()
      return kept.schedule?.tasks.map(({ start }) => Math.round(start) % (24 * 60))
    })
    .toContain(hour * 60 + minute)
  await page.reload()
  await page.getByRole('group', { name: 'Day' }).getByRole('button').last().click()
  await expect(page.getByRole('button', { name: after ?? '' })).toBeVisible()
})

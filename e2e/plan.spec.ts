import type { Call } from '@fleam/contract/fetch-client'
import { kitchenOperations } from '@fleam/contract/kitchen/operations'
import type { Cook } from '@fleam/contract/kitchen/schemas'
import { startOperations } from '@fleam/contract/new-records/operations'
import { planOperations } from '@fleam/contract/planning/operations'
import { kitchenScheduleOperations } from '@fleam/contract/scheduling/operations'
import { addDays, daysBetween, minutesSince } from '@fleam/core/calendar'
import type { Plan } from '@fleam/core/plans'
import { MINUTES_OF_A_DAY, USUAL_WORK } from '@fleam/core/scheduling'
import { v7 } from 'uuid'
import { expect, test } from './house.ts'
import { callBy, choose, larchHalt } from './kitchen.ts'

const { readPlan, listPlans, createPlan, acceptPlan, listPlanned } = planOperations
const { updateSchedule } = kitchenScheduleOperations

test('a week is planned, answered, accepted, taken in at the door and started at the bench', async ({
  page,
  request,
}) => {
  await page.goto('/plan')
  await page.getByRole('button', { name: 'Plan a week' }).click()
  await page.waitForURL(/\/plan\/[0-9a-f-]{36}$/)
  const planId = page.url().split('/').at(-1) as string
  await page.getByLabel('Plan', { exact: true }).fill('Two dinners')
  // A busy machine needs longer for the proof.
  await page.getByLabel('Look for at most').selectOption('60')
  await choose(page, page.getByRole('combobox', { name: 'Add to the menu' }), 'Chicken: supremes')
  await page.getByLabel('Share of Chicken: supremes, per cent').fill('50')
  // Somebody comes and somebody cuts on at least one of the days before.
  await page
    .getByLabel(/^Covers on/)
    .nth(3)
    .fill('24')
  await expect(page.getByText(/^Cheapest possible\./)).toBeVisible({ timeout: 90_000 })
  const total = async () => (await page.locator('[class*=sentence] button').first().textContent()) ?? ''
  const free = await total()

  // More eat: it is made again; as many as before, it is as it was.
  const covers = page.getByLabel(/^Covers on/).nth(3)
  await covers.fill('48')
  await expect.poll(total).not.toBe(free)
  await covers.fill('24')
  await expect.poll(total, { timeout: 90_000 }).toBe(free)
  await expect(page.getByText('kept', { exact: true })).toBeVisible()

  await page.getByRole('button', { name: 'Accept this plan' }).click()
  await expect(page.getByRole('heading', { name: 'Two dinners' })).toBeVisible()
  const call = callBy(request)
  const { id: kitchenId } = await larchHalt(request)
  const read = () => call(readPlan, { kitchenId, planId })
  // Its name stands above the draft too: what the server has says when it is accepted.
  await expect.poll(async () => (await read()).accepted?.planned.length ?? 0).toBeGreaterThan(0)
  const plan = await read()

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
  const left = await call(listPlanned, { kitchenId })
  expect(left.some((rest) => rest.id === planned?.id)).toBe(false)
  await page.goto(`/plan/${planId}`)
  await expect(page.getByRole('link', { name: 'on the board' })).toBeVisible()

  // Who does what when: what is on the board keeps its place; a bar is moved by keys, and is kept.
  await page.goto(`/plan/${planId}/schedule`)
  // What is on the board is shown at once; the rest comes with the schedule.
  await expect(page.getByRole('region', { name: 'Lists', exact: true })).toContainText('pack and label', {
    timeout: 30_000,
  })
  await page.getByRole('group', { name: 'Day' }).getByRole('button').last().click()
  const bar = page.getByRole('button', { name: /pack and label/ }).first()
  await expect(bar).toBeVisible({ timeout: 30_000 })
  const before = await bar.getAttribute('aria-label')
  await bar.press('ArrowRight')
  await expect(bar).not.toHaveAttribute('aria-label', before ?? '')
  const after = await bar.getAttribute('aria-label')
  const [hour, minute] = (/, (\d+):(\d+) to /.exec(after ?? '') ?? []).slice(1).map(Number) as [number, number]
  await expect
    .poll(async () => {
      const kept = await read()
      const packed = kept.schedule?.tasks.find(({ kind }) => kind === 'pack')
      return Math.round(packed?.start ?? -1) % (24 * 60)
    })
    .toBe(hour * 60 + minute)
  await page.reload()
  await expect(page.getByRole('region', { name: 'Lists', exact: true })).toContainText('pack and label')
  await page.getByRole('group', { name: 'Day' }).getByRole('button').last().click()
  await expect(page.getByRole('button', { name: after ?? '' })).toBeVisible()
})

/** The same plan once more, from today on. */
async function acceptedFrom(call: Call, kitchenId: string, { accepted, name }: Plan): Promise<Plan> {
  const from = accepted?.draft.from ?? ''
  const shift = daysBetween(from, new Date().toISOString().slice(0, 10))
  const text = JSON.stringify(accepted).replace(/(?<=")\d{4}-\d{2}-\d{2}(?=")/g, (day) => addDays(day, shift))
  const { draft, goods, answer } = JSON.parse(text)
  const planId = v7()
  await call(createPlan, { kitchenId, body: { id: planId, name: `${name} again`, draft } })
  await call(acceptPlan, { kitchenId, planId, body: { version: 1, draft, goods, answer } })
  const schedule = { settings: USUAL_WORK, late: [], days: [], tasks: [] }
  return call(updateSchedule, { kitchenId, planId, body: { version: 2, schedule } })
}

test('what begins at the bench and what a hand tells moves the bars, on a cook’s device and on the wall', async ({
  page,
  request,
}) => {
  const call = callBy(request)
  const { id: kitchenId } = await larchHalt(request)
  const rows = await call(listPlans, { kitchenId })
  const weekId = rows.find(({ name }) => name === 'The week')?.id ?? ''
  const week = await call(readPlan, { kitchenId, planId: weekId })
  const isOver = week.accepted?.planned.every(({ real, isDropped }) => real !== null || isDropped)
  // At the end of the week nothing of it is left to cut.
  const plan = isOver ? await acceptedFrom(call, kitchenId, week) : week
  const planned = plan.accepted?.planned.find(({ real, isDropped }) => real === null && !isDropped)
  const [cook] = (await call(kitchenOperations.listCooks, { kitchenId })) as [Cook]
  if (!planned || !plan.schedule || !plan.accepted) throw new Error('The week has nothing left to cut')

  // One load of it and its packing are today's, whatever day of the week it is.
  const now = minutesSince(plan.accepted.draft.from, 'Europe/Vienna', new Date())
  const today = Math.floor(now / MINUTES_OF_A_DAY) * MINUTES_OF_A_DAY
  const task = (kind: 'cut' | 'pack', start: number) => ({
    ...{ id: `${planned.id} ${kind} 1`, jobId: planned.id, what: `Dinner, ${kind}`, kind },
    ...{ upTo: kind === 'cut' ? planned.units : null, start: today + start, end: today + start + 30 },
    ...{ cookId: cook.id, station: null },
  })
  const tasks = [task('cut', 1380), task('pack', 1410)]
  const body = { version: plan.version, schedule: { ...plan.schedule, tasks } }
  await call(updateSchedule, { kitchenId, planId: plan.id, body })

  await page.goto('/')
  await page.getByLabel('Whose device this is').selectOption({ label: cook.name })
  const next = page.getByRole('region', { name: 'Next for' }).getByRole('listitem')
  await expect(next).toHaveCount(2)
  await expect(next.first()).toContainText('23:00 to 23:30 Dinner, cut')

  await call(startOperations.startFabrication, {
    kitchenId,
    body: {
      ...{ id: v7(), styleId: planned.styleId, units: planned.units, cookId: cook.id, supplierId: planned.supplierId },
      purchase: {
        price: null,
        invoiceWeight: 9000,
        receivedWeight: 9000,
        purge: 0,
        pieces: planned.units,
        cases: 1,
      },
      ...{ lot: null, lotId: null, plannedId: planned.id },
      ...{ date: new Date().toISOString().slice(0, 10), startedAt: new Date().toISOString() },
    },
  })
  // Nobody touches this page: it follows by itself, behind whatever else the first look at Today works out.
  await expect(next.first().getByRole('link', { name: 'Go on weighing' })).toBeVisible({ timeout: 60_000 })
  await page.goto('/wall')
  const wall = page.getByRole('region', { name: cook.name })
  await expect(wall).toContainText(/until .*: Dinner, cut/)
  await expect(wall).toContainText('Dinner, pack')

  await page.goto('/')
  await next.nth(1).getByRole('button', { name: 'Done' }).click()
  await expect(next).toHaveCount(1)
  const after = await call(readPlan, { kitchenId, planId: plan.id })
  expect(after.told.find(({ taskId }) => taskId === `${planned.id} pack 1`)?.doneAt).not.toBeNull()
  // The other tests find the week as it was.
  const asBefore = { version: after.version, schedule: plan.schedule }
  await call(updateSchedule, { kitchenId, planId: plan.id, body: asBefore })
})

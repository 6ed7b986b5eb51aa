import { callAt } from '@fleam/contract/fetch-client'
import { kitchenOperations } from '@fleam/contract/kitchen/operations'
import { planOperations } from '@fleam/contract/planning/operations'
import { chromium, type Page } from '@playwright/test'
import { median, quantile, report } from './report.ts'

const ROUNDS = 5
const FRAMES = 120
const FRAME_MS = 1000 / 60
const STRIDE = 2

/** Milliseconds from asking for a page until something of its room is there. */
async function timeTo(page: Page, path: string, ready: string): Promise<number> {
  await page.goto('about:blank')
  const began = performance.now()
  await page.goto(path)
  await page.locator(ready).first().waitFor()
  return performance.now() - began
}

/** Milliseconds from frame to frame while a bar of the schedule is dragged along its row. */
async function dragBar(page: Page): Promise<number[]> {
  const bar = page.locator('[aria-roledescription=task]').first()
  const box = await bar.boundingBox()
  if (!box) return []
  const times = page.evaluate(async (frames) => {
    const shown: number[] = []
    while (shown.length <= frames) shown.push(await new Promise<number>((resolve) => requestAnimationFrame(resolve)))
    return shown.slice(1).map((own, index) => own - (shown[index] as number))
  }, FRAMES)
  await page.mouse.move(box.x + 10, box.y + box.height / 2)
  await page.mouse.down()
  for (let frame = 0; frame < FRAMES; frame++) {
    await page.mouse.move(box.x + 10 + STRIDE * (20 - Math.abs(20 - (frame % 40))), box.y + box.height / 2)
  }
  const measured = await times
  // Back where it was, so that nothing is moved.
  await page.mouse.move(box.x + 10, box.y + box.height / 2)
  await page.mouse.up()
  return measured
}

/** Opening a kept plan, accepting one and having its schedule, and dragging a bar, in a browser. */
export async function benchPlanRoom(url: string): Promise<void> {
  const call = callAt(url)
  const [kitchen] = await call(kitchenOperations.listKitchens, {})
  if (!kitchen) return
  const rows = await call(planOperations.listPlans, { kitchenId: kitchen.id })
  const [kept, draft] = [
    rows.find(({ planned, acceptedAt }) => acceptedAt && planned > 1),
    rows.find((row) => !row.acceptedAt),
  ]
  if (!kept || !draft) return
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  })
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(url)
  await page.waitForTimeout(3000)
  const [opened, bare] = [[] as number[], [] as number[]]
  for (let round = 0; round < ROUNDS; round++) {
    opened.push(await timeTo(page, `${url}/plan/${kept.id}`, '#plan-orders'))
    bare.push(await timeTo(page, `${url}/guide/cautions`, 'h1'))
  }
  report(
    'a kept plan opened, p50',
    `${median(opened).toFixed(0)} ms`,
    `a page of words ${median(bare).toFixed(0)} ms`,
    median(opened) / median(bare),
    'aim: under 1 s',
  )
  await page.goto(`${url}/plan/${kept.id}/schedule`)
  await page.locator('[aria-roledescription=task]').first().waitFor()
  await page.waitForTimeout(2000)
  const drag = await dragBar(page)
  const late = drag.filter((time) => time > 1.5 * FRAME_MS).length
  report(
    'dragging a bar of a schedule, p50 between frames',
    `${quantile(drag, 0.5).toFixed(1)} ms, ${late} of ${drag.length} late`,
    `a frame ${FRAME_MS.toFixed(1)} ms`,
    quantile(drag, 0.5) / FRAME_MS,
    'aim: 60 frames a second',
  )
  await page.goto(`${url}/plan/${draft.id}`)
  const accept = page.getByRole('button', { name: 'Accept this plan' })
  await accept.and(page.locator(':enabled')).waitFor({ timeout: 120_000 })
  const began = performance.now()
  await accept.click()
  const sure = page.getByRole('button', { name: 'Accept it all the same' })
  const link = page.getByRole('link', { name: 'Schedule', exact: true })
  await Promise.race([sure.waitFor().then(() => sure.click()), link.first().waitFor()])
  await link.first().waitFor()
  const accepted = performance.now() - began
  await link.first().click()
  await page.locator('[aria-roledescription=task]').first().waitFor({ timeout: 60_000 })
  const scheduled = performance.now() - began - accepted
  report(
    'a plan accepted',
    `${accepted.toFixed(0)} ms`,
    `its schedule after that ${scheduled.toFixed(0)} ms`,
    accepted / scheduled,
    'aim: under 2 s, and under 5 s',
  )
  await browser.close()
}

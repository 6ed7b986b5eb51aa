import { expect, test } from './house.ts'
import { startAt } from './kitchen.ts'

test('three cooks work as a line: every device leads its cook to their part, and a load is named by who took it out', async ({
  page,
  browser,
}) => {
  await page.setViewportSize({ width: 1180, height: 820 })
  const id = await startAt(page, { item: 'Turkey, eviscerated', units: 12, invoice: '72 kg', price: '5' })
  await page.getByRole('button', { name: /^Who does what/ }).click()
  const dialog = page.getByRole('dialog')
  const cooks = dialog.getByRole('group', { name: 'Who works on it' }).getByRole('button')
  await expect(cooks.first()).toBeVisible()
  // Whose job it is stands there already: two more make three.
  const chosen = await cooks.evaluateAll((all) => all.map((item) => item.getAttribute('aria-pressed') === 'true'))
  const others = chosen.flatMap((isChosen, index) => (isChosen ? [] : [index])).slice(0, 2)
  const names: string[] = []
  for (const at of others) {
    names.push((await cooks.nth(at).textContent()) ?? '')
    await cooks.nth(at).click()
  }
  await expect(dialog).toContainText('Each their own birds')
  await dialog.getByRole('button', { name: 'Work as a line' }).click()
  await expect(page.getByRole('button', { name: /^Who does what/ })).toContainText('a line of 3')

  const other = await (await browser.newContext({ viewport: { width: 1180, height: 820 } })).newPage()
  await other.goto(`/bench/${id}`)
  const last = names[1] as string
  const loadOut = new RegExp(`Load 2 \\(\\d+, ${last}\\): out`)
  const bar = other.getByRole('group', { name: 'Who works here' })
  const scale = other.getByRole('region', { name: 'Scale', exact: true })
  await expect(scale).toBeVisible()
  const before = await scale.boundingBox()
  await bar.getByRole('button', { name: last }).click()
  const step = other.getByRole('region', { name: 'Step' })
  await expect(step).toContainText(/Your part: steps \d to \d, for all 12/)
  await expect(step).toContainText(/Step (\d) of 8.*Your part: steps \1 to/)
  await other.getByRole('button', { name: /^Take out/ }).click()
  await expect(other.getByRole('button', { name: loadOut })).toBeVisible()
  // One more load is out, and what is weighed stands where it stood.
  const after = await scale.boundingBox()
  expect(Math.abs((after?.y ?? 0) - (before?.y ?? 0))).toBeLessThanOrEqual(2)
  await expect(page.getByRole('button', { name: loadOut })).toBeVisible()
  await other.context().close()
})

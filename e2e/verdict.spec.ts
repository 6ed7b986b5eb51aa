import { readFileSync, writeFileSync } from 'node:fs'
import { fabricationOperations } from '@fleam/contract/fabrication/operations'
import { forecastingOperations } from '@fleam/contract/forecasting/operations'
import { appraise } from '@fleam/core/appraisal'
import { leadingComparison } from '@fleam/core/comparison'
import { type ForecastModel, ForecastRun, forecastModel, forecastOf, spreadsFrom } from '@fleam/core/forecasting'
import { expect, test } from './house.ts'
import { callBy, fabrications, larchHalt } from './kitchen.ts'

async function closedId(request: Parameters<typeof fabrications>[0], at = 0): Promise<string> {
  // Other tests of the same house finish fabrications that come to no verdict.
  const closed = (await fabrications(request)).filter(
    (row) =>
      row.status === 'closed' && appraise(row.document).comparisons.some((comparison) => comparison.verdict !== null),
  )
  return closed.at(at)?.id as string
}

test('figures open to their formula with their own numbers', async ({ page }) => {
  await page.goto(`/verdict/${await closedId(page.request, -1)}`)
  await page.locator('.sentence_sentence .figure_figure').first().click()
  await expect(page.getByRole('tooltip')).toContainText(/cost of [a-z ]+ ÷ portions/)
  await expect(page.getByRole('tooltip')).toContainText(/= €[\d.]+ ÷ \d+= €[\d.]+/)
})

test('a record with a pile not weighed says so in plain words', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: /earlier ones$/ }).click()
  await page
    .getByRole('row', { name: /a pile is missing/ })
    .getByRole('link')
    .click()
  await expect(page.getByRole('region', { name: 'Before you trust it' })).toContainText('Was a pile not weighed?')
})

test('a changed price changes the verdict, is kept, and can be changed back', async ({ page, request }) => {
  const rows = (await fabrications(request)).filter((row) => row.document.purchase.price.amount === 3.05)
  await page.goto(`/verdict/${rows.at(-1)?.id}`)
  await expect(page.getByRole('heading', { level: 1 })).not.toContainText('buy, and')
  const change = async (price: string) => {
    await page.getByLabel('Price, EUR').first().fill(price)
    await page.getByRole('button', { name: 'Save to record' }).click()
    await expect(page.getByLabel('Tried out')).toBeHidden()
  }
  await change('7,5')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('buy, and you save')
  await page.reload()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('buy, and you save')
  await change('3.05')
  await expect(page.getByRole('heading', { level: 1 })).not.toContainText('buy, and')
})

test('a what-if is kept under a name, and its link opens the same view', async ({ page, request, context }) => {
  await page.goto(`/verdict/${await closedId(request, 1)}`)
  const heading = page.getByRole('heading', { level: 1 })
  const before = await heading.textContent()
  // No record of another test costs as much.
  await page.getByLabel('Price, EUR').first().fill('19.37')
  await expect(heading).not.toHaveText(before as string)
  await page.getByLabel('Name of this what-if').fill('Nineteen a kilo')
  await page.getByRole('button', { name: 'Keep as a what-if' }).click()
  await expect(page.getByLabel('Tried out')).toContainText('What if: Nineteen a kilo.')
  const tried = await heading.textContent()
  const other = await context.newPage()
  await other.goto(page.url())
  await expect(other.getByRole('heading', { level: 1 })).toHaveText(tried as string)
  await other.getByRole('button', { name: 'Back to the record' }).click()
  await expect(other.getByRole('heading', { level: 1 })).toHaveText(before as string)
  await other.close()
  await page.getByRole('button', { name: 'Delete Nineteen a kilo' }).click()
  await expect(heading).toHaveText(before as string)
})

test('two people changing one record: the second is told, and shown what stands', async ({
  page,
  browser,
  request,
}) => {
  const id = await closedId(request, 2)
  const other = await (await browser.newContext()).newPage()
  for (const entry of [page, other]) {
    await entry.goto(`/verdict/${id}`)
    if (entry === other) await other.getByRole('button', { name: 'Open all' }).click()
    await entry.getByLabel('Charges, EUR').fill('4')
  }
  await page.getByRole('button', { name: 'Save to record' }).click()
  await expect(page.getByLabel('Tried out')).toBeHidden()
  await other.getByRole('button', { name: 'Save to record' }).click()
  await expect(other.getByRole('alert')).toContainText('Somebody changed it meanwhile')
  await other.context().close()
})

test('a record exported and imported again says the same; a broken one is refused by field', async ({
  page,
  request,
}, info) => {
  await page.goto(`/verdict/${await closedId(request)}`)
  const before = await page.getByRole('heading', { level: 1 }).textContent()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Record as JSON' }).click(),
  ])
  const file = info.outputPath('record.json')
  await download.saveAs(file)
  await page.goto('/')
  await page.getByLabel('Fabrication document').setInputFiles(file)
  await page.waitForURL(/\/verdict\//)
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(before as string)

  const document = JSON.parse(readFileSync(file, 'utf8'))
  document.piles[2].weight = -5
  writeFileSync(file, JSON.stringify(document))
  await page.goto('/')
  await page.getByLabel('Fabrication document').setInputFiles(file)
  // What other tests left on the board may be out of the cold for too long by now, which is an alert as well.
  const refusal = page.getByRole('alert').filter({ hasText: 'piles[2].weight' })
  await expect(refusal).toContainText('Nothing was changed')
  writeFileSync(file, '{"format": ')
  await page.getByLabel('Fabrication document').setInputFiles(file)
  await expect(page.getByText('is not whole JSON')).toBeVisible()
})

test('piles come out as CSV', async ({ page, request }) => {
  await page.goto(`/verdict/${await closedId(request)}`)
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Piles as CSV' }).click(),
  ])
  expect(readFileSync(await download.path(), 'utf8')).toContain('pile,class,weight (g)')
})

test('the school reads pounds, ounces and dollars', async ({ page }) => {
  await page.goto('/')
  await page.getByLabel('Kitchen').selectOption({ label: 'Goods Shed School' })
  await page.getByRole('row', { name: /S-02/ }).getByRole('link').click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('a pound')
  await expect(page.locator('.piles-table_piles').getByRole('row', { name: /drumsticks/ })).toContainText('oz')
})

test('how sure a verdict is, what moves it, and on how many tests it rests', async ({ page }) => {
  await page.goto(`/verdict/${await closedId(page.request, 0)}`)
  const section = page.getByRole('region', { name: 'How sure is it' })
  await expect(section).toContainText(/Making .+ is cheaper in (?:more than )?\d+ of 100 cases/, {
    timeout: 15_000,
  })
  await expect(section).toContainText(/It rests on \d+ of the kitchen’s own tests/)
  await expect(section.getByRole('table').getByRole('row').nth(1)).toContainText(/yield|price|minutes|by-products/)
  await expect(section.locator('.forecast_forecast-chart')).toBeVisible()
  // A seed draws the same on every device: what was said is said again.
  const said = await section.locator('.forecast_forecast-sentence').textContent()
  await page.reload()
  await expect(section.locator('.forecast_forecast-sentence')).toHaveText(said as string)
})

test('draws in the browser are those that Node.js draws', async ({ page }) => {
  const id = await closedId(page.request, 0)
  await page.goto(`/verdict/${id}`)
  const section = page.getByRole('region', { name: 'How sure is it' })
  await expect(section.locator('.forecast_forecast-sentence')).toBeVisible()
  const call = callBy(page.request)
  const of = { kitchenId: (await larchHalt(page.request)).id, fabricationId: id }
  const document = await call(fabricationOperations.exportDocument, of)
  const evidence = await call(forecastingOperations.readEvidence, of)
  const { piles, comparisons } = appraise(document)
  const at = leadingComparison(piles, comparisons) as number
  const model = forecastModel(document, at) as ForecastModel
  const offer = document.offers?.[at]
  const { record } = await call(fabricationOperations.readFabrication, of)
  const pileId = record.piles.find((pile) => pile.name === offer?.pile)?.id ?? ''
  const spreads = spreadsFrom(model, {
    yields: evidence.tests.flatMap((test) => test.shares[pileId] ?? []),
    minutesPerUnit: evidence.tests.flatMap((test) => test.minutesPerUnit ?? []),
    apPrices: evidence.apPrices,
    offerPrices: evidence.offers.find((other) => other.name === offer?.name)?.prices ?? [],
  })
  const run = new ForecastRun(model, spreads, { draws: 100_000, seed: 0.42 })
  run.step(100_000)
  const { mean, low, high, probability } = forecastOf(model, spreads, run.savings)
  const money = (amount: number) => `${amount < 0 ? '\u2212' : ''}€${Math.abs(amount).toFixed(2)}`
  await expect(section.locator('.forecast_forecast-sentence')).toContainText(
    probability > 0.995 ? 'more than 99 of 100' : `${Math.round(probability * 100)} of 100`,
  )
  await expect(section.locator('.forecast_forecast-sentence')).toContainText(`${money(Math.abs(mean))}`)
  await expect(section.locator('.forecast_forecast-sentence')).toContainText(`between ${money(low)} and ${money(high)}`)
})

test('batch size, portions and steps stand with the verdict, and its factors on a card', async ({ page }) => {
  const rows = await fabrications(page.request)
  // One with an offer and weighed portions: what other roads closed in this house need not have them.
  const chicken = rows.find(
    ({ status, document }) =>
      status === 'closed' &&
      document.item.startsWith('Chicken') &&
      (document.offers ?? []).length > 0 &&
      document.piles.some((pile) => pile.class === 'primary' && (pile.pieces ?? []).length > 1),
  )
  await page.goto(`/verdict/${chicken?.id}`)
  const batch = page.getByRole('region', { name: 'How many at once' })
  await expect(batch).toContainText(/Making pays from|No batch up to/)
  await expect(batch.locator('.forecast_forecast-chart')).toBeVisible()
  await expect(page.getByRole('region', { name: 'The portions themselves' })).toContainText('within bounds')
  await page.getByRole('link', { name: 'Cost factors as a card for the wall' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Cost factors: Chicken, eviscerated')
  await expect(page.getByRole('row', { name: /supremes/ })).toContainText(/from €\d+\.\d\d a\skilo/)
})

test('the verdict is one page of PDF, also of a what-if, and is not there for one that was let go', async ({
  page,
  request,
}) => {
  const id = await closedId(request, 1)
  const kitchen = await larchHalt(request)
  await page.goto(`/verdict/${id}`)
  const link = page.getByRole('link', { name: 'One page to print, PDF' })
  const record = await request.get((await link.getAttribute('href')) as string)
  expect(record.headers()['content-type']).toBe('application/pdf')
  expect((await record.body()).toString('latin1').match(/\/Type \/Page\b/g)).toHaveLength(1)
  await page.getByLabel('Charges, EUR').fill('9')
  // What was only typed has no sheet: it is neither the record nor kept.
  await expect(link).toBeHidden()
  await page.getByLabel('Name of this what-if').fill('Dear delivery')
  await page.getByRole('button', { name: 'Keep as a what-if' }).click()
  await expect(link).toHaveAttribute('href', /what-if=/)
  const href = (await link.getAttribute('href')) as string
  expect((await request.get(href)).status()).toBe(200)
  await page.getByRole('button', { name: 'Delete Dear delivery' }).click()
  await expect(link).not.toHaveAttribute('href', /what-if=/)
  expect((await request.get(href)).status()).toBe(404)
  expect(href).toContain(kitchen.id)
})

test('cut styles of one item stand side by side, and the link keeps which', async ({ page, context }) => {
  await page.goto('/verdict/styles?of=Chicken%2C+eviscerated')
  const rows = page.locator('.side-table_side-table').first().getByRole('rowheader')
  await expect(rows).toHaveCount(6)
  await page.getByText('Which stand here').click()
  await page
    .getByRole('group', { name: 'Cut styles and forms that stand side by side' })
    .getByRole('checkbox', { checked: true })
    .first()
    .click()
  await expect(rows).toHaveCount(5)
  const other = await context.newPage()
  await other.goto(page.url())
  await expect(other.locator('.side-table_side-table').first().getByRole('rowheader')).toHaveText(
    await rows.allTextContents(),
  )
  await other.close()
})

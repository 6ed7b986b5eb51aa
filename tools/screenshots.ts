import { rmSync } from 'node:fs'
import { fabricationOperations } from '@fleam/contract/fabrication/operations'
import { callAt } from '@fleam/contract/fetch-client'
import { kitchenOperations } from '@fleam/contract/kitchen/operations'
import { styleOperations } from '@fleam/contract/style/operations'
import { chromium, type Locator, type Page } from '@playwright/test'
import { House } from './house.ts'
import { findFreePort } from './ports.ts'

const DATA_FOLDER = '.fleam/screenshots'
const PICTURES = 'docs/screenshots'
const SETTLE_MS = 900

interface Shot {
  name: string
  path: string
  width?: number
  height?: number
  scheme?: 'light' | 'dark'
  /** What is done on the page before the picture is taken. */
  act?: (page: Page) => Promise<unknown>
  /** The picture is taken where the page was scrolled to, not at its top. */
  isScrolled?: boolean
}

async function choose(page: Page, field: Locator, name: string): Promise<void> {
  // Opened by a touch: what stands there already is not typed anew.
  await field.click()
  await field.fill(name)
  await page.getByRole('option', { name, exact: true }).click()
}

/** A rack of lamb at the step where it is frenched. */
async function startRack(page: Page): Promise<void> {
  await choose(page, page.locator('#start-item'), 'Lamb rack, eight ribs, chined, cap on')
  await page.getByLabel('How many').fill('2')
  await page.getByLabel('Price, EUR').fill('24')
  await page.getByLabel('Weight on the invoice').fill('2100')
  await page.getByRole('button', { name: 'Start weighing' }).click()
  await page.getByRole('button', { name: 'All steps' }).click()
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /French it/ })
    .click()
}

/** A week that is not decided yet. */
async function showPlan(page: Page): Promise<void> {
  await page.getByRole('link', { name: 'The week after', exact: true }).click()
  await page.getByText('Cheapest possible.').waitFor()
  await page.getByText('Trying what else could be done').waitFor({ state: 'hidden' })
}

/** The feast: two days, five cooks in a line, twenty birds. */
async function showSchedule(page: Page): Promise<void> {
  await page.getByRole('link', { name: 'The feast of the first snow', exact: true }).click()
  await page.getByRole('link', { name: 'Schedule', exact: true }).click()
  await page.getByRole('heading', { name: 'Lists', exact: true }).waitFor()
}

/** A supplier's list with two rows that are not right. */
async function chooseList(page: Page): Promise<void> {
  const rows = [
    'Vendor;Description;Net price;UOM;Item',
    'Skerrow Quay Fish;Hake, line-caught;10,80;kg;Hake, gutted, head off',
    'Skerrow Quay Fish;Turbot;-24;kg;Turbot, gutted',
    'Skerrow Quay Fish;Char;13,40;stone;',
  ]
  await page
    .getByLabel('A price list')
    .setInputFiles({ name: 'autumn.csv', mimeType: 'text/csv', buffer: Buffer.from(rows.join('\n')) })
  // The rows are read beside the page: on a busy machine they come later than the picture would.
  await page.getByText('2 rows are not right').waitFor()
}

/** A case that was scanned at the door, weighed short. */
async function scanCase(page: Page): Promise<void> {
  await choose(page, page.getByRole('combobox', { name: 'What came' }), 'Chicken, eviscerated')
  await page.getByLabel('From', { exact: true }).fill('Ostravale Poultry Yard')
  await page.getByLabel('Scan the case label').fill('(01)09012345000127(3103)012600(17)290102(10)OY-2611-09(37)6')
  await page.getByRole('button', { name: 'Read' }).click()
  await page.getByLabel('Weight of case 1', { exact: true }).fill('12,48 kg')
  await page.getByRole('button', { name: 'skin torn' }).click()
}

async function shotsOf(url: string): Promise<Shot[]> {
  const call = callAt(url)
  const kitchens = await call(kitchenOperations.listKitchens, {})
  const kitchenId = kitchens.find((kitchen) => kitchen.name === 'Larch Halt')?.id as string
  const rows = await call(fabricationOperations.listFabrications, { kitchenId })
  const bench = `/bench/${rows.find((row) => row.status === 'open')?.id}`
  const verdict = `/verdict/${rows.find((row) => row.status === 'closed')?.id}`
  const items = await call(styleOperations.listItems, { kitchenId })
  const styleOf = (name: string) => items.flatMap((item) => item.styles).find((style) => style.name === name)?.id
  const rack = `/guide/${styleOf('Frenched, thin fat')}`
  const putOn = (grams: number) => async (page: Page) => {
    await page.getByLabel('Grams to put on').fill(String(grams))
    await page.getByRole('button', { name: 'Put on' }).click()
  }
  return [
    { name: 'today', path: '/' },
    { name: 'bench-start', path: '/bench' },
    { name: 'bench', path: bench, act: putOn(281) },
    { name: 'bench-phone', path: bench, width: 390, height: 844, act: putOn(281) },
    { name: 'bench-tablet', path: bench, width: 800, height: 1280, act: putOn(281) },
    { name: 'bench-rack', path: '/bench', act: startRack },
    { name: 'card', path: `/card/${styleOf('Steaks, head roast and tips')}?units=2` },
    { name: 'guide-style', path: rack, act: (page) => page.getByRole('button', { name: /French it/ }).click() },
    { name: 'verdict', path: verdict, act: (page) => page.locator('.forecast_forecast-sentence').waitFor() },
    {
      name: 'logbook',
      path: '/logbook',
      act: (page) => page.getByText('was the cheaper way').first().waitFor(),
    },
    {
      name: 'settings',
      path: '/settings',
      act: (page) => page.locator('#cooks-week').evaluate((element) => element.scrollIntoView()),
      isScrolled: true,
    },
    {
      name: 'verdict-assumptions',
      path: verdict,
      act: tryOut,
      isScrolled: true,
    },
    { name: 'buying', path: '/buying' },
    { name: 'plan', path: '/plan', act: showPlan },
    { name: 'plan-schedule', path: '/plan', act: showSchedule },
    { name: 'buying-list', path: '/buying/lists', act: chooseList },
    { name: 'receiving', path: '/buying/receiving/new', act: scanCase },
    {
      name: 'knife',
      path: '/knife',
      act: (page) => page.getByRole('button', { name: 'Lay out most money' }).waitFor(),
    },
    { name: 'knife-rack', path: '/knife/racks', act: showRack, isScrolled: true },
  ]
}

/** A rack with its cuts, when they are there. */
async function showRack(page: Page): Promise<void> {
  const drawing = page.locator('.rack-drawing_rack-drawing')
  await drawing.waitFor()
  await drawing.evaluate((element) => element.scrollIntoView({ block: 'center' }))
}

/** Something is tried out, kept, and stands beside the record. */
async function tryOut(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Open all' }).click()
  await page.getByLabel('Price, EUR').first().fill('4.8')
  await page.getByLabel('Name of this what-if').fill('Dear birds')
  await page.getByRole('button', { name: 'Keep as a what-if' }).click()
  await page.locator('#part-what-ifs').evaluate((element) => element.scrollIntoView())
}

/** One current picture of each main view, from the demo data. */
async function main(): Promise<void> {
  rmSync(DATA_FOLDER, { recursive: true, force: true })
  const house = new House({
    port: await findFreePort(),
    dataFolder: DATA_FOLDER,
    isDemo: true,
    databaseUrl: null,
    scale: null,
  })
  try {
    await house.start()
    const browser = await chromium.launch({
      executablePath: '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
    })
    for (const { name, path, width = 1280, height = 800, scheme = 'light', act, isScrolled } of await shotsOf(
      house.url,
    )) {
      const page = await browser.newPage({ viewport: { width, height }, colorScheme: scheme })
      await page.goto(house.url + path, { waitUntil: 'load' })
      await page.getByRole('heading', { level: 1 }).waitFor()
      await act?.(page)
      await page.waitForTimeout(SETTLE_MS)
      if (!isScrolled) await page.evaluate('window.scrollTo(0, 0)')
      await page.screenshot({ path: `${PICTURES}/${name}.png` })
      await page.close()
    }
    await browser.close()
  } finally {
    await house.stop()
    rmSync(DATA_FOLDER, { recursive: true, force: true })
  }
}

await main()
process.exit(0)

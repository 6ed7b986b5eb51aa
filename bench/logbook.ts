import { addressOf, type InputOf } from '@fleam/contract/client'
import { callAt } from '@fleam/contract/fetch-client'
import { logbookOperations } from '@fleam/contract/logbook/operations'
import { styleOperations } from '@fleam/contract/style/operations'
import { addDays } from '@fleam/core/calendar'
import { chromium, type Page } from '@playwright/test'
import mysql from 'mysql2/promise'
import { A_FILE, fillLogbook, RECORDS } from './fill-logbook.ts'
import { quantile, report } from './report.ts'

const { listLogbook, summariseLogbook, readChart } = logbookOperations

const ROUNDS = 30
/** Of what nobody waits for on the first screen. */
const FEW = 5
const CHROMIUM = '/usr/bin/chromium'
const AIM = 'aim: under 200 ms p95 and 1.5 x the bare SQL'

async function millisecondsOf(work: () => Promise<unknown>): Promise<number[]> {
  const times: number[] = []
  for (let round = 0; round < ROUNDS; round++) {
    const start = performance.now()
    await work()
    times.push(performance.now() - start)
  }
  return times
}

/** Twenty thousand records: importing them, and every answer of the logbook beside the bare SQL of the same answer. */
export async function benchLogbook(url: string, databaseUrl: string): Promise<void> {
  const { id: kitchenId, cookId: marit, imports } = await fillLogbook(url)
  const call = callAt(url)
  const records = (query: NonNullable<InputOf<typeof listLogbook>['query']>) =>
    addressOf(listLogbook, { kitchenId, query })
  const summary = (query: NonNullable<InputOf<typeof summariseLogbook>['query']>) =>
    addressOf(summariseLogbook, { kitchenId, query })
  const seconds = quantile(imports, 0.5) / 1000
  report(`import of ${A_FILE} records`, `${seconds.toFixed(1)} s`, 'aim 30 s', seconds / 30, 'ratio to the aim')

  const connection = await mysql.createConnection({ uri: databaseUrl.replace(/^mariadb:/, 'mysql:') })
  let cursor: string | undefined
  for (let page = 0; page < 20; page++) {
    cursor = (await call(listLogbook, { kitchenId, query: { cursor } })).next ?? undefined
  }
  const of = `fabrication_figures g WHERE g.kitchen_id = '${kitchenId}'`
  const wide = `SELECT f.*, g.*, b.beam FROM (SELECT g.kitchen_id, g.fabrication_id FROM ${of}`
  const whole = `) AS page JOIN fabrication_figures g USING (kitchen_id, fabrication_id)
    JOIN fabrications f ON f.kitchen_id = g.kitchen_id AND f.id = g.fabrication_id
    JOIN fabrication_beams b ON b.kitchen_id = g.kitchen_id AND b.fabrication_id = g.fabrication_id`
  const page = `${wide} ORDER BY g.date DESC, g.fabrication_id DESC LIMIT 51${whole}`
  const count = `SELECT COUNT(*) FROM ${of}`
  const sums = (key: string) => `SELECT ${key}, g.item_no, g.style_no, COUNT(*), SUM(g.units), SUM(g.ap),
    SUM(g.primary_weight), AVG(g.portion_yield), VAR_POP(g.portion_yield), AVG(g.minutes_per_unit),
    VAR_POP(g.minutes_per_unit), SUM(g.spent), SUM(g.saved), SUM(g.given_away), SUM(g.waste), SUM(g.unused),
    SUM(g.demoted), SUM(g.unaccounted) FROM ${of} AND g.is_counted GROUP BY 1, 2, 3`
  const items = await call(styleOperations.listItems, { kitchenId })
  const hake = items.find((item) => item.name.startsWith('Hake'))
  const style = hake?.styles[0]?.id
  const quarter = addDays(new Date().toISOString().slice(0, 10), -90)
  const asked: readonly [what: string, address: string, sql: readonly string[]][] = [
    ['the first page', records({}), [page, count]],
    ['the twentieth page', records({ cursor }), [page.replace('LIMIT 51', 'LIMIT 1000, 51'), count]],
    [
      'a filter and its first page',
      records({ item: hake?.id, sort: 'saved' }),
      [
        `${wide} AND g.item_key = '${hake?.id}' ORDER BY g.saved DESC, g.fabrication_id DESC LIMIT 51${whole}`,
        `${count} AND g.item_key = '${hake?.id}'`,
      ],
    ],
    [
      'words and their first page',
      records({ words: 'marit' }),
      [
        `${wide} AND (g.cook_key = '${marit}' OR g.written LIKE '%marit%') ORDER BY g.date DESC, g.fabrication_id DESC LIMIT 51${whole}`,
        `${count} AND (g.cook_key = '${marit}' OR g.written LIKE '%marit%')`,
      ],
    ],
    ['a summary by cook', summary({ group: 'cook' }), [sums('g.cook_no')]],
    ['a summary by week', summary({ group: 'week' }), [sums('YEARWEEK(g.date, 3)')]],
    [
      'a summary of a quarter',
      summary({ group: 'item', from: quarter }),
      [sums('g.item_no').replace('g.is_counted', `g.is_counted AND g.date >= '${quarter}'`)],
    ],
    [
      'a control chart',
      addressOf(readChart, { kitchenId, query: { item: hake?.id as string, style: style as string } }),
      [
        `SELECT g.fabrication_id, g.date, g.portion_yield, g.causes, g.is_baseline FROM ${of}
         AND g.item_key = '${hake?.id}' AND g.style_key = '${style}' AND g.is_counted ORDER BY g.date, g.fabrication_id`,
      ],
    ],
  ]
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: ['--no-sandbox'] })
  const browsed = await browser.newPage()
  await browsed.goto(`${url}/settings`)
  for (const [what, address, sql] of asked) {
    const [ours, bare] = [
      await atBrowser(browsed, `${url}${address}`),
      await millisecondsOf(() => Promise.all(sql.map((text) => connection.query(text)))),
    ]
    const [a, b] = [quantile(ours, 0.95), quantile(bare, 0.95)]
    report(
      `${RECORDS} records: ${what}, p95`,
      `${a.toFixed(1)} ms`,
      `bare SQL ${b.toFixed(1)} ms`,
      quantile(ours, 0.5) / quantile(bare, 0.5),
      AIM,
    )
  }
  const { listDoubts, listChanges, listLearning, listSeasons, listTurns } = logbookOperations
  for (const operation of [listDoubts, listChanges, listLearning, listSeasons, listTurns]) {
    const ours = await atBrowser(browsed, `${url}${addressOf(operation, { kitchenId })}`, FEW)
    const value = quantile(ours, 0.5)
    report(`${RECORDS} records: ${operation.id}`, `${value.toFixed(0)} ms`, 'none', value / 1000, 'ratio to a second')
  }
  await browser.close()
  await connection.end()
}

/** Milliseconds from asking in a page until the answer is read there. */
async function atBrowser(page: Page, url: string, rounds = ROUNDS): Promise<number[]> {
  const times: number[] = []
  for (let round = 0; round < rounds; round++) {
    times.push(
      await page.evaluate(async (asked) => {
        const start = performance.now()
        const response = await fetch(asked, { cache: 'no-store' })
        await response.json()
        if (!response.ok) throw new Error(asked)
        return performance.now() - start
      }, url),
    )
  }
  return times
}

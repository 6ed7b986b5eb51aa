import { LOGBOOK_FORMAT, type LogbookPage } from '@fleam/contract'
import { addDays } from '@fleam/core'
import { pastRecords } from '@fleam/demo'
import { chromium, type Page } from '@playwright/test'
import mysql from 'mysql2/promise'
import { v7 as newId } from 'uuid'
import { quantile, report } from './report.ts'

const RECORDS = 20_000
const A_FILE = 2_000
const ROUNDS = 30
/** Of what nobody waits for on the first screen. */
const FEW = 5
const CHROMIUM = '/usr/bin/chromium'
const AIM = 'aim: under 200 ms p95 and 1.5 x the bare SQL'

/** So many records of a kitchen, over years, from the months of the demo. */
function* files(): Generator<{ id: string; document: ReturnType<typeof pastRecords>[number]['document'] }[]> {
  const today = new Date().toISOString().slice(0, 10)
  const months = pastRecords(today)
  for (let from = 0; from < RECORDS; from += A_FILE) {
    yield Array.from({ length: A_FILE }, (_, at) => {
      const { document } = months[(from + at) % months.length] as (typeof months)[number]
      const date = addDays(document.meta?.date ?? today, -Math.floor((from + at) / months.length) * 20)
      return { id: newId(), document: { ...document, meta: { ...document.meta, date } } }
    })
  }
}

async function send(url: string, method: string, body?: unknown): Promise<string> {
  const response = await fetch(url, {
    method,
    ...(body === undefined ? {} : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
  })
  const text = await response.text()
  if (!response.ok || text.includes('"problem"')) throw new Error(text.slice(0, 500))
  return text
}

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
  const id = newId()
  const kitchen = `${url}/api/kitchens/${id}`
  const said = { currency: 'EUR', units: 'metric', timeZone: 'Europe/Vienna', wagePerHour: 21.4 }
  await send(`${url}/api/kitchens`, 'POST', { id, name: 'Twenty thousand', ...said })
  const marit = newId()
  for (const name of ['Marit', 'Ondine', 'Casimir', 'Thessaly', 'Bruno']) {
    const cook = name === 'Marit' ? marit : newId()
    await send(`${kitchen}/cooks`, 'POST', { id: cook, name, wagePerHour: 21.4 })
  }
  for (const name of ['Ostravale Poultry Yard', 'Brindlemere Meats', 'Skerrow Quay Fish']) {
    await send(`${kitchen}/suppliers`, 'PUT', { id: newId(), name })
  }
  const imports: number[] = []
  for (const records of files()) {
    const start = performance.now()
    await send(`${kitchen}/logbook/import`, 'POST', { format: LOGBOOK_FORMAT, version: 1, records })
    imports.push(performance.now() - start)
  }
  const seconds = quantile(imports, 0.5) / 1000
  report(`import of ${A_FILE} records`, `${seconds.toFixed(1)} s`, 'aim 30 s', seconds / 30, 'ratio to the aim')

  const connection = await mysql.createConnection({ uri: databaseUrl.replace(/^mariadb:/, 'mysql:') })
  const get = async <T>(path: string): Promise<T> => JSON.parse(await send(`${kitchen}${path}`, 'GET')) as T
  let cursor = ''
  for (let page = 0; page < 20; page++)
    cursor =
      (await get<LogbookPage>(`/logbook/records?cursor=${cursor}`.replace('?cursor=&', '?').replace(/\?cursor=$/, '')))
        .next ?? ''
  const of = `fabrication_figures g WHERE g.kitchen_id = '${id}'`
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
  const items = await get<{ id: string; name: string; styles: { id: string; name: string }[] }[]>('/items')
  const hake = items.find((item) => item.name.startsWith('Hake'))
  const style = hake?.styles[0]?.id
  const quarter = addDays(new Date().toISOString().slice(0, 10), -90)
  const asked: readonly [what: string, path: string, sql: readonly string[]][] = [
    ['the first page', '/logbook/records', [page, count]],
    ['the twentieth page', `/logbook/records?cursor=${cursor}`, [page.replace('LIMIT 51', 'LIMIT 1000, 51'), count]],
    [
      'a filter and its first page',
      `/logbook/records?item=${hake?.id}&sort=saved`,
      [
        `${wide} AND g.item_key = '${hake?.id}' ORDER BY g.saved DESC, g.fabrication_id DESC LIMIT 51${whole}`,
        `${count} AND g.item_key = '${hake?.id}'`,
      ],
    ],
    [
      'words and their first page',
      '/logbook/records?words=marit',
      [
        `${wide} AND (g.cook_key = '${marit}' OR g.written LIKE '%marit%') ORDER BY g.date DESC, g.fabrication_id DESC LIMIT 51${whole}`,
        `${count} AND (g.cook_key = '${marit}' OR g.written LIKE '%marit%')`,
      ],
    ],
    ['a summary by cook', '/logbook/summary?group=cook', [sums('g.cook_no')]],
    ['a summary by week', '/logbook/summary?group=week', [sums('YEARWEEK(g.date, 3)')]],
    [
      'a summary of a quarter',
      `/logbook/summary?group=item&from=${quarter}`,
      [sums('g.item_no').replace('g.is_counted', `g.is_counted AND g.date >= '${quarter}'`)],
    ],
    [
      'a control chart',
      `/logbook/chart?item=${hake?.id}&style=${style}`,
      [
        `SELECT g.fabrication_id, g.date, g.portion_yield, g.causes, g.is_baseline FROM ${of}
         AND g.item_key = '${hake?.id}' AND g.style_key = '${style}' AND g.is_counted ORDER BY g.date, g.fabrication_id`,
      ],
    ],
  ]
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: ['--no-sandbox'] })
  const browsed = await browser.newPage()
  await browsed.goto(`${url}/settings`)
  for (const [what, path, sql] of asked) {
    const [ours, bare] = [
      await atBrowser(browsed, `${kitchen}${path}`),
      await millisecondsOf(() => Promise.all(sql.map((each) => connection.query(each)))),
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
  for (const path of ['doubts', 'changes', 'learning', 'seasons', 'turns']) {
    const ours = await atBrowser(browsed, `${kitchen}/logbook/${path}`, FEW)
    const value = quantile(ours, 0.5)
    report(`${RECORDS} records: ${path}`, `${value.toFixed(0)} ms`, 'none', value / 1000, 'ratio to a second')
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

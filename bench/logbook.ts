import { LOGBOOK_FORMAT, type LogbookPage } from '@fleam/contract'
import { addDays } from '@fleam/core'
import { pastRecords } from '@fleam/demo'
import mysql from 'mysql2/promise'
import { v7 as newId } from 'uuid'
import { quantile, report } from './report.ts'

const RECORDS = 20_000
const A_FILE = 2_000
const ROUNDS = 30
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

async function send(url: string, method: string, body: unknown): Promise<string> {
  const response = await fetch(url, {
    method,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
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
  for (const name of ['Marit', 'Ondine', 'Casimir', 'Thessaly', 'Bruno']) {
    await send(`${kitchen}/cooks`, 'POST', { id: newId(), name, wagePerHour: 21.4 })
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
  const get = async <T>(path: string): Promise<T> => (await (await fetch(`${kitchen}${path}`)).json()) as T
  let cursor = ''
  for (let page = 0; page < 20; page++)
    cursor =
      (await get<LogbookPage>(`/logbook/records?cursor=${cursor}`.replace('?cursor=&', '?').replace(/\?cursor=$/, '')))
        .next ?? ''
  const joined = `fabrications f JOIN fabrication_figures g ON g.kitchen_id = f.kitchen_id AND g.fabrication_id = f.id
    WHERE f.kitchen_id = '${id}'`
  const page = `SELECT f.*, g.* FROM ${joined} ORDER BY f.date DESC, f.id DESC LIMIT 51`
  const sums = (key: string) => `SELECT ${key}, f.item_id, f.style_id, COUNT(*), SUM(g.units), SUM(g.ap),
    SUM(g.primary_weight), AVG(g.portion_yield), VAR_POP(g.portion_yield), AVG(g.minutes_per_unit),
    VAR_POP(g.minutes_per_unit), SUM(g.spent), SUM(g.saved), SUM(g.given_away), SUM(g.waste), SUM(g.unused),
    SUM(g.demoted), SUM(g.unaccounted) FROM ${joined} AND g.is_counted GROUP BY 1, 2, 3`
  const items = await get<{ id: string; name: string; styles: { id: string; name: string }[] }[]>('/items')
  const hake = items.find((item) => item.name.startsWith('Hake'))
  const style = hake?.styles[0]?.id
  const asked: readonly [what: string, path: string, sql: string][] = [
    ['the first page', '/logbook/records', page],
    ['the twentieth page', `/logbook/records?cursor=${cursor}`, page.replace('LIMIT 51', 'LIMIT 1000, 51')],
    [
      'a filter and its first page',
      `/logbook/records?item=${hake?.id}&sort=saved`,
      `SELECT f.*, g.* FROM ${joined} AND f.item_id = '${hake?.id}' ORDER BY g.saved DESC, f.id DESC LIMIT 51`,
    ],
    ['a summary by cook', '/logbook/summary?group=cook', sums('f.cook_id')],
    ['a summary by week', '/logbook/summary?group=week', sums("DATE_FORMAT(f.date, '%x-W%v')")],
    [
      'a control chart',
      `/logbook/chart?item=${hake?.id}&style=${style}`,
      `SELECT f.id, f.date, g.portion_yield FROM ${joined} AND f.item_id = '${hake?.id}' AND f.style_id = '${style}' AND g.is_counted ORDER BY f.date`,
    ],
  ]
  for (const [what, path, sql] of asked) {
    const [ours, bare] = [await millisecondsOf(() => get(path)), await millisecondsOf(() => connection.query(sql))]
    const [a, b] = [quantile(ours, 0.95), quantile(bare, 0.95)]
    report(
      `${RECORDS} records: ${what}, p95`,
      `${a.toFixed(1)} ms`,
      `bare SQL ${b.toFixed(1)} ms`,
      quantile(ours, 0.5) / quantile(bare, 0.5),
      AIM,
    )
  }
  await connection.end()
}

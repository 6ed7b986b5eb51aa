import { buyingOperations, priceListOperations } from '@fleam/contract/buying/operations'
import { addressOf } from '@fleam/contract/client'
import { callAt } from '@fleam/contract/fetch-client'
import { healthOperations } from '@fleam/contract/health/operations'
import { kitchenOperations } from '@fleam/contract/kitchen/operations'
import { type BuyingForm, compareForms } from '@fleam/core/buying'
import { guessMapping, readTable } from '@fleam/core/price-lists'
import mysql from 'mysql2/promise'
import { Bench } from 'tinybench'
import { median, report } from './report.ts'

const ROWS = 20_000
const FORMS = 50
const COMPARISONS = 20

const HEADER = [
  'supplier',
  'article number',
  'article',
  'whole or ready',
  'item',
  'product',
  'price',
  'unit',
  'piece weight',
  'pieces in a pack',
  'valid from',
]

/** A wholesaler's list: twenty thousand rows, a few of which are cut or served here. */
const largeList = (): string[][] =>
  Array.from({ length: ROWS }, (_, index) => [
    'Bench Wholesale',
    `B${index}`,
    `Article number ${index}`,
    ...tieOf(index),
    ((index % 900) / 10 + 1).toFixed(2),
    'kg',
    '280 g',
    '20',
    '2026-01-01',
  ])

function tieOf(at: number): [string, string, string] {
  if (at % 400 === 0) return ['whole', 'Chicken, eviscerated', '']
  return at % 400 === 200 ? ['ready', '', 'Chicken: supremes'] : ['whole', '', '']
}

const csvOf = (rows: readonly string[][]) => [HEADER, ...rows].map((row) => row.join(';')).join('\n')

/** Milliseconds that something took. */
async function timed(work: () => Promise<unknown>): Promise<number> {
  const start = performance.now()
  await work()
  return performance.now() - start
}

/** A large price list taken in, beside the bare driver inserting the same cells; then a product's comparison opened. */
export async function benchPriceLists(url: string, databaseUrl: string): Promise<void> {
  const call = callAt(url)
  const [kitchen] = await call(kitchenOperations.listKitchens, {})
  const kitchenId = kitchen?.id as string
  const rows = largeList()
  const csv = csvOf(rows)
  const mapping = guessMapping(readTable(csv, 1).headers, '2026-11-24')
  const send = () => call(priceListOperations.importPriceList, { kitchenId, body: { csv, mapping } })
  const first = await timed(send)
  const bare = await bareInsert(databaseUrl, rows)
  const line = (ms: number) => `${(ms / 1000).toFixed(2)} s`
  report(
    `price list of ${ROWS.toLocaleString('en')} rows taken in`,
    line(first),
    `bare driver ${line(bare)}`,
    first / bare,
    'under 10 s',
  )
  const indexed = await insertIndexed(databaseUrl)
  report('', '', `bare driver into our tables ${line(indexed)}`, first / indexed, 'aim: within 4 times')
  const again = await timed(send)
  report('the same list again: nothing changes', line(again), `bare driver ${line(bare)}`, again / bare, '')

  const all = await call(buyingOperations.listProducts, { kitchenId })
  const product = all.find((item) => item.name === 'Chicken: supremes')
  if (!product) throw new Error('The demo kitchen has no supremes')
  const formsAt = `${url}${addressOf(buyingOperations.listForms, { kitchenId, query: { product: product.id } })}`
  const open = async () => {
    // As a page reads it, whose answers are not checked.
    const forms = (await (await fetch(formsAt)).json()) as BuyingForm[]
    compareForms(forms, REQUEST)
    return forms
  }
  const opened: number[] = []
  const health: number[] = []
  for (let at = 0; at < COMPARISONS; at++) {
    opened.push(await timed(open))
    health.push(await timed(async () => (await fetch(`${url}${addressOf(healthOperations.readHealth, {})}`)).json()))
  }
  report(
    `comparison of ${(await open()).length} forms opened after it, p50`,
    `${median(opened).toFixed(1)} ms`,
    `bare route ${median(health).toFixed(1)} ms`,
    median(opened) / median(health),
    'under 200 ms',
  )
  await benchComparison((await open()).slice(0, FORMS))
}

const REQUEST = {
  product: 'supremes',
  plates: 60,
  plateWeight: 280,
  lightPlates: 'whole' as const,
  wagePerHour: 21.4,
  currency: 'EUR',
}

async function bareInsert(databaseUrl: string, rows: readonly string[][]): Promise<number> {
  const connection = await mysql.createConnection(databaseUrl.replace(/^mariadb:/, 'mysql:'))
  await connection.query(
    'CREATE TABLE bare_prices (a VARCHAR(120), b VARCHAR(120), c VARCHAR(120), d VARCHAR(20), e VARCHAR(120), f VARCHAR(243), g DECIMAL(20,9), h VARCHAR(8), i VARCHAR(20), j INT, k DATE)',
  )
  const ms = await timed(async () => {
    await connection.beginTransaction()
    for (let from = 0; from < rows.length; from += 1000) {
      await connection.query('INSERT INTO bare_prices VALUES ?', [rows.slice(from, from + 1000)])
    }
    await connection.commit()
  })
  await connection.query('DROP TABLE bare_prices')
  await connection.end()
  return ms
}

/** Milliseconds that the bare driver takes to insert the same articles and prices into tables indexed like ours. */
async function insertIndexed(databaseUrl: string): Promise<number> {
  const connection = await mysql.createConnection(databaseUrl.replace(/^mariadb:/, 'mysql:'))
  let ms = 0
  for (const table of ['articles', 'article_prices']) {
    const [rows] = await connection.query<mysql.RowDataPacket[]>(`SELECT * FROM ${table} ORDER BY id DESC LIMIT ?`, [
      ROWS,
    ])
    const columns = Object.keys(rows[0] as object)
    await connection.query(`CREATE TABLE bench_${table} LIKE ${table}`)
    ms += await timed(async () => {
      await connection.beginTransaction()
      for (let from = 0; from < rows.length; from += 1000) {
        const values = rows.slice(from, from + 1000).map((row) => columns.map((column) => row[column]))
        await connection.query(`INSERT INTO bench_${table} (${columns.join(',')}) VALUES ?`, [values])
      }
      await connection.commit()
    })
    await connection.query(`DROP TABLE bench_${table}`)
  }
  await connection.end()
  return ms
}

/** Fifty forms in the core, beside dividing the same prices by the same yields. */
async function benchComparison(forms: readonly BuyingForm[]): Promise<void> {
  const bench = new Bench({ time: 1000 })
  const numbers = forms.map((form) => ({
    amount: form.quote.price.amount,
    share: form.kind === 'whole' ? (form.piles[0]?.share.value ?? 1) : form.usableShare,
  }))
  bench.add('ours', () => void compareForms(forms, REQUEST))
  bench.add('plain', () => void numbers.map(({ amount, share }) => amount / share).sort((a, b) => a - b))
  await bench.run()
  const p50 = (name: string) => {
    const result = bench.getTask(name)?.result
    if (result?.state !== 'completed') throw new Error(`${name} did not complete`)
    return result.latency.p50
  }
  const [ours, plain] = [p50('ours'), p50('plain')]
  report(
    `comparison of ${forms.length} forms in the core, p50`,
    `${ours.toFixed(2)} ms`,
    `price ÷ yield ${plain.toFixed(4)} ms`,
    ours / plain,
    'under 50 ms',
  )
}

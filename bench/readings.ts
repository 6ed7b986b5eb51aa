import { addressOf } from '@fleam/contract/client'
import { fabricationOperations } from '@fleam/contract/fabrication/operations'
import { factOperations } from '@fleam/contract/facts/operations'
import { callAt } from '@fleam/contract/fetch-client'
import { kitchenOperations } from '@fleam/contract/kitchen/operations'
import autocannon from 'autocannon'
import Fastify from 'fastify'
import mysql from 'mysql2/promise'
import { v7 as newId } from 'uuid'
import { median, report } from './report.ts'

const ROUND_SECONDS = 3
const ROUNDS = 3
const CONNECTIONS = [1, 4, 16] as const

interface Target {
  kitchenId: string
  fabricationId: string
  pileId: string
}

async function openTarget(url: string): Promise<Target> {
  const call = callAt(url)
  const [kitchen] = await call(kitchenOperations.listKitchens, {})
  const kitchenId = kitchen?.id as string
  const rows = await call(fabricationOperations.listFabrications, { kitchenId })
  const fabricationId = rows.find((row) => row.status === 'open')?.id as string
  const { record } = await call(fabricationOperations.readFabrication, { kitchenId, fabricationId })
  return { kitchenId, fabricationId, pileId: record.piles[0]?.id as string }
}

const reading = ({ fabricationId, pileId }: Target) => ({
  kind: 'reading',
  id: newId(),
  order: 1,
  fabricationId,
  pileId,
  grams: 281,
  takenAt: new Date().toISOString(),
  source: 'scale',
})

/** Requests a second, each with one new reading, over so many connections. Every one must be stored. */
async function post(url: string, connections: number, target: Target): Promise<number> {
  const result = await autocannon({
    url,
    connections,
    duration: ROUND_SECONDS,
    requests: [
      {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        setupRequest: (request) => ({ ...request, body: JSON.stringify({ facts: [reading(target)] }) }),
      },
    ],
  })
  if (result.non2xx > 0 || result.errors > 0) throw new Error(`${result.non2xx} refused, ${result.errors} failed`)
  return result.requests.total / result.duration
}

/** Durable single-row inserts a second by the bare driver on as many connections, into a table like ours. */
async function insertBare(databaseUrl: string, connections: number, target: Target): Promise<number> {
  const links = await Promise.all(Array.from({ length: connections }, () => mysql.createConnection(databaseUrl)))
  const end = performance.now() + ROUND_SECONDS * 1000
  const start = performance.now()
  let count = 0
  const insert = async (link: mysql.Connection) => {
    while (performance.now() < end) {
      await link.query(
        'INSERT INTO bench_facts (id, kitchen_id, fabrication_id, kind, order_no, pile_id, grams, taken_at, source) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)',
        [newId(), target.kitchenId, target.fabricationId, 'reading', 1, target.pileId, 281, new Date(), 'scale'],
      )
      count++
    }
  }
  await Promise.all(links.map(insert))
  const seconds = (performance.now() - start) / 1000
  await Promise.all(links.map((link) => link.end()))
  return count / seconds
}

/** Readings stored a second through the API, beside the bare driver and a bare route that stores nothing. */
export async function benchReadings(url: string, databaseUrl: string): Promise<void> {
  const target = await openTarget(url)
  const admin = await mysql.createConnection(databaseUrl)
  await admin.query('CREATE TABLE bench_facts LIKE facts')
  const bare = Fastify()
  bare.post('/', () => ({ kept: [] }))
  const bareUrl = await bare.listen({ port: 0, host: '127.0.0.1' })
  const path = `${url}${addressOf(factOperations.createFacts, { kitchenId: target.kitchenId })}`
  for (const connections of CONNECTIONS) {
    const [api, driver, route]: [number[], number[], number[]] = [[], [], []]
    // In turn, so that a slow minute of the machine falls on all of them.
    for (let round = 0; round < ROUNDS; round++) {
      api.push(await post(path, connections, target))
      driver.push(await insertBare(databaseUrl, connections, target))
      route.push(await post(bareUrl, connections, target))
    }
    const ours = median(api)
    const ratios = api.map((rate, index) => rate / (driver[index] as number))
    report(
      `readings stored, ${connections} connections`,
      `${ours.toFixed(0)}/s`,
      `bare driver ${median(driver).toFixed(0)}/s`,
      median(ratios),
      'aim: 0.40 or more',
    )
    report('', '', `bare route, nothing stored ${median(route).toFixed(0)}/s`, ours / median(route), '')
  }
  const [[row]] = (await admin.query('SELECT COUNT(*) AS count FROM facts')) as unknown as [[{ count: number }]]
  process.stdout.write(`${row.count} facts are stored\n`)
  await admin.end()
  await bare.close()
}

import { createServer, type Server } from 'node:http'
import { listOfDay } from './price-feed.ts'

const DAY = /^\d{4}-\d{2}-\d{2}$/

/**
 * A simulated price feed over HTTP: `GET /prices.csv` is today's list, `GET /prices.csv?day=2026-11-24` that
 * of another day. `now` tells what today is.
 */
export function startFeedServer(port: number, now: () => Date): Promise<Server> {
  const server = createServer((request, reply) => {
    const { pathname, searchParams } = new URL(request.url ?? '/', 'http://feed')
    const day = searchParams.get('day') ?? now().toISOString().slice(0, 10)
    if (request.method !== 'GET' || pathname !== '/prices.csv') return void reply.writeHead(404).end()
    if (!DAY.test(day) || Number.isNaN(Date.parse(day)))
      return void reply.writeHead(400).end('day must be like 2026-11-24')
    reply.writeHead(200, { 'content-type': 'text/csv; charset=utf-8' }).end(listOfDay(day))
  })
  return new Promise((resolve, reject) => {
    server.once('error', reject)
    server.listen(port, '127.0.0.1', () => resolve(server))
  })
}

import { PassThrough } from 'node:stream'
import { setTimeout as sleep } from 'node:timers/promises'
import { addressOf } from '@fleam/contract/client'
import { fabricationOperations } from '@fleam/contract/fabrication/operations'
import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import { factOperations } from '@fleam/contract/facts/operations'
import { callAt } from '@fleam/contract/fetch-client'
import { kitchenOperations } from '@fleam/contract/kitchen/operations'
import { startOperations } from '@fleam/contract/new-records/operations'
import { styleOperations } from '@fleam/contract/style/operations'
import { chromium, type Page } from '@playwright/test'
import Fastify from 'fastify'
import { v7 as newId } from 'uuid'
import { quantile, report } from './report.ts'

const DEVICES = 12
const EVERY_MS = 200
const SECONDS = 120
const BARE_SECONDS = 30
/** The last ones are given this long to arrive. */
const TAIL_MS = 3_000
const LONG_TASK_MS = 50

interface Place {
  /** Where a reading is posted, and where the events of the others come from. */
  postUrl: string
  streamUrl: string
  fabricationId: string
  pileId: string
}

interface Heard {
  /** Milliseconds from sending at one device to hearing at another. */
  delays: number[]
  /** Readings that a device heard twice. */
  doubled: number
  /** Deliveries that should have come and did not. */
  missing: number
  sent: number
}

/** Every device sends five readings a second and hears all others; all clocks are one. */
async function listenAndSend({ postUrl, streamUrl, fabricationId, pileId }: Place, seconds: number): Promise<Heard> {
  const sentAt = new Map<string, { at: number; device: number }>()
  const heard = Array.from({ length: DEVICES }, () => new Map<string, number>())
  let doubled = 0
  let order = 0
  const aborter = new AbortController()
  await Promise.all(heard.map((mine) => follow(streamUrl, aborter.signal, mine, () => doubled++)))
  await Promise.all(
    heard.map(async (_, device) => {
      await sleep((device * EVERY_MS) / DEVICES)
      const end = performance.now() + seconds * 1000
      for (let due = performance.now(); due < end; due += EVERY_MS) {
        await sleep(Math.max(0, due - performance.now()))
        const id = newId()
        sentAt.set(id, { at: performance.now(), device })
        const fields = { id, order: ++order, fabricationId, takenAt: new Date().toISOString() }
        const reading = { kind: 'reading', ...fields, pileId, grams: 250 + device, source: 'scale' }
        void fetch(postUrl, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ facts: [reading] }),
        }).then((response) => response.arrayBuffer())
      }
    }),
  )
  await sleep(TAIL_MS)
  aborter.abort()
  const delays: number[] = []
  let missing = 0
  for (const [id, { at, device }] of sentAt) {
    heard.forEach((mine, other) => {
      if (other === device) return
      const arrived = mine.get(id)
      if (arrived === undefined) missing++
      else delays.push(arrived - at)
    })
  }
  return { delays, doubled, missing, sent: sentAt.size }
}

async function follow(
  url: string,
  signal: AbortSignal,
  mine: Map<string, number>,
  onDouble: () => void,
): Promise<void> {
  const response = await fetch(url, { signal })
  const reader = (response.body as ReadableStream<Uint8Array>).getReader()
  const decoder = new TextDecoder()
  const listen = async () => {
    let rest = ''
    for (;;) {
      const { value, done } = await reader.read()
      if (done) return
      const lines = (rest + decoder.decode(value, { stream: true })).split('\n')
      rest = lines.pop() as string
      for (const line of lines) {
        if (!line.startsWith('data: ')) continue
        const now = performance.now()
        const news = JSON.parse(line.slice('data: '.length)) as { facts: { id: string }[] } | null
        for (const { id } of news?.facts ?? []) {
          if (mine.has(id)) onDouble()
          else mine.set(id, now)
        }
      }
    }
  }
  void listen().catch(() => {})
}

/** The least there could be: a route that hands each reading on and stores nothing. */
async function startBare() {
  const app = Fastify({ forceCloseConnections: true })
  const streams = new Set<PassThrough>()
  app.post('/', (request) => {
    for (const stream of streams) stream.write(`data: ${JSON.stringify(request.body)}\n\n`)
    return { kept: [] }
  })
  app.get('/stream', (_request, reply) => {
    const stream = new PassThrough()
    streams.add(stream)
    stream.write(': here\n\n')
    return reply.type('text/event-stream').send(stream)
  })
  return { url: await app.listen({ port: 0, host: '127.0.0.1' }), close: () => app.close() }
}

/** A turkey batch of its own, so that the demo's half-done birds stay as they are. */
async function openFabrication(url: string): Promise<{ kitchenId: string; state: FabricationState }> {
  const call = callAt(url)
  const [kitchen] = await call(kitchenOperations.listKitchens, {})
  const kitchenId = kitchen?.id as string
  const [item] = await call(styleOperations.listItems, { kitchenId })
  const now = new Date().toISOString()
  const state = await call(startOperations.startFabrication, {
    kitchenId,
    body: {
      id: newId(),
      styleId: item?.styles[0]?.id as string,
      units: 4000,
      purchase: { price: { amount: 3, per: 'kg' }, invoiceWeight: 8_400_000, pieces: 4000 },
      cookId: null,
      supplierId: null,
      lot: null,
      date: now.slice(0, 10),
      startedAt: now,
    },
  })
  return { kitchenId, state }
}

interface Frames {
  perSecond: number
  longTasks: number
  longestMs: number
}

const WATCH = `
  window.watched = { frames: 0, from: performance.now(), long: [] }
  requestAnimationFrame(function count() {
    watched.frames++
    requestAnimationFrame(count)
  })
  new PerformanceObserver((list) => {
    for (const entry of list.getEntries()) watched.long.push(entry.duration)
  }).observe({ entryTypes: ['longtask'] })
`

/** Counts frames and tasks over 50 ms on a page from now on; `stop` tells them. */
async function watchFrames(page: Page): Promise<() => Promise<Frames>> {
  await page.evaluate(WATCH)
  return async () => {
    const { frames, seconds, long } = (await page.evaluate(
      '({ frames: watched.frames, seconds: (performance.now() - watched.from) / 1000, long: watched.long })',
    )) as { frames: number; seconds: number; long: number[] }
    return {
      perSecond: frames / seconds,
      longTasks: long.filter((ms) => ms > LONG_TASK_MS).length,
      longestMs: Math.max(0, ...long),
    }
  }
}

/** Twelve devices at one bench, five readings a second each, and the page of a thirteenth while they stream. */
export async function benchDevices(url: string): Promise<void> {
  const { kitchenId, state } = await openFabrication(url)
  const fabricationId = state.record.id
  const of = { kitchenId, fabricationId }
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  })
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(`${url}/bench/${state.record.id}`)
  await page.locator('.tiles_tile').first().waitFor()
  await sleep(1_500)
  const stopFrames = await watchFrames(page)
  const pileId = state.record.piles[0]?.id as string
  const ours = await listenAndSend(
    {
      postUrl: `${url}${addressOf(factOperations.createFacts, { kitchenId })}`,
      streamUrl: `${url}${addressOf(factOperations.followFabrication, of)}`,
      fabricationId,
      pileId,
    },
    SECONDS,
  )
  const frames = await stopFrames()
  const stored = (await callAt(url)(fabricationOperations.readFabrication, of)).facts.length
  const blank = await browser.newPage()
  const stopBlank = await watchFrames(blank)
  const bare = await startBare()
  const plain = await listenAndSend(
    { postUrl: `${bare.url}/`, streamUrl: `${bare.url}/stream`, fabricationId, pileId },
    BARE_SECONDS,
  )
  const blankFrames = await stopBlank()
  await bare.close()
  await browser.close()
  for (const [name, at] of [
    ['p50', 0.5],
    ['p95', 0.95],
  ] as const) {
    const [a, b] = [quantile(ours.delays, at), quantile(plain.delays, at)]
    report(
      `device to device, ${name}, ${DEVICES} devices ${SECONDS} s`,
      `${a.toFixed(1)} ms`,
      `bare relay, nothing stored ${b.toFixed(1)} ms`,
      a / b,
      at > 0.5 ? 'aim: under 1,000 ms' : '',
    )
  }
  process.stdout.write(
    `${ours.sent} sent, ${stored} stored, ${ours.missing} deliveries missing, ${ours.doubled} doubled; aim: none lost or doubled\n`,
  )
  report(
    'frames a second at the bench meanwhile',
    frames.perSecond.toFixed(1),
    `blank page ${blankFrames.perSecond.toFixed(1)}`,
    frames.perSecond / blankFrames.perSecond,
    `${frames.longTasks} tasks over 50 ms, the longest ${frames.longestMs.toFixed(0)} ms; aim: none`,
  )
}

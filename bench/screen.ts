import { connect } from 'node:net'
import { createInterface } from 'node:readline'
import { PassThrough } from 'node:stream'
import { setTimeout as sleep } from 'node:timers/promises'
import { fabricationOperations } from '@fleam/contract/fabrication/operations'
import { callAt } from '@fleam/contract/fetch-client'
import { kitchenOperations } from '@fleam/contract/kitchen/operations'
import { chromium, type Page } from '@playwright/test'
import Fastify from 'fastify'
import type { Emitter } from './emitter.ts'
import { quantile, report } from './report.ts'

const READINGS = 200
const EVERY_MS = 60
const FIRST_GRAMS = 1001

/** Times from a line on the scale's wire to the frame in which the page shows it. */
async function timesOn(page: Page, selector: string, emitter: Emitter): Promise<number[]> {
  await page.evaluate((which) => {
    const seen: [string, number][] = []
    Object.assign(window, { seen })
    const element = document.querySelector(which) as HTMLElement
    new MutationObserver(() => {
      const text = (element.textContent ?? '').replace(/\D/g, '')
      // After the next frame has been drawn: the reading is on the screen.
      requestAnimationFrame(() => {
        const channel = new MessageChannel()
        channel.port1.onmessage = () => seen.push([text, performance.timeOrigin + performance.now()])
        channel.port2.postMessage(null)
      })
    }).observe(element, { childList: true, characterData: true, subtree: true })
  }, selector)
  const sent = new Map<string, number>()
  for (let at = 0; at < READINGS; at++) {
    const grams = FIRST_GRAMS + at
    sent.set(String(grams), emitter.emit(grams))
    await sleep(EVERY_MS)
  }
  await sleep(500)
  const seen = (await page.evaluate('seen')) as [string, number][]
  return seen.flatMap(([text, at]) => {
    const start = sent.get(text)
    return start === undefined ? [] : [at - start]
  })
}

const BARE_PAGE = `<!doctype html><p id="weight"></p><script>
new EventSource('/stream').onmessage = (event) => { document.getElementById('weight').textContent = event.data }
</script>`

/** The least there could be: the wire's line through a bare route to a bare page. */
async function startBare(scalePort: number) {
  const app = Fastify()
  const streams = new Set<PassThrough>()
  const socket = connect(scalePort, '127.0.0.1')
  createInterface({ input: socket })
    .on('error', () => {})
    .on('line', (line) => {
      const weight = /weight=(\d+)/.exec(line)?.[1]
      for (const stream of streams) stream.write(`data: ${weight}\n\n`)
    })
  app.get('/', (_request, reply) => reply.type('text/html').send(BARE_PAGE))
  app.get('/stream', (request, reply) => {
    const stream = new PassThrough()
    streams.add(stream)
    request.raw.on('close', () => streams.delete(stream))
    stream.write(': here\n\n')
    return reply.type('text/event-stream').send(stream)
  })
  const url = await app.listen({ port: 0, host: '127.0.0.1' })
  return {
    url,
    close: async () => {
      socket.destroy()
      for (const stream of streams) stream.end()
      await app.close()
    },
  }
}

async function benchPath(url: string): Promise<string> {
  const call = callAt(url)
  const [kitchen] = await call(kitchenOperations.listKitchens, {})
  const rows = await call(fabricationOperations.listFabrications, { kitchenId: kitchen?.id as string })
  return `/bench/${rows.find((row) => row.status === 'open')?.id}`
}

/** From the scale to the screen, ours on the whole bench page and the bare one beside it. */
export async function benchScreen(url: string, emitter: Emitter): Promise<void> {
  const bare = await startBare(emitter.port)
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  })
  const open = async (address: string, selector: string) => {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await page.goto(address)
    emitter.emit(999)
    await page.locator(selector, { hasText: '999' }).waitFor()
    return page
  }
  const ours = await timesOn(
    await open(url + (await benchPath(url)), '.scale-panel_scale-weight'),
    '.scale-panel_scale-weight',
    emitter,
  )
  const plain = await timesOn(await open(bare.url, '#weight'), '#weight', emitter)
  await browser.close()
  await bare.close()
  for (const [name, at, aim] of [
    ['p50', 0.5, ''],
    ['p95', 0.95, 'aim: under 100 ms'],
  ] as const) {
    const [a, b] = [quantile(ours, at), quantile(plain, at)]
    report(
      `scale to screen, ${name} of ${ours.length} readings`,
      `${a.toFixed(1)} ms`,
      `bare route and page ${b.toFixed(1)} ms`,
      a / b,
      aim,
    )
  }
}

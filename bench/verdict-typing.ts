import { callAt } from '@fleam/contract/fetch-client'
import { kitchenOperations } from '@fleam/contract/kitchen/operations'
import { importOperations } from '@fleam/contract/new-records/operations'
import type { FabricationDocument } from '@fleam/core/fabrication'
import { chromium, type Page } from '@playwright/test'
import { v7 as newId } from 'uuid'
import { quantile, report } from './report.ts'

const PILES = 60
const STROKES = 40
const FRAME_MS = 1000 / 60

/** A record with sixty piles, one of them the portions. */
const largeRecord = (): FabricationDocument => ({
  format: 'fleam/fabrication',
  version: 1,
  currency: 'EUR',
  item: 'Chicken, eviscerated',
  style: 'Sixty piles',
  purchase: { price: { amount: 3.1, per: 'kg' }, invoiceWeight: 62_000, extras: 3 },
  labour: [{ task: 'break down', minutes: 240, ratePerHour: 21.4 }],
  piles: [
    { name: 'supremes', class: 'primary', weight: 16_800, portions: 60, target: 280, valuePerKg: 13.2 },
    ...Array.from({ length: PILES - 1 }, (_, index) => ({
      name: `by-product ${index + 1}`,
      class: 'by-product' as const,
      weight: 740,
      valuePerKg: 2,
      usedShare: 0.9,
    })),
  ],
  creditPolicy: 'used',
  allocation: 'value',
  offers: [
    { name: 'Supremes ready', pile: 'supremes', price: { amount: 76, per: 'case' }, pieces: 20, pieceWeight: 280 },
  ],
})

/** Milliseconds from a keystroke in `selector` to the end of the frame that shows what came of it. */
function strokesOn(page: Page, selector: string): Promise<number[]> {
  return page.evaluate(
    async ({ which, strokes }) => {
      const field = document.querySelector(which) as HTMLInputElement
      const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set
      const times: number[] = []
      for (let at = 0; at < strokes; at++) {
        await new Promise((resolve) => setTimeout(resolve, 250))
        const start = performance.now()
        set?.call(field, String(3 + at / 100))
        field.dispatchEvent(new Event('input', { bubbles: true }))
        await new Promise<void>((resolve) =>
          requestAnimationFrame(() => {
            const channel = new MessageChannel()
            channel.port1.onmessage = () => resolve()
            channel.port2.postMessage(null)
          }),
        )
        times.push(performance.now() - start)
      }
      return times
    },
    { which: selector, strokes: STROKES },
  )
}

const BARE = `<!doctype html><input id="price">${'<p>0</p>'.repeat(PILES * 11)}<script>
document.getElementById('price').oninput = (event) => {
  for (const p of document.querySelectorAll('p')) p.textContent = (event.target.value * 7).toFixed(2)
}</script>`

/** Typing in a verdict with sixty piles: every figure follows; beside it a bare page with as many numbers. */
export async function benchVerdictTyping(url: string): Promise<void> {
  const call = callAt(url)
  const [kitchen] = await call(kitchenOperations.listKitchens, {})
  const id = newId()
  await call(importOperations.importDocument, {
    kitchenId: kitchen?.id as string,
    // What it names is of no kitchen, and is to stay that way.
    query: { id, item: 'none', style: 'none', supplier: 'none', cook: 'none' },
    body: largeRecord(),
  })
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  })
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(`${url}/verdict/${id}`)
  await page.getByRole('button', { name: 'Inputs and exports' }).first().click()
  await page.getByLabel('Price, EUR').first().waitFor()
  await page
    .getByLabel('Price, EUR')
    .first()
    .evaluate((field) => field.setAttribute('data-bench', 'price'))
  const ours = await strokesOn(page, '[data-bench=price]')
  const plain = await browser.newPage()
  await plain.setContent(BARE)
  const bare = await strokesOn(plain, '#price')
  await browser.close()
  const [a, b] = [quantile(ours, 0.5), quantile(bare, 0.5)]
  report(
    `typing in a verdict of ${PILES} piles, p50`,
    `${a.toFixed(1)} ms`,
    `bare page of as many numbers ${b.toFixed(1)} ms`,
    a / b,
    `aim: within a frame, ${FRAME_MS.toFixed(0)} ms of work`,
  )
}

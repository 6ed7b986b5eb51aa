import { chromium, type Page } from '@playwright/test'
import { quantile, report } from './report.ts'

const FRAMES = 120
const FRAME_MS = 1000 / 60
/** Pixels that the line goes in one frame. */
const STRIDE = 3

/** Milliseconds from frame to frame while the line under `selector` is dragged by one move in each. */
function dragOn(page: Page, selector: string): Promise<number[]> {
  return page.evaluate(
    async ({ which, frames, stride }) => {
      // Pointers that are made here cannot be captured.
      Element.prototype.setPointerCapture = () => {}
      const line = document.querySelector(which) as Element
      const { left, width, top } = line.getBoundingClientRect()
      const middle = left + width / 2
      // There and back again, over a span that changes the portions.
      const moves = Array.from({ length: frames }, (_, index) => middle + stride * (20 - Math.abs(20 - (index % 40))))
      const shown: number[] = []
      for (const [at, clientX] of [middle, ...moves].entries()) {
        shown.push(await new Promise<number>((resolve) => requestAnimationFrame(resolve)))
        const type = at === 0 ? 'pointerdown' : 'pointermove'
        line.dispatchEvent(new PointerEvent(type, { bubbles: true, pointerId: 1, clientX, clientY: top + 4 }))
      }
      line.dispatchEvent(new PointerEvent('pointerup', { bubbles: true, pointerId: 1 }))
      return shown.slice(1).map((time, index) => time - (shown[index] as number))
    },
    { which: selector, frames: FRAMES, stride: STRIDE },
  )
}

const BARE = `<!doctype html><svg width="1200" height="300"><rect id="line" x="400" width="28" height="280"/></svg>
${'<p>0</p>'.repeat(120)}<script>
document.getElementById('line').onpointermove = (event) => {
  event.target.setAttribute('x', event.clientX)
  for (const p of document.querySelectorAll('p')) p.textContent = (event.clientX * 7).toFixed(1)
}</script>`

/** A knife line that is dragged: weights, faces and money follow in the same frame; beside it a bare page as large. */
export async function benchKnifeDrag(url: string): Promise<void> {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  })
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(`${url}/knife`)
  await page.getByRole('row', { name: /^on the board/ }).waitFor()
  await page.waitForTimeout(2000)
  await page
    .getByRole('slider', { name: 'Knife line' })
    .nth(4)
    .evaluate((line) => line.setAttribute('data-bench', 'line'))
  const ours = await dragOn(page, '[data-bench=line]')
  const plain = await browser.newPage()
  await plain.setContent(BARE)
  const bare = await dragOn(plain, '#line')
  await browser.close()
  const [late, bareLate] = [ours, bare].map((times) => times.filter((time) => time > 1.5 * FRAME_MS).length)
  report(
    'dragging a knife line, p50 from frame to frame',
    `${quantile(ours, 0.5).toFixed(1)} ms, ${late} of ${ours.length} late`,
    `bare page of as many numbers ${quantile(bare, 0.5).toFixed(1)} ms, ${bareLate} late`,
    quantile(ours, 0.5) / quantile(bare, 0.5),
    `aim: 60 frames a second, ${FRAME_MS.toFixed(1)} ms`,
  )
}

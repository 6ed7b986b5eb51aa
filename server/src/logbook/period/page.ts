import { MARGIN, type Page, pdfOf, ROW, SOFT, table, text, WIDTH } from '../../paper/index.ts'
import type { PeriodContent } from './content.ts'

const GAP = 12

/** Draws a span of days: one page of PDF, on the paper of the kitchen's country. */
export const periodPdf = (content: PeriodContent): Promise<Buffer> =>
  pdfOf(content.title, content.paper, (page) => draw(page, content))

function draw(page: Page, content: PeriodContent): void {
  let y = MARGIN
  const line = (words: string, options: Partial<Parameters<typeof text>[2]> = {}) => {
    y = text(page, words, { x: MARGIN, y, width: WIDTH, ...options }) + 3
  }
  line(content.title, { size: 11, weight: 'bold' })
  line(content.facts, { colour: SOFT, height: ROW })
  y += 4
  line(content.sentence, { size: 16, height: 60 })
  y += 6
  y = table(page, content.lost, { x: MARGIN, y, width: WIDTH * 0.6 }) + GAP
  y = table(page, content.items, { x: MARGIN, y, width: WIDTH }) + GAP
  y = table(page, content.cooks, { x: MARGIN, y, width: WIDTH }) + GAP
  line('What changed', { weight: 'bold' })
  for (const words of content.changes) line(words, { height: 2 * ROW })
  y += 4
  line('Records that cannot be right', { weight: 'bold' })
  for (const words of content.doubts) line(words, { height: 2 * ROW })
  y += 4
  line(content.foot, { colour: SOFT, size: 7.5 })
}

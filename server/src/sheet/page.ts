import { INK, MARGIN, type Page, pdfOf, ROW, SOFT, table, text, WIDTH } from '../paper/index.ts'
import type { SheetBar, SheetContent } from './content.ts'

const GAP = 12
const SHADES = ['#1d1a16', '#8a7e6b', '#cfc4ae', '#e8dfcc']
const SENTENCE_ROW = 20

/** Draws the sheet: one page of PDF, on the paper of the kitchen's country. */
export const sheetPdf = (content: SheetContent): Promise<Buffer> =>
  pdfOf(content.title, content.paper, (page) => draw(page, content))

function draw(page: Page, content: SheetContent): void {
  let y = MARGIN
  const line = (words: string, options: Partial<Parameters<typeof text>[2]> = {}) => {
    y = text(page, words, { x: MARGIN, y, width: WIDTH, ...options }) + 3
  }
  line(content.title, { size: 11, weight: 'bold' })
  line(content.facts, { colour: SOFT, height: 2 * ROW })
  if (content.whatIf) line(content.whatIf, { weight: 'bold' })
  y += 4
  line(content.sentence, { size: 16, height: 5 * SENTENCE_ROW })
  for (const warning of content.warnings) line(`! ${warning}`, { weight: 'bold', height: ROW })
  y += 6
  for (const sheetBar of content.bars) y = bar(page, sheetBar, y) + 6
  y += 4
  const half = (WIDTH - 2 * GAP) / 2
  const left = { x: MARGIN, width: half }
  const right = { x: MARGIN + half + 2 * GAP, width: half }
  const turnsEnd = content.turns.rows.length > 0 ? table(page, content.turns, { ...left, y }) + GAP : y
  const leftEnd = content.policies.rows.length > 0 ? table(page, content.policies, { ...left, y: turnsEnd }) : turnsEnd
  const rightEnd = table(page, content.sums, { ...right, y })
  y = Math.max(leftEnd, rightEnd) + GAP
  y = table(page, content.piles, { x: MARGIN, y, width: WIDTH }) + GAP
  line(content.rests, { height: 3 * ROW })
  line(content.foot, { colour: SOFT, size: 7.5, link: content.address })
}

/** A stacked bar with its parts in words below it. */
function bar(page: Page, { name, total, parts }: SheetBar, y: number): number {
  const label = 70
  const track = WIDTH - label
  text(page, `${name} ${total}`, { x: MARGIN, y: y + 1, width: label, weight: 'bold' })
  let x = MARGIN + label
  parts.forEach((part, index) => {
    const width = part.share * track
    if (width > 0)
      page
        .rect(x, y, width, 12)
        .lineWidth(0.5)
        .fillAndStroke(SHADES[index % SHADES.length] as string, INK)
    x += width
  })
  return text(page, parts.map((part) => part.words).join('   '), {
    x: MARGIN + label,
    y: y + 14,
    width: track,
    colour: SOFT,
  })
}

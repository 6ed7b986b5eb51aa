import { INK, MARGIN, type Page, pdfOf, SOFT, text, WIDTH } from '../paper/index.ts'
import type { ListRow, PaperList, PaperLists } from './lists.ts'

const SIZE = 10.5
const BOX = 9
const TIME = 78
const GAP = 4
/** A row is never begun so near to the foot of a page. */
const LEAST = 36

/** Draws the lists, each on pages of its own, every row with a box to tick. */
export const listsPdf = (lists: PaperLists): Promise<Buffer> =>
  pdfOf(lists.title, lists.paper, (page) => {
    if (lists.lists.length === 0)
      text(page, 'Nothing is scheduled.', { x: MARGIN, y: MARGIN, width: WIDTH, size: SIZE })
    lists.lists.forEach((list, index) => {
      if (index > 0) page.addPage()
      draw(page, list, lists.title)
    })
  })

function draw(page: Page, { title, parts }: PaperList, of: string): void {
  let y = heading(page, title, of)
  const room = (height: number) => {
    if (y + height < page.page.height - MARGIN) return
    page.addPage()
    y = heading(page, `${title}, further`, of)
  }
  for (const { heading: words, rows } of parts) {
    room(2 * LEAST)
    y = text(page, words, { x: MARGIN, y: y + GAP, width: WIDTH, size: SIZE + 1, weight: 'bold' }) + GAP
    for (const row of rows) {
      room(LEAST)
      y = rowOf(page, row, y)
    }
  }
}

function heading(page: Page, title: string, of: string): number {
  const y = text(page, title, { x: MARGIN, y: MARGIN, width: WIDTH, size: 18, weight: 'bold' })
  return text(page, of, { x: MARGIN, y, width: WIDTH, colour: SOFT }) + GAP
}

function rowOf(page: Page, { time, words, more }: ListRow, y: number): number {
  page
    .rect(MARGIN, y + 1, BOX, BOX)
    .lineWidth(0.8)
    .stroke(INK)
  const x = MARGIN + BOX + 2 * GAP
  if (time !== '') text(page, time, { x, y, width: TIME, size: SIZE })
  const left = time === '' ? x : x + TIME
  const end = text(page, words, { x: left, y, width: WIDTH - (left - MARGIN), size: SIZE })
  if (more === '') return end + GAP
  return text(page, more, { x: left, y: end, width: WIDTH - (left - MARGIN), colour: SOFT }) + GAP
}

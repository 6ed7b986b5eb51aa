import { createRequire } from 'node:module'
import PDFDocument from 'pdfkit'
import type { SheetBar, SheetContent, SheetTable } from './content.ts'

const MARGIN = 42
/** What fits on A4; Letter is a little wider and has more margin. */
const WIDTH = 595.28 - 2 * MARGIN
const GAP = 12
const INK = '#1d1a16'
const SOFT = '#5d564b'
const LINE = '#b9ad97'
const SHADES = ['#1d1a16', '#8a7e6b', '#cfc4ae', '#e8dfcc']
const BODY = 8.5
const ROW = 12.5
const SENTENCE_ROW = 20

const packages = createRequire(import.meta.url)
const fontFile = (subset: string, weight: number) =>
  packages.resolve(`@fontsource/fira-sans/files/fira-sans-${subset}-${weight}-normal.woff`)

type Weight = 'regular' | 'bold'
/** Letters that the first file of the font does not have stand in the second. */
const FILES: Readonly<Record<Weight, { latin: string; extended: string }>> = {
  regular: { latin: fontFile('latin', 400), extended: fontFile('latin-ext', 400) },
  bold: { latin: fontFile('latin', 600), extended: fontFile('latin-ext', 600) },
}
const EXTENDED = /([\u0100-\u02ba\u1e00-\u1eff]+)/

type Page = InstanceType<typeof PDFDocument>

interface TextBox {
  x: number
  y: number
  width: number
  /** What does not fit is cut off with an ellipsis, so that the sheet stays one page. */
  height?: number
  size?: number
  weight?: Weight
  colour?: string
  align?: 'left' | 'right'
}

/** Draws the sheet: one page of PDF, on the paper of the kitchen's country. */
export async function sheetPdf(content: SheetContent): Promise<Buffer> {
  const page = new PDFDocument({
    size: content.paper,
    margins: { top: MARGIN, left: MARGIN, right: MARGIN, bottom: MARGIN / 2 },
    info: { Title: content.title, Creator: 'Fleam' },
  })
  const chunks: Buffer[] = []
  page.on('data', (chunk: Buffer) => chunks.push(chunk))
  const ended = new Promise<void>((resolve) => page.on('end', () => resolve()))
  draw(page, content)
  page.end()
  await ended
  return Buffer.concat(chunks)
}

function draw(page: Page, content: SheetContent): void {
  let y = MARGIN
  const line = (words: string, options: Partial<TextBox> = {}) => {
    y = text(page, words, { x: MARGIN, y, width: WIDTH, ...options }) + 3
  }
  line(content.title, { size: 11, weight: 'bold' })
  line(content.facts, { colour: SOFT, height: 2 * ROW })
  if (content.whatIf) line(content.whatIf, { weight: 'bold' })
  y += 4
  line(content.sentence, { size: 16, height: 5 * SENTENCE_ROW })
  for (const warning of content.warnings) line(`! ${warning}`, { weight: 'bold', height: ROW })
  y += 6
  for (const each of content.bars) y = bar(page, each, y) + 6
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
  line(content.foot, { colour: SOFT, size: 7.5 })
}

/** Writes words and says where they end; words in letters of both font files are put together. */
function text(
  page: Page,
  words: string,
  { x, y, width, height, size = BODY, weight = 'regular', colour = INK, align = 'left' }: TextBox,
): number {
  page.fontSize(size).fillColor(colour)
  const runs = words.split(EXTENDED).filter((run) => run !== '')
  page.font(FILES[weight].latin)
  if (runs.length === 0) return y + page.currentLineHeight()
  runs.forEach((run, at) => {
    const isLast = at === runs.length - 1
    page.font(EXTENDED.test(run) ? FILES[weight].extended : FILES[weight].latin)
    const limit = height === undefined ? {} : { height, ellipsis: true }
    const options = { width, align, continued: !isLast, lineGap: 1, ...limit }
    if (at === 0) page.text(run, x, y, options)
    else page.text(run, options)
  })
  return page.y
}

/** A stacked bar with its parts in words below it. */
function bar(page: Page, { name, total, parts }: SheetBar, y: number): number {
  const label = 70
  const track = WIDTH - label
  text(page, `${name} ${total}`, { x: MARGIN, y: y + 1, width: label, weight: 'bold' })
  let x = MARGIN + label
  parts.forEach((part, at) => {
    const width = part.share * track
    if (width > 0)
      page
        .rect(x, y, width, 12)
        .lineWidth(0.5)
        .fillAndStroke(SHADES[at % SHADES.length] as string, INK)
    x += width
  })
  return text(page, parts.map((part) => part.words).join('   '), {
    x: MARGIN + label,
    y: y + 14,
    width: track,
    colour: SOFT,
  })
}

interface TableBox {
  x: number
  y: number
  width: number
}

/** A table whose first column has words and whose others have figures; says where it ends. */
function table(page: Page, { heads, rows }: SheetTable, { x, y, width }: TableBox): number {
  const first = heads.length > 4 ? 0.28 : 0.5
  const rest = (width * (1 - first)) / (heads.length - 1)
  const row = (cells: readonly string[], top: number, weight: Weight, colour: string) => {
    cells.forEach((cell, at) => {
      const left = at === 0 ? x : x + width * first + rest * (at - 1)
      const size = { width: at === 0 ? width * first : rest, height: ROW }
      page.save().rect(left, top, size.width, size.height).clip()
      text(page, cell, { x: left, y: top + 1.5, width: size.width, weight, colour, align: at === 0 ? 'left' : 'right' })
      page.restore()
    })
    page
      .moveTo(x, top + ROW)
      .lineTo(x + width, top + ROW)
      .lineWidth(0.5)
      .stroke(weight === 'bold' ? INK : LINE)
  }
  row(heads, y, 'bold', INK)
  rows.forEach((cells, at) => {
    row(cells, y + ROW * (at + 1), 'regular', INK)
  })
  return y + ROW * (rows.length + 1)
}

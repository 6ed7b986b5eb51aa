import { createRequire } from 'node:module'
import type PDFDocument from 'pdfkit'

export type Paper = 'A4' | 'LETTER'

/** The paper of the kitchen's country. */
export const paperOf = (units: 'metric' | 'imperial'): Paper => (units === 'metric' ? 'A4' : 'LETTER')

export const MARGIN = 42
/** What fits on A4; Letter is a little wider and has more margin. */
export const WIDTH = 595.28 - 2 * MARGIN
export const INK = '#1d1a16'
export const SOFT = '#5d564b'
const LINE = '#b9ad97'
export const BODY = 8.5
export const ROW = 12.5

const packages = createRequire(import.meta.url)
const fontFile = (subset: string, weight: number) =>
  packages.resolve(`@fontsource/fira-sans/files/fira-sans-${subset}-${weight}-normal.woff`)

export type Weight = 'regular' | 'bold'
/** Letters that the first file of the font does not have stand in the second. */
const FILES: Readonly<Record<Weight, { latin: string; extended: string }>> = {
  regular: { latin: fontFile('latin', 400), extended: fontFile('latin-ext', 400) },
  bold: { latin: fontFile('latin', 600), extended: fontFile('latin-ext', 600) },
}
const EXTENDED = /([\u0100-\u02ba\u1e00-\u1eff]+)/

export type Page = InstanceType<typeof PDFDocument>

export interface TextBox {
  x: number
  y: number
  width: number
  /** What does not fit is cut off with an ellipsis, so that the sheet stays one page. */
  height?: number
  size?: number
  weight?: Weight
  colour?: string
  align?: 'left' | 'right'
  /** Where a touch of the words leads. */
  link?: string
}

export interface SheetTable {
  heads: string[]
  rows: string[][]
}

/** A PDF that `draw` fills; one page unless it adds more. */
export async function pdfOf(title: string, paper: Paper, draw: (page: Page) => void): Promise<Buffer> {
  // Whoever draws the pages is large, and a start must not wait for it.
  const { default: Document } = await import('pdfkit')
  const page = new Document({
    size: paper,
    margins: { top: MARGIN, left: MARGIN, right: MARGIN, bottom: MARGIN / 2 },
    info: { Title: title, Creator: 'Fleam' },
  })
  const chunks: Buffer[] = []
  page.on('data', (chunk: Buffer) => chunks.push(chunk))
  const ended = new Promise<void>((resolve) => page.on('end', () => resolve()))
  draw(page)
  page.end()
  await ended
  return Buffer.concat(chunks)
}

/** Writes words and says where they end; words in letters of both font files are put together. */
export function text(
  page: Page,
  words: string,
  { x, y, width, height, size = BODY, weight = 'regular', colour = INK, align = 'left', link }: TextBox,
): number {
  page.fontSize(size).fillColor(colour)
  const runs = words.split(EXTENDED).filter((run) => run !== '')
  page.font(FILES[weight].latin)
  if (runs.length === 0) return y + page.currentLineHeight()
  runs.forEach((run, index) => {
    const isLast = index === runs.length - 1
    page.font(EXTENDED.test(run) ? FILES[weight].extended : FILES[weight].latin)
    const limit = height === undefined ? {} : { height, ellipsis: true }
    const options = { width, align, continued: !isLast, lineGap: 1, ...limit, ...(link === undefined ? {} : { link }) }
    if (index === 0) page.text(run, x, y, options)
    else page.text(run, options)
  })
  return page.y
}

export interface TableBox {
  x: number
  y: number
  width: number
}

/** A table whose first column has words and whose others have figures; says where it ends. */
export function table(page: Page, { heads, rows }: SheetTable, { x, y, width }: TableBox): number {
  const first = heads.length > 4 ? 0.28 : 0.5
  const rest = (width * (1 - first)) / (heads.length - 1)
  const row = (cells: readonly string[], top: number, weight: Weight, colour: string) => {
    cells.forEach((cell, index) => {
      const left = index === 0 ? x : x + width * first + rest * (index - 1)
      const size = { width: index === 0 ? width * first : rest, height: ROW }
      page.save().rect(left, top, size.width, size.height).clip()
      text(page, cell, {
        x: left,
        y: top + 1.5,
        width: size.width,
        weight,
        colour,
        align: index === 0 ? 'left' : 'right',
      })
      page.restore()
    })
    page
      .moveTo(x, top + ROW)
      .lineTo(x + width, top + ROW)
      .lineWidth(0.5)
      .stroke(weight === 'bold' ? INK : LINE)
  }
  row(heads, y, 'bold', INK)
  rows.forEach((cells, index) => {
    row(cells, y + ROW * (index + 1), 'regular', INK)
  })
  return y + ROW * (rows.length + 1)
}

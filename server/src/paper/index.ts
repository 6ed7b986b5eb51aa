export type { Page, Paper, SheetTable } from './paper.ts'
export { INK, MARGIN, paperOf, pdfOf, ROW, SOFT, table, text, WIDTH } from './paper.ts'

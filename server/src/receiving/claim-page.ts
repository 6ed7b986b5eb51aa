import { faultWords, RECEIVING_CHECKS } from '@fleam/catalogue'
import type { Supplier } from '@fleam/contract/buying/schemas'
import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import type { Lot } from '@fleam/contract/receiving/schemas'
import { lotClaim } from '@fleam/core/receiving'
import { minorDigits, roundParts } from '@fleam/core/units'
import { type Format, formatFor } from '@fleam/core/wording'
import { MARGIN, type Page, paperOf, pdfOf, ROW, type SheetTable, SOFT, table, text, WIDTH } from '../paper/index.ts'

export interface ClaimPapers {
  kitchen: Kitchen
  supplier: Supplier
  lot: Lot
  /** Pictures as JPEG. */
  pictures: readonly Buffer[]
  /** Day on which it is written. */
  today: string
}

const PICTURE_WIDTH = (WIDTH - 24) / 3
const PICTURE_HEIGHT = 150
/** Pictures beyond these do not make a claim clearer. */
const MAX_PICTURES = 6

const STANDING_WORDS: Readonly<Record<Lot['standing'], string>> = {
  accepted: '',
  quarantined: 'It is in quarantine.',
  returned: 'It went back; nothing of it is owed.',
  refused: 'It was refused at the door; nothing of it is owed.',
}

/** What is claimed of a delivery, as a letter to the supplier: numbers, cases, faults and their worth, pictures, a line to sign. */
export function claimPdf(papers: ClaimPapers): Promise<Buffer> {
  const { kitchen, supplier, lot } = papers
  return pdfOf(`Claim to ${supplier.name}, ${lot.item}`, paperOf(kitchen.units), (page) => draw(page, papers))
}

function draw(page: Page, { kitchen, supplier, lot, pictures, today }: ClaimPapers): void {
  const format = formatFor(kitchen.currency, kitchen.units, kitchen.decimalMark)
  let y = MARGIN
  const line = (words: string, options: Partial<Parameters<typeof text>[2]> = {}) => {
    y = text(page, words, { x: MARGIN, y, width: WIDTH, ...options }) + 3
  }
  const half = { width: WIDTH / 2 - 8 }
  const from = text(page, [kitchen.name, kitchen.address ?? ''].join('\n'), { x: MARGIN, y, ...half })
  const to = text(page, [supplier.name, supplier.address ?? ''].join('\n'), { x: MARGIN + WIDTH / 2 + 8, y, ...half })
  y = Math.max(from, to) + ROW
  line(`Claim: ${lot.item}`, { size: 14, weight: 'bold' })
  line(aboutOf(lot, today), { colour: SOFT })
  if (lot.standing !== 'accepted') line(`${STANDING_WORDS[lot.standing]} ${lot.standingReason ?? ''}`.trim())
  y = table(page, casesTable(lot, format), { x: MARGIN, y: y + 6, width: WIDTH }) + ROW
  const faults = faultsTable(lot, format)
  if (faults.rows.length > 0) y = table(page, faults, { x: MARGIN, y, width: WIDTH }) + ROW
  line(`To claim in all: ${format.money(lotClaim(lot).total)}`, { size: 12, weight: 'bold' })
  y = drawPictures(page, pictures.slice(0, MAX_PICTURES), y + 6)
  if (y > page.page.height - 5 * ROW) {
    page.addPage()
    y = MARGIN
  }
  page
    .moveTo(MARGIN, y + 3 * ROW)
    .lineTo(MARGIN + 200, y + 3 * ROW)
    .lineWidth(0.5)
    .stroke()
  text(page, `Signature, for ${kitchen.name}`, { x: MARGIN, y: y + 3 * ROW + 3, width: WIDTH, colour: SOFT })
}

const aboutOf = (lot: Lot, today: string): string =>
  [
    `delivered on ${lot.receivedOn}`,
    `lot ${lot.code ?? 'without a number'}`,
    lot.invoiceNumber && `invoice ${lot.invoiceNumber}`,
    lot.orderNumber && `order ${lot.orderNumber}`,
    (lot.articleNumber ?? lot.gtin) && `article ${lot.articleNumber ?? lot.gtin}`,
    `written on ${today}`,
  ]
    .filter((part): part is string => Boolean(part))
    .join(' · ')

function casesTable(lot: Lot, format: Format): SheetTable {
  const { delivery } = lotClaim(lot)
  const unit = `${format.money(lot.price.amount)} per ${lot.price.per}`
  return {
    heads: ['Case', 'Unit price', 'Invoice', 'Weighed', 'Short', 'Claim'],
    rows: [
      ...lot.cases.map((lotCase, index) => [
        lotCase.serial ?? String(index + 1),
        unit,
        format.weight(lotCase.invoiceWeight),
        lotCase.weighed === null ? 'not weighed' : format.weight(lotCase.weighed),
        format.weight(delivery.cases[index]?.short ?? 0),
        format.money(delivery.cases[index]?.claim ?? 0),
      ]),
      [
        'in all, cases that are over counted in',
        '',
        format.weight(delivery.invoiceWeight),
        format.weight(delivery.receivedWeight),
        format.weight(Math.max(0, delivery.short)),
        format.money(delivery.claim),
      ],
    ],
  }
}

function faultsTable(lot: Lot, format: Format): SheetTable {
  const { delivery, faults, whole, total } = lotClaim(lot)
  const digits = minorDigits(format.currency)
  // What is written adds up to what is claimed.
  const parts = whole === null ? roundParts([delivery.claim, ...faults.map(({ worth }) => worth)], digits, total) : []
  const worthOf = (checkId: string) => {
    const at = faults.findIndex((fault) => fault.checkId === checkId)
    return at < 0 ? '' : format.money(parts[at + 1] ?? faults[at]?.worth ?? 0)
  }
  return {
    heads: ['Fault', 'Measured', 'In words', 'Worth'],
    rows: lot.checks
      .filter((check) => check.isFault)
      .map(({ checkId, value, note }) => [
        faultWords(checkId),
        measured(checkId, value, format),
        note ?? '',
        worthOf(checkId),
      ]),
  }
}

function measured(checkId: string, value: number | null, format: Format): string {
  const check = RECEIVING_CHECKS.find((receivingCheck) => receivingCheck.id === checkId)
  if (value === null || check?.states) return ''
  const unit = check?.number?.unit
  return unit === '°C' ? format.heat(value) : `${format.typed(value)} ${unit ?? ''}`.trim()
}

/** Pictures in rows of three; says where they end. */
function drawPictures(page: Page, pictures: readonly Buffer[], from: number): number {
  let y = from
  pictures.forEach((picture, index) => {
    const column = index % 3
    if (column === 0 && y + PICTURE_HEIGHT > page.page.height - MARGIN) {
      page.addPage()
      y = MARGIN
    }
    page.image(picture, MARGIN + column * (PICTURE_WIDTH + 12), y, { fit: [PICTURE_WIDTH, PICTURE_HEIGHT] })
    if (column === 2 || index === pictures.length - 1) y += PICTURE_HEIGHT + 12
  })
  return y
}

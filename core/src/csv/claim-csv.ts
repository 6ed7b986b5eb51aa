import Papa from 'papaparse'
import type { Day } from '../calendar/index.ts'
import { type ClaimedLot, lotClaim } from '../receiving/index.ts'
import { inert } from './inert.ts'

/** A lot with what a supplier knows it by. */
interface PrintedLot extends ClaimedLot {
  supplier: string
  item: string
  receivedOn: Day
  /** The supplier's own code of the lot. */
  code: string | null
  invoiceNumber: string | null
  orderNumber: string | null
  articleNumber: string | null
  gtin: string | null
  standingReason: string | null
  cases: readonly (ClaimedLot['cases'][number] & { serial: string | null })[]
}

/** A fault in the words of the claim. */
export interface ClaimedFault {
  what: string
  value: number | null
  note: string | null
  worth: number | null
}

/** What is claimed of a delivery, as CSV: a row for each case, one for each fault, and the sum. CRLF line ends. */
export function claimCsv(lot: PrintedLot, currency: string, faults: readonly ClaimedFault[]): string {
  const { delivery: claim, total: owed, whole } = lotClaim(lot)
  const about = {
    supplier: inert(lot.supplier),
    received: lot.receivedOn,
    item: inert(lot.item),
    lot: inert(lot.code ?? ''),
    'invoice number': inert(lot.invoiceNumber ?? ''),
    'order number': inert(lot.orderNumber ?? ''),
    'article number': inert(lot.articleNumber ?? lot.gtin ?? ''),
    [`price (${currency})`]: lot.price.amount,
    per: lot.price.per,
  }
  const cases = lot.cases.map(({ serial, invoiceWeight, weighed }, index) => ({
    ...about,
    what: `case ${index + 1}${serial === null ? '' : ` (${serial})`}`,
    'invoice (g)': invoiceWeight,
    'weighed (g)': weighed ?? '',
    'short (g)': claim.cases[index]?.short ?? 0,
    [`claim (${currency})`]: claim.cases[index]?.claim ?? 0,
    note: '',
  }))
  const total = {
    ...about,
    what: 'in all',
    'invoice (g)': claim.invoiceWeight,
    'weighed (g)': claim.receivedWeight,
    'short (g)': claim.short,
    [`claim (${currency})`]: claim.claim,
    note: '',
  }
  const rest = faults.map((fault) => ({
    ...about,
    what: inert(fault.what),
    'invoice (g)': '',
    'weighed (g)': '',
    'short (g)': '',
    [`claim (${currency})`]: fault.worth ?? '',
    note: inert([fault.value ?? '', fault.note ?? ''].filter((part) => part !== '').join(' ')),
  }))
  const sum = {
    ...about,
    what: whole === null ? 'to claim' : 'to claim, the whole invoice',
    'invoice (g)': '',
    'weighed (g)': '',
    'short (g)': '',
    [`claim (${currency})`]: owed,
    note: inert(lot.standingReason ?? ''),
  }
  return `${Papa.unparse([...cases, total, ...rest, sum], { newline: '\r\n' })}\r\n`
}

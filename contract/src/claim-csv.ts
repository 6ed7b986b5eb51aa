import { inert } from '@fleam/core/csv'
import { lotClaim } from '@fleam/core/receiving'
import Papa from 'papaparse'
import type { Lot } from './receiving.ts'

/** A fault in the words of the claim. */
export interface ClaimedFault {
  what: string
  value: number | null
  note: string | null
  worth: number | null
}

/** What is claimed of a delivery, as CSV: a row for each case, one for each fault, and the sum. CRLF line ends. */
export function claimCsv(lot: Lot, currency: string, faults: readonly ClaimedFault[]): string {
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
  const cases = lot.cases.map((each, at) => ({
    ...about,
    what: `case ${at + 1}${each.serial === null ? '' : ` (${each.serial})`}`,
    'invoice (g)': each.invoiceWeight,
    'weighed (g)': each.weighed ?? '',
    'short (g)': claim.cases[at]?.short ?? 0,
    [`claim (${currency})`]: claim.cases[at]?.claim ?? 0,
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

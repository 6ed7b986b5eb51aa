import { deliveryClaim } from '@fleam/core'
import Papa from 'papaparse'
import { inert } from './inert.ts'
import type { Lot } from './receiving.ts'

/** A fault in the words of the claim. */
export interface ClaimedFault {
  what: string
  value: number | null
  note: string | null
}

/** What is claimed of a delivery, as CSV: a row for each case, then one for each fault. CRLF line ends. */
export function claimCsv(lot: Lot, currency: string, faults: readonly ClaimedFault[]): string {
  const claim = deliveryClaim(lot.cases, lot.price)
  const about = {
    supplier: inert(lot.supplier),
    received: lot.receivedOn,
    item: inert(lot.item),
    lot: inert(lot.code ?? ''),
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
    [`claim (${currency})`]: '',
    note: inert([fault.value ?? '', fault.note ?? ''].filter((part) => part !== '').join(' ')),
  }))
  return `${Papa.unparse([...cases, total, ...rest], { newline: '\r\n' })}\r\n`
}

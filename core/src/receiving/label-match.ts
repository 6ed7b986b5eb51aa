import type { Day } from '../calendar/index.ts'
import { type CaseLabel, readCaseLabel } from './case-label.ts'
import type { LabelIssue } from './element-string.ts'

/** Why the label of a case does not go with its lot. */
export type LabelMismatch =
  | { kind: 'unreadable'; issue: LabelIssue }
  | { kind: 'other-lot' }
  | { kind: 'other-article' }

/** What of a lot its labels say too; null where it is not known. */
export interface LabelledLot {
  code: string | null
  gtin: string | null
}

/** The first thing in which a label and its lot are not one; null where they are, or where one of them is silent. */
export function labelAgainstLot(label: Pick<CaseLabel, 'lot' | 'gtin'>, lot: LabelledLot): LabelMismatch | null {
  const differs = (read: string | null, kept: string | null) => read !== null && kept !== null && read !== kept
  if (differs(label.lot, lot.code)) return { kind: 'other-lot' }
  return differs(label.gtin, lot.gtin) ? { kind: 'other-article' } : null
}

/** The same of what was scanned: also a text that is no label, or one that contradicts itself, does not go with it. */
export function labelMismatch(scanned: string, lot: LabelledLot, today: Day): LabelMismatch | null {
  const read = readCaseLabel(scanned, today)
  return read.ok ? labelAgainstLot(read.label, lot) : { kind: 'unreadable', issue: read.issue }
}

/** Places, from 0, of cases whose label stands on an earlier one too and names no case by itself: one case scanned twice, or two alike. */
export function repeatedLabels(cases: readonly { label: string | null; serial: string | null }[]): number[] {
  return cases.flatMap(({ label, serial }, index) =>
    label !== null && serial === null && cases.findIndex((lotCase) => lotCase.label === label) < index ? [index] : [],
  )
}

/** Labels and invoices round: a weight of a case that is nearer to its label's than this is the same one, share of 1. */
const SAME_WEIGHT = 0.005

/** What a label says the case weighs, grams, where that is another weight than `invoiceWeight`; else null. */
export function otherLabelWeight(scanned: string | null, invoiceWeight: number, today: Day): number | null {
  const read = scanned === null ? null : readCaseLabel(scanned, today)
  const labelWeight = read?.ok ? read.label.netWeight : null
  if (labelWeight === null || labelWeight <= 0) return null
  return Math.abs(invoiceWeight / labelWeight - 1) > SAME_WEIGHT ? labelWeight : null
}

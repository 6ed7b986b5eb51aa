import { lotEditOf } from '@fleam/contract/receiving/edit'
import type { Lot, LotCase, LotCheck } from '@fleam/contract/receiving/schemas'
import type { ExpectedLine } from '@fleam/core/plans'
import { type CaseLabel, deliveryClaim, labelAgainstLot, readCaseLabel } from '@fleam/core/receiving'
import type { LotRequest } from '../../data/buying-queries.ts'
import { readSetting, writeSetting } from '../../data/settings.ts'

/** A delivery while it is taken in: what is not known yet is null. */
export type LotDraft = Omit<LotRequest, 'price'> & { price: { amount: number | null; per: Lot['price']['per'] } }

export function emptyDraft(id: string, today: string, per: Lot['price']['per']): LotDraft {
  return {
    id,
    version: 1,
    itemId: null,
    supplier: '',
    code: null,
    gtin: null,
    price: { amount: null, per },
    extras: null,
    pieces: null,
    receivedOn: today,
    productionDate: null,
    useBy: null,
    openedOn: null,
    isFinished: false,
    standing: 'accepted',
    standingReason: null,
    standingById: null,
    invoiceNumber: null,
    orderNumber: null,
    articleNumber: null,
    expectedLineId: null,
    notes: null,
    cases: [],
    checks: [],
  }
}

/**
 * A draft of what a line of an order lets expect; what is weighed and read at the door is still to be said, and the
 * price is the article's own as the price book has it.
 */
export const draftOfLine = (draft: LotDraft, line: ExpectedLine): LotDraft => ({
  ...draft,
  expectedLineId: line.id,
  itemId: line.itemId,
  supplier: line.supplier,
  pieces: line.units,
})

/** A draft with a scanned case: its weight, and what the label says of the lot where nothing was said before. */
export function withLabel(draft: LotDraft, label: CaseLabel, text: string, caseId: string): LotDraft {
  const added: LotCase = {
    id: caseId,
    label: text,
    serial: label.serial,
    invoiceWeight: label.netWeight ?? 0,
    weighed: null,
  }
  return {
    ...draft,
    code: draft.code ?? label.lot,
    gtin: draft.gtin ?? label.gtin,
    productionDate: draft.productionDate ?? label.productionDate,
    useBy: earlier(draft.useBy, label.useBy),
    pieces: label.count === null ? draft.pieces : (draft.cases.length === 0 ? 0 : (draft.pieces ?? 0)) + label.count,
    price: draft.price.amount === null && label.price !== null ? { amount: label.price, per: 'case' } : draft.price,
    cases: [...draft.cases, added],
  }
}

const earlier = (a: string | null, b: string | null) => (a === null || (b !== null && b < a) ? b : a)

export type ScanResult = { ok: true; draft: LotDraft } | { ok: false; words: string }

/** What a scanner typed, taken into the draft; refused in words where it cannot be. */
export function scanned(draft: LotDraft, text: string, today: string, caseId: string): ScanResult {
  const result = readCaseLabel(text, today)
  if (!result.ok) {
    const { code, identifier, at } = result.issue
    return {
      ok: false,
      words: `${LABEL_REFUSALS[code]}${identifier === '' ? '' : ` (${identifier}, place ${at + 1})`}. Scan it again.`,
    }
  }
  const { label } = result
  if (
    label.serial !== null &&
    draft.cases.some((lotCase) => lotCase.serial === label.serial && lotCase.label === text)
  ) {
    return { ok: false, words: 'This case is in the list already.' }
  }
  const mismatch = labelAgainstLot(label, draft)
  if (mismatch) {
    const [what, others] = mismatch.kind === 'other-lot' ? ['lot', draft.code] : ['article', draft.gtin]
    const onLabel = mismatch.kind === 'other-lot' ? label.lot : label.gtin
    return {
      ok: false,
      words: `This case is of ${what} ${onLabel}, the others of ${others}: accept it as a delivery of its own.`,
    }
  }
  return { ok: true, draft: withLabel(draft, label, text, caseId) }
}

const LABEL_REFUSALS = {
  empty: 'Nothing was scanned',
  'unknown-identifier': 'The label holds something that is not known',
  'cut-off': 'The label was cut off',
  'too-long': 'A part of the label is too long',
  'bad-check-digit': 'The check digit of the article number is wrong',
  'not-digits': 'Letters stand where digits must',
  'bad-date': 'A date on the label is no day',
  'bad-currency': 'A price on the label has no amount',
  'said-twice': 'The label says one thing twice, and differently',
  'bad-character': 'The label holds a character that no label has: see what the scanner sends between its parts',
  'weights-differ': 'Kilos and pounds on the label are two weights',
  'dates-crossed': 'The last day on the label is before the day it was made',
} as const

/** A lot as it may be changed: the supplier by its name again. */
export function draftOf(lot: Lot): LotDraft {
  const { supplierId: _supplierId, ...edit } = lotEditOf(lot)
  return { ...edit, supplier: lot.supplier }
}

const orNull = (text: string | null) => (text === null || text.trim() === '' ? null : text)

/** A draft as its fields say it, where what was left empty is not known. */
export const withoutEmpty = (draft: LotDraft): LotDraft => ({
  ...draft,
  code: orNull(draft.code),
  useBy: orNull(draft.useBy),
  invoiceNumber: orNull(draft.invoiceNumber),
  orderNumber: orNull(draft.orderNumber),
  articleNumber: orNull(draft.articleNumber),
})

export const lotOf = (draft: LotDraft): LotRequest => ({
  ...withoutEmpty(draft),
  supplier: draft.supplier.trim(),
  price: { ...draft.price, amount: draft.price.amount ?? 0 },
})

/** What is typed and no number yet counts as nothing. */
const asNumber = (value: unknown) => (typeof value === 'number' ? value : null)

/** The claim of a draft as far as it is known; null before the first case. */
export function claimOf(draft: LotDraft) {
  const weighable = draft.cases.filter((lotCase) => lotCase.invoiceWeight > 0)
  if (weighable.length === 0) return null
  const cases = weighable.map((entry) => ({ ...entry, weighed: asNumber(entry.weighed) }))
  return deliveryClaim(cases, { ...draft.price, amount: asNumber(draft.price.amount) ?? 0 })
}

export const withCheck = (checks: readonly LotCheck[], check: LotCheck): LotCheck[] => [
  ...checks.filter((other) => other.checkId !== check.checkId),
  check,
]

const SETTING = 'delivery-draft'

/** The delivery that was begun on this device: cases that were weighed survive a tab that dies. */
export function keptDraft(): LotDraft | null {
  const text = readSetting(SETTING)
  try {
    if (!text) return null
    // The version before kept the item's name; what it was is said again.
    const { item: _item, ...draft } = JSON.parse(text) as LotDraft & { item?: string }
    // What it did not know of yet is as in a fresh one.
    const fresh = emptyDraft(draft.id, draft.receivedOn, draft.price.per)
    return { ...fresh, ...draft, itemId: draft.itemId ?? null }
  } catch {
    return null
  }
}
export const keepDraft = (draft: LotDraft | null) => writeSetting(SETTING, draft ? JSON.stringify(draft) : '')

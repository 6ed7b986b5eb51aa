import { type Appraisal, appraise } from '../appraisal/index.ts'
import { type Comparison, leadingComparison, type Verdict } from '../comparison/index.ts'
import type { FabricationDocument, Price } from '../fabrication/index.ts'

/** A price that holds now in place of the one that a record was made with. */
export type PriceChange =
  | { kind: 'purchase'; price: Price; extras: number | null }
  | { kind: 'offer'; offer: string; price: Price }

export interface Recosted {
  document: FabricationDocument
  appraisal: Appraisal
  leading: Comparison | null
}

export interface TurnedVerdict {
  before: Recosted
  after: Recosted
  /** The changes that turn it each alone; all of them where none does alone. */
  turnedBy: PriceChange[]
}

/** A record at today's prices, weights and minutes as they were. */
function atPrices(document: FabricationDocument, changes: readonly PriceChange[]): FabricationDocument {
  const bought = changes.find((change) => change.kind === 'purchase')
  const extras = bought?.extras ?? document.purchase.extras
  const purchase = bought
    ? { ...document.purchase, price: bought.price, ...(extras === undefined ? {} : { extras }) }
    : document.purchase
  const offers = (document.offers ?? []).map((offer) => {
    const change = changes.find((priceChange) => priceChange.kind === 'offer' && priceChange.offer === offer.name)
    return change ? { ...offer, price: change.price } : offer
  })
  return { ...document, purchase, offers }
}

/** A document appraised anew at the prices of a day, as far as they changed. */
export function recost(document: FabricationDocument, changes: readonly PriceChange[] = []): Recosted {
  const changed = atPrices(document, changes)
  const appraisal = appraise(changed)
  const at = leadingComparison(appraisal.piles, appraisal.comparisons)
  return { document: changed, appraisal, leading: at === null ? null : (appraisal.comparisons[at] ?? null) }
}

const verdictOf = (recosted: Recosted): Verdict | null => recosted.leading?.verdict ?? null

/** A verdict that new prices have turned, with what turned it; null where it stands, or where there is none. */
export function turnedVerdict(document: FabricationDocument, changes: readonly PriceChange[]): TurnedVerdict | null {
  const before = recost(document)
  const after = recost(document, changes)
  const verdict = verdictOf(before)
  if (verdict === null || verdictOf(after) === null || verdictOf(after) === verdict) return null
  const alone = changes.filter((change) => {
    const only = verdictOf(recost(document, [change]))
    return only !== null && only !== verdict
  })
  return { before, after, turnedBy: alone.length > 0 ? alone : [...changes] }
}

/** True where the price of a record is in the unit that a change is in, so that it can be compared and replaced. */
export const isSamePrice = (a: Price, b: Price): boolean => a.per === b.per && Math.abs(a.amount - b.amount) < 1e-9

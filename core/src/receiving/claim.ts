import { shortClaim } from '../costing/index.ts'
import type { Price } from '../fabrication/index.ts'

/** One case of a delivery: what the invoice says and what the scale said; null where nobody weighed it. */
export interface ReceivedCase {
  id: string
  invoiceWeight: number
  weighed: number | null
}

export interface CaseShortage {
  id: string
  /** Grams missing, at least zero. */
  short: number
  /** Money that the missing grams cost, where the price is by weight; else zero. */
  claim: number
}

export interface DeliveryClaim {
  /** What the invoice says in all, grams. */
  invoiceWeight: number
  /** What came: weighed, or as on the invoice where a case was not weighed. */
  receivedWeight: number
  /** Missing in all; a case that is over makes up for one that is short. */
  short: number
  shortShare: number
  /** Money to claim for the missing weight; never less than zero. */
  claim: number
  cases: CaseShortage[]
  unweighed: number
}

/** A delivery is short when more than this share of it is missing: below it scales differ. */
export const SHORT_SHARE = 0.005

/** What a delivery misses against its invoice, and what that costs. There is at least one case, of more than zero grams. */
export function deliveryClaim(cases: readonly ReceivedCase[], price: Price): DeliveryClaim {
  const invoiceWeight = cases.reduce((sum, lotCase) => sum + lotCase.invoiceWeight, 0)
  const receivedWeight = cases.reduce((sum, lotCase) => sum + (lotCase.weighed ?? lotCase.invoiceWeight), 0)
  const short = invoiceWeight - receivedWeight
  const moneyOf = (grams: number) => shortClaim({ price, invoiceWeight }, Math.max(0, grams))
  return {
    invoiceWeight,
    receivedWeight,
    short,
    shortShare: short / invoiceWeight,
    claim: moneyOf(short),
    cases: cases.map(({ id, invoiceWeight: invoiced, weighed }) => {
      const missing = weighed === null ? 0 : Math.max(0, invoiced - weighed)
      return { id, short: missing, claim: moneyOf(missing) }
    }),
    unweighed: cases.filter((lotCase) => lotCase.weighed === null).length,
  }
}

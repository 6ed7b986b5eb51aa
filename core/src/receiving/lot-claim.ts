import { apCost } from '../costing/index.ts'
import { type Explanation, plus, value } from '../explanation/index.ts'
import type { Price } from '../fabrication/index.ts'
import { type DeliveryClaim, deliveryClaim, type ReceivedCase } from './claim.ts'

/** What became of a delivery at the door, or later. */
export const LOT_STANDINGS = ['accepted', 'quarantined', 'returned', 'refused'] as const
export type LotStanding = (typeof LOT_STANDINGS)[number]

/** Nothing of it is here any more, and nothing of it is owed. */
export const isSentBack = (standing: LotStanding): boolean => standing === 'returned' || standing === 'refused'

/** A lot as far as a claim goes. */
export interface ClaimedLot {
  cases: readonly ReceivedCase[]
  price: Price
  pieces: number | null
  extras: number | null
  standing: LotStanding
  checks: readonly { checkId: string; isFault: boolean; worth: number | null }[]
}

export interface LotClaim {
  delivery: DeliveryClaim
  /** Money of each fault that was given a worth, by the id of its check. */
  faults: { checkId: string; worth: number }[]
  /** Money of the whole invoice where the lot was refused or returned; else null. */
  whole: number | null
  total: number
  explanation: Explanation
}

/**
 * What a supplier owes for a lot: what is missing and what each fault is worth, or the whole invoice, charges in, where
 * the lot went back.
 */
export function lotClaim(lot: ClaimedLot): LotClaim {
  const delivery = deliveryClaim(lot.cases, lot.price)
  const faults = lot.checks.flatMap(({ checkId, isFault, worth }) =>
    isFault && worth !== null && worth > 0 ? [{ checkId, worth }] : [],
  )
  const whole = isSentBack(lot.standing)
    ? apCost({
        price: lot.price,
        invoiceWeight: delivery.invoiceWeight,
        pieces: lot.pieces ?? 0,
        cases: lot.price.per === 'lot' ? 1 : lot.cases.length,
        extras: lot.extras ?? 0,
      })
    : null
  const expression =
    whole === null
      ? plus(
          value('what is missing', delivery.claim, 'money'),
          ...faults.map(({ worth }, index) => value(`fault ${index + 1}`, worth, 'money')),
        )
      : plus(value('the whole invoice', whole, 'money'))
  const sum = delivery.claim + faults.reduce((all, { worth }) => all + worth, 0)
  return {
    delivery,
    faults,
    whole,
    total: whole ?? sum,
    explanation: {
      title: 'To claim',
      quantity: 'money',
      expression,
      note: whole === null ? undefined : 'It went back: nothing of it is owed, charges in.',
    },
  }
}

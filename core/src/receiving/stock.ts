import { type Day, daysBetween } from '../calendar/index.ts'
import { type LotDays, type LotLastDay, lotLastDay } from '../cold-store/index.ts'
import { isSentBack, type LotStanding } from './lot-claim.ts'

/** A raw lot in the cold. */
export interface StockLot extends LotDays {
  id: string
  /** Grams on the invoice: what fabrications take is counted by it. */
  invoiceWeight: number
  /** Grams that really came. */
  receivedWeight: number
  /** Grams that fabrications have taken from it, by the invoice's weight. */
  usedWeight: number
  isFinished: boolean
  standing: LotStanding
}

export interface StockState {
  id: string
  /** Grams that should still be there, at least zero. */
  left: number
  /** The last day: the supplier's, or the one that opening sets where that is earlier. Null where nothing says. */
  lastDay: Day | null
  /** What set that day; null where nothing says. */
  lastDayBy: LotLastDay['by'] | null
  /** Days until then; negative once it is over. Null where nothing says. */
  daysLeft: number | null
  state: 'over' | 'today' | 'soon' | 'good'
  /** In quarantine: here, and not to be cut without a reason. */
  isHeld: boolean
}

/** From so many days before its last on, a lot is shown as one to use soon. */
const SOON_DAYS = 2

/** What is in the cold, what must go first at the top; what is finished, used up or sent back is left out. */
export function stockInOrder(lots: readonly StockLot[], today: Day): StockState[] {
  return lots
    .filter((lot) => !lot.isFinished && !isSentBack(lot.standing) && leftOf(lot) > 0)
    .map((lot) => stateOf(lot, today))
    .sort((a, b) => (a.lastDay ?? '9999').localeCompare(b.lastDay ?? '9999') || a.id.localeCompare(b.id))
}

/** Where a lot went: what is cut, lost and left adds up to what came. Grams. */
export interface LotBalance {
  came: number
  /** Cut, by what really came: a lot that was short is short in every part of it. */
  cut: number
  /** Left over when it was finished, or sent back. */
  lost: number
  left: number
}

/** Came, cut, lost and left of a lot, also in part. `isGone` where nothing of it is here any more. */
export function lotBalance(
  lot: Pick<StockLot, 'invoiceWeight' | 'receivedWeight' | 'usedWeight'>,
  isGone: boolean,
): LotBalance {
  const left = leftOf(lot)
  const came = lot.receivedWeight
  return { came, cut: came - left, lost: isGone ? left : 0, left: isGone ? 0 : left }
}

/** What is left of what came: a lot that was short is short in every part of it. Grams, zero or more. */
export const leftOf = (lot: Pick<StockLot, 'invoiceWeight' | 'receivedWeight' | 'usedWeight'>): number =>
  Math.max(0, lot.receivedWeight * (1 - lot.usedWeight / lot.invoiceWeight))

function stateOf(lot: StockLot, today: Day): StockState {
  const last = lotLastDay(lot)
  const lastDay = last?.last ?? null
  const daysLeft = lastDay === null ? null : daysBetween(today, lastDay)
  return {
    id: lot.id,
    left: leftOf(lot),
    lastDay,
    lastDayBy: last?.by ?? null,
    daysLeft,
    state:
      daysLeft === null || daysLeft > SOON_DAYS ? 'good' : daysLeft < 0 ? 'over' : daysLeft === 0 ? 'today' : 'soon',
    isHeld: lot.standing === 'quarantined',
  }
}

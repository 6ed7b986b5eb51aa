import { keepingOpened } from '@fleam/catalogue'
import type { Lot, LotRow } from '@fleam/contract/receiving/schemas'
import { lotLastDay } from '@fleam/core/cold-store'
import { deliveryClaim, type StockLot } from '@fleam/core/receiving'
import type { Item } from '@fleam/core/style'
import { dayWords } from './dates.ts'

/** Days that a lot keeps once it is open: as long as portions of its animal do. */
const daysOpenOf = ({ itemId }: Lot, items: readonly Item[]): number =>
  keepingOpened(items.find((item) => item.id === itemId)?.species ?? 'poultry').chilledDays

/** Lots as the core looks at them; once open, a lot keeps as long as portions of its animal do. */
export const stockLots = (rows: readonly LotRow[], items: readonly Item[]): StockLot[] =>
  rows.map(({ lot, usedWeight }) => {
    const { invoiceWeight, receivedWeight } = deliveryClaim(lot.cases, lot.price)
    return {
      id: lot.id,
      invoiceWeight,
      receivedWeight,
      usedWeight,
      useBy: lot.useBy,
      openedOn: lot.openedOn,
      daysOpen: daysOpenOf(lot, items),
      isFinished: lot.isFinished,
      standing: lot.standing,
    }
  })

/** `today`, `tomorrow`, `in 3 days`, `2 days ago`. */
export function daysLeftWords(days: number | null): string {
  if (days === null) return ''
  if (days === 0) return 'today'
  if (days === 1) return 'tomorrow'
  return days > 0 ? `in ${days} days` : `${-days} ${days === -1 ? 'day' : 'days'} ago`
}

/** Until when a lot may be used, and what says so. */
export function lotLastDayWords(lot: Lot, items: readonly Item[]): string {
  const days = daysOpenOf(lot, items)
  const lastDay = lotLastDay({ ...lot, daysOpen: days })
  if (lastDay === null) return 'nobody says'
  if (lastDay.by === 'label' || lot.openedOn === null) return `${dayWords(lastDay.last)}, by its label`
  const keeps = days === 1 ? 'keeps for that day' : `keeps ${days} days, that day counted`
  return `${dayWords(lastDay.last)}: opened on ${dayWords(lot.openedOn)}, it ${keeps}`
}

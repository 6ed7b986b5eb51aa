import { keepingOpened } from '@fleam/catalogue'
import type { Item, LotRow } from '@fleam/contract'
import { deliveryClaim, type StockLot } from '@fleam/core'

/** Lots as the core looks at them; once open, a lot keeps as long as portions of its animal do. */
export const stockLots = (rows: readonly LotRow[], items: readonly Item[]): StockLot[] =>
  rows.map(({ lot, usedWeight }) => {
    const { invoiceWeight, receivedWeight } = deliveryClaim(lot.cases, lot.price)
    const species = items.find((item) => item.id === lot.itemId)?.species ?? 'poultry'
    return {
      id: lot.id,
      invoiceWeight,
      receivedWeight,
      usedWeight,
      useBy: lot.useBy,
      openedOn: lot.openedOn,
      daysOpen: keepingOpened(species).chilledDays,
      isFinished: lot.isFinished,
    }
  })

/** `today`, `tomorrow`, `in 3 days`, `2 days ago`. */
export function daysLeftWords(days: number | null): string {
  if (days === null) return ''
  if (days === 0) return 'today'
  if (days === 1) return 'tomorrow'
  return days > 0 ? `in ${days} days` : `${-days} ${days === -1 ? 'day' : 'days'} ago`
}

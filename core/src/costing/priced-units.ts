import type { PriceUnit } from '../fabrication/index.ts'
import { GRAMS_PER_KILOGRAM, GRAMS_PER_POUND } from '../units/index.ts'

/** How much of something there is, in each way that a price may count it. */
export interface Amounts {
  /** Grams. */
  weight: number
  pieces: number
  /** Cases or lots. */
  packs: number
}

/** What a price counts of an amount: kilos, pounds, pieces, or packs. One rule for what is bought whole, ready, and ordered. */
export function pricedUnits(per: PriceUnit, { weight, pieces, packs }: Amounts): number {
  switch (per) {
    case 'kg':
      return weight / GRAMS_PER_KILOGRAM
    case 'lb':
      return weight / GRAMS_PER_POUND
    case 'piece':
      return pieces
    case 'case':
    case 'lot':
      return packs
  }
}

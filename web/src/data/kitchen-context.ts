import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import type { DecimalMark } from '@fleam/core/units'
import { createContext, use } from 'react'

export const KitchenContext = createContext<Kitchen | null>(null)

/** The kitchen whose rooms these are. */
export function useKitchen(): Kitchen {
  const kitchen = use(KitchenContext)
  if (!kitchen) throw new Error('No kitchen is chosen')
  return kitchen
}

/** What stands before the decimals in this kitchen; a point while there is none yet. */
export const useDecimalMark = (): DecimalMark => use(KitchenContext)?.decimalMark ?? 'point'

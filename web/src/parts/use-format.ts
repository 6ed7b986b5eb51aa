import { type Format, formatFor } from '@fleam/core/wording'
import { useMemo } from 'react'
import { useKitchen } from '../data/kitchen-context.ts'

export type { Format } from '@fleam/core/wording'

export function useFormat(currency?: string): Format {
  const kitchen = useKitchen()
  const of = currency ?? kitchen.currency
  return useMemo(() => formatFor(of, kitchen.units, kitchen.decimalMark), [of, kitchen.units, kitchen.decimalMark])
}

import { type Format, formatFor } from '@fleam/core'
import { useMemo } from 'react'
import { useKitchen } from '../data/kitchen-context.ts'

export type { Format } from '@fleam/core'

export function useFormat(currency?: string): Format {
  const kitchen = useKitchen()
  const of = currency ?? kitchen.currency
  return useMemo(() => formatFor(of, kitchen.units, kitchen.decimalMark), [of, kitchen.units, kitchen.decimalMark])
}

import { PRICE_UNITS, type PriceUnit } from '@fleam/core/fabrication'
import { useKitchen } from '../data/kitchen-context.ts'
import { PER_WORDS } from './price-words.ts'

/** What a price may be for, what this kitchen weighs in first. */
export function usePriceUnits(): readonly PriceUnit[] {
  const { units } = useKitchen()
  return units === 'metric' ? PRICE_UNITS : ['lb', ...PRICE_UNITS.filter((unit) => unit !== 'lb')]
}

/** The choices of a price's unit. */
export const PriceUnitOptions = () =>
  usePriceUnits().map((unit) => (
    <option key={unit} value={unit}>
      {PER_WORDS[unit]}
    </option>
  ))

import { pricePerKg, pricePerWeight } from '@fleam/core/units'
import { useKitchen } from '../data/kitchen-context.ts'
import { NumberField } from './number-field.tsx'

interface PricePerWeightFieldProps {
  /** What is priced: `A kilo of scrap` is said as a pound where pounds are weighed. */
  of: string
  /** Money a kilo, as it is kept. */
  perKg: number | null
  onChange: (perKg: number | null) => void
}

/** A price by weight as the kitchen says it, a kilo or a pound; kept a kilo. */
export function PricePerWeightField({ of, perKg, onChange }: PricePerWeightFieldProps) {
  const { units, currency } = useKitchen()
  return (
    <NumberField
      label={`A ${units === 'metric' ? 'kilo' : 'pound'} of ${of}, ${currency}`}
      value={perKg === null ? null : Number(pricePerWeight(perKg, units).amount.toPrecision(6))}
      onChange={(amount) => onChange(amount === null ? null : pricePerKg(amount, units))}
    />
  )
}

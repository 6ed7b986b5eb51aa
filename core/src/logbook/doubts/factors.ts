import { GRAMS_PER_KILOGRAM, GRAMS_PER_POUND } from '../../units/index.ts'

/** What another unit makes of a weight or a price: pounds for kilos, grams for kilos, and the other way round. */
export const UNIT_FACTORS = [
  GRAMS_PER_KILOGRAM / GRAMS_PER_POUND,
  GRAMS_PER_POUND / GRAMS_PER_KILOGRAM,
  1000,
  0.001,
] as const
/** And a digit too many or too few. */
export const PRICE_FACTORS = [10, 0.1, ...UNIT_FACTORS] as const

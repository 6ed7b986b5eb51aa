import type { StyleWork, WorkSettings } from './work-shapes.ts'

const HOURS_OF_A_KILOGRAM = 12
const GRAMS = 1000

/** Hours to thaw one unit in a refrigerator: about a day for two kilograms. */
export const thawHours = (unitGrams: number): number => (unitGrams / GRAMS) * HOURS_OF_A_KILOGRAM

/** What is assumed of a style of which nobody said more: bonded pieces set, bones go into a pot, one cook does it all. */
export const usualStyleWork = (
  { isBonded, hasBones }: { isBonded: boolean; hasBones: boolean },
  { setHours, stockHours }: Pick<WorkSettings, 'setHours' | 'stockHours'>,
): StyleWork => ({
  isFrozen: false,
  dryHours: 0,
  temperHours: 0,
  setHours: isBonded ? setHours : 0,
  cureHours: 0,
  confitHours: 0,
  chillHours: 0,
  stockHours: hasBones ? stockHours : 0,
  line: 1,
  carriers: 0,
})

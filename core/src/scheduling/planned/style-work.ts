import type { WorkSettings } from './settings.ts'

/** What a style takes before and after the board. Hours, 0 where there is nothing of the kind. */
export interface StyleWork {
  /** It comes frozen and thaws in the cold first. */
  isFrozen: boolean
  /** Uncovered in the cold before it is cut. */
  dryHours: number
  /** Out of the cold before it is cut, load by load. */
  temperHours: number
  /** Bonded or tied pieces set in the cold. */
  setHours: number
  cureHours: number
  /** In hot fat, on a stove. */
  confitHours: number
  /** Cooled after it was hot, before it is packed. */
  chillHours: number
  /** Bones in the pot. */
  stockHours: number
  /** Cooks who stand in a line, each at one part of the steps for all; 1 where one cook does all of each unit. */
  line: number
  /** Helpers who carry full trays into the cold while the line works. */
  carriers: number
}

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

import { type Explanation, times, value } from '../explanation/index.ts'
import type { CutPile } from './cut-style.ts'

export interface UnitWeight {
  grams: number
  /** How it is worked out, with its numbers in it. */
  explanation: Explanation
}

/** What a pile is expected to weigh of one unit of `unitGrams`; null where nothing is known of it. */
export function expectedUnitWeight(pile: CutPile, unitGrams: number): UnitWeight | null {
  if (pile.expectedShare === null) return null
  return {
    grams: pile.expectedShare * unitGrams,
    explanation: {
      title: `${pile.name} of one unit`,
      quantity: 'weight',
      expression: times(value('share', pile.expectedShare, 'share'), value('one unit', unitGrams, 'weight')),
      note: 'Assumed, until the kitchen has weighed its own.',
    },
  }
}

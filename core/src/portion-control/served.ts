import { type PileResult, ratio } from '../costing/index.ts'
import { constant, type Explanation, HUNDRED_GRAMS, minus, over, times, value } from '../explanation/index.ts'

export interface ServedWeight {
  /** Grams on the plate. */
  grams: number
  /** Money for a hundred grams served. */
  costPer100g: number
  explanation: Explanation
}

/**
 * A portion of a pile as it is served: cooking takes a share of what it really weighs raw. `loss` is that
 * share, 0 up to but not 1. Null where the pile has no portions, or nothing would be left.
 */
export function servedWeight(
  pile: Pick<PileResult, 'weight' | 'portions' | 'mean' | 'costPerPortion'>,
  loss: number,
): ServedWeight | null {
  const rawGrams = pile.mean ?? ratio(pile.weight, pile.portions)
  const { costPerPortion } = pile
  const grams = (rawGrams ?? 0) * (1 - loss)
  if (rawGrams === null || costPerPortion === null || !(grams > 0)) return null
  return {
    grams,
    costPer100g: (costPerPortion / grams) * 100,
    explanation: {
      title: 'Cost by served weight',
      quantity: 'money-per-100g',
      expression: times(
        over(
          value('cost of a portion', costPerPortion, 'money'),
          times(value('raw portion', rawGrams, 'weight'), minus(constant(1), value('cooking loss', loss, 'share'))),
        ),
        HUNDRED_GRAMS,
      ),
    },
  }
}

import { type Explanation, over, value } from '../explanation/index.ts'
import type { PlannedPile } from '../fabrication/index.ts'

/** How many pieces a weighing is taken for while nobody says: its weight over what one is to weigh. */
export function explainCounted(pile: PlannedPile, { grams }: { grams: number }): Explanation {
  return {
    title: `Pieces of ${pile.name}`,
    quantity: 'count',
    expression: over(
      value('weighed', grams, 'weight'),
      value('target of one', (pile.target ?? pile.high) as number, 'weight'),
    ),
    note: 'To the nearest whole piece, and at least two.',
  }
}

import { over, value } from './expression.ts'
import type { Explanation } from './figure-ref.ts'

/** What pieces that were weighed together weigh on average, grams; null where there are none. */
export function explainPieceMean(pile: string, grams: number, pieces: number): Explanation | null {
  if (pieces <= 0) return null
  return {
    title: `A piece of ${pile} on average`,
    quantity: 'weight',
    expression: over(value(pile, grams, 'weight'), value('pieces', pieces, 'count')),
  }
}

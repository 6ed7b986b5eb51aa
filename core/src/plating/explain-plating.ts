import { type Explanation, minus, over, plus, value } from '../explanation/index.ts'
import type { Plate, PlatePiece, Plating } from './plate-request.ts'

/** What one plate weighs: its pieces. */
export function explainPlate(pieces: readonly PlatePiece[], plate: Plate): Explanation {
  const weights = plate.ids.flatMap((id) => {
    const piece = pieces.find((piece) => piece.id === id)
    return piece ? value(`no. ${id}`, piece.weight, 'weight') : []
  })
  return { title: 'Weight of the plate', quantity: 'weight', expression: plus(...weights) }
}

/** How the plates compare; null where there are none. */
export function explainPlating(
  { plates }: Pick<Plating, 'plates'>,
  figure: 'mean' | 'spread' | 'fairness',
): Explanation | null {
  if (plates.length === 0) return null
  const weights = plates.map((plate) => plate.weight)
  const heaviest = value('the heaviest', Math.max(...weights), 'weight')
  const lightest = value('the lightest', Math.min(...weights), 'weight')
  switch (figure) {
    case 'mean':
      return {
        title: 'Mean of the plates',
        quantity: 'weight',
        expression: over(
          plus(...weights.map((weight, index) => value(`plate ${index + 1}`, weight, 'weight'))),
          value('plates', weights.length, 'count'),
        ),
      }
    case 'spread':
      return { title: 'Heaviest less lightest', quantity: 'weight', expression: minus(heaviest, lightest) }
    case 'fairness':
      return {
        title: 'How fair it is',
        quantity: 'factor',
        expression: over(heaviest, lightest),
        note: 'One is perfectly fair: every guest gets the same.',
      }
  }
}

import type { Appraisal } from '../appraisal/index.ts'
import { type FabricationDocument, usedShareOf } from '../fabrication/index.ts'
import { evaluate, minus, over, plus, times, value } from './expression.ts'
import type { Explanation, WeightFigureName } from './figure-ref.ts'

/** The formula of a figure of the weights, in grams or as a share. */
export function weightFigure(
  document: FabricationDocument,
  { weights, piles }: Appraisal,
  figure: WeightFigureName,
): Explanation | null {
  const grams = (name: string, amount: number) => value(name, amount, 'weight')
  const ap = grams('invoice weight', weights.ap)
  const received = grams('received weight', weights.received)
  const purge = grams('purge', weights.purge)
  const all = piles.map((pile) => grams(pile.name, pile.weight))
  const liquid = all.filter((_, index) => document.piles[index]?.kind === 'liquid')
  const drained = minus(received, purge, ...liquid)
  const primary = plus(...all.filter((_, index) => piles[index]?.class === 'primary'))
  switch (figure) {
    case 'short':
      return { title: 'Short', quantity: 'weight', expression: minus(ap, received) }
    case 'out':
      return { title: 'On the piles', quantity: 'weight', expression: plus(...all) }
    case 'unaccounted':
      return {
        title: 'Not accounted for',
        quantity: 'weight',
        expression: minus(received, purge, plus(...all)),
        note: 'Drip, saw dust, and pieces that nobody weighed.',
      }
    case 'portionYield':
      return {
        title: 'Portion yield',
        quantity: 'share',
        expression: over(primary, ap),
        note: 'Portions alone, against what was paid for.',
      }
    case 'utilisation': {
      const useful = document.piles.flatMap((pile, index) => {
        const weight = all[index]
        if (!weight || pile.class === 'waste') return []
        return [pile.class === 'primary' ? weight : times(weight, value('used share', usedShareOf(pile), 'share'))]
      })
      return {
        title: 'Utilisation',
        quantity: 'share',
        expression: over(plus(...useful), ap),
        note: 'Everything that is really used, against what was paid for.',
      }
    }
    case 'drainedYield':
      if (evaluate(drained) <= 0) return null
      return {
        title: 'Drained yield',
        quantity: 'share',
        expression: over(primary, drained),
        note: 'Portions against what was left after the bag was drained.',
      }
  }
}

import { type Explanation, KILO, over, plus, times, value } from '../explanation/index.ts'
import type { JudgedCuts } from './judge.ts'

export type JudgedFigure = 'value' | 'givenAway' | 'scrapWeight'

/** How a figure of knife lines is worked out, part by part. */
export function explainJudged(judged: JudgedCuts, scrapPerKg: number, figure: JudgedFigure): Explanation {
  const scrap = judged.parts.filter((part) => part.product === null)
  const scrapParts = plus(...scrap.map((part, index) => value(`scrap ${index + 1}`, part.weight, 'weight')))
  switch (figure) {
    case 'scrapWeight':
      return { title: 'Scrap', quantity: 'weight', expression: scrapParts }
    case 'givenAway':
      return {
        title: 'Overweight cost',
        quantity: 'money',
        expression: plus(
          ...judged.parts.flatMap((part) =>
            part.givenAway > 0 ? value(`${part.product} above its target`, part.givenAway, 'money') : [],
          ),
        ),
        note: `${Math.round(judged.givenAwayGrams)} g above the targets of ${judged.portions} portions.`,
      }
    case 'value':
      return {
        title: 'Worth of the piece, cut so',
        quantity: 'money',
        expression: plus(
          ...judged.parts.flatMap((part) => (part.product === null ? [] : value(part.product, part.worth, 'money'))),
          times(over(scrapParts, KILO), value('a kilo of scrap', scrapPerKg, 'money-per-kg')),
        ),
        note: 'A portion is worth all of its price at its target, less below it, and nothing more above it.',
      }
  }
}

import { type Explanation, minus, over, plus, times, value } from '../explanation/index.ts'
import type { PortionPlan } from './plan-answer.ts'
import type { PortionProduct } from './plan-request.ts'

/** The mean weight of what a plan cuts of a product; null where it cuts none. */
export function explainMeanOf({ pieces }: Pick<PortionPlan, 'pieces'>, product: string): Explanation | null {
  const ofProduct = pieces.filter((piece) => piece.product === product)
  if (ofProduct.length === 0) return null
  return {
    title: `Mean of ${ofProduct.length} ${product}`,
    quantity: 'weight',
    expression: over(
      plus(...ofProduct.map(({ weight }, index) => value(`no. ${index + 1}`, weight, 'weight'))),
      value('pieces', ofProduct.length, 'count'),
    ),
  }
}

/** What all pieces of a product weigh above what is paid for, at its price; null where a plan cuts none. */
export function explainGivenAwayOf(
  { spreads }: Pick<PortionPlan, 'spreads'>,
  { name, value: price, target, targetThickness }: PortionProduct,
): Explanation | null {
  const spread = spreads.find(({ product }) => product === name)
  if (!spread) return null
  const paid =
    targetThickness === undefined ? value('its target', target, 'weight') : value('their mean', spread.mean, 'weight')
  return {
    title: `Overweight cost of ${name}`,
    quantity: 'money',
    expression: times(
      value('above it in all', spread.givenAwayGrams, 'weight'),
      over(value('price of one', price, 'money'), paid),
    ),
  }
}

/** What laying equal portions together takes from the worth of a plan; null where nothing was asked. */
export function explainTogether({
  value: worth,
  together,
}: Pick<PortionPlan, 'value' | 'together'>): Explanation | null {
  if (!together) return null
  return {
    title: 'What laying equal portions together costs',
    quantity: 'money',
    expression: minus(
      value('the most that this piece can bring', worth + together.costs, 'money'),
      value('with equal portions together', worth, 'money'),
    ),
    note: 'Portions of one kind lie side by side, and as near to each other in thickness as a hundredth of the worth allows.',
  }
}

/** What a request for scrap takes from the worth of a plan; null where there is none. */
export function explainScrapRequest({
  value: worth,
  scrapRequest,
}: Pick<PortionPlan, 'value' | 'scrapRequest'>): Explanation | null {
  if (!scrapRequest) return null
  return {
    title: 'What so much scrap costs',
    quantity: 'money',
    expression: minus(
      value('worth without it', worth + scrapRequest.costs, 'money'),
      value('worth with so much scrap', worth, 'money'),
    ),
    note: 'Scrap is cut at what it is really worth: only as many portions are given up as that scrap needs.',
  }
}

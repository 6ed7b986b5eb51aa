import { MINUTES_PER_HOUR } from '../costing/index.ts'
import { constant, type Explanation, KILO, minus, over, plus, times, value } from '../explanation/index.ts'
import { bondedCosts, formedProducts } from './bonded.ts'
import type { BondedPlan } from './plan-answer.ts'
import type { BondedRequest } from './plan-request.ts'
import { worthOf } from './product.ts'

export type BondedFigure =
  | 'enzyme-grams'
  | 'cost'
  | 'bonded-value'
  | 'net'
  | 'alone-value'
  | 'bonded-scrap'
  | 'alone-scrap'
  | 'gain'
  | 'extra-portions'
  | 'break-even-share'

/** How a figure of two pieces bonded into one is worked out. */
export function explainBonded(request: BondedRequest, plan: BondedPlan, figure: BondedFigure): Explanation {
  const costs = bondedCosts(request.costs)
  const enzyme = value('enzyme', plan.enzymeGrams, 'weight')
  switch (figure) {
    case 'enzyme-grams':
      return {
        title: 'Enzyme',
        quantity: 'weight',
        expression: times(
          value('both pieces', plan.piece.weight, 'weight'),
          value('share of enzyme', costs.enzymeShare, 'share'),
        ),
      }
    case 'cost':
      return {
        title: 'Enzyme, film and labour',
        quantity: 'money',
        expression: plus(
          times(over(enzyme, KILO), value('a kilo of it', costs.enzymePerKg, 'money-per-kg')),
          value('film', costs.film, 'money'),
          times(
            over(value('minutes', costs.minutes, 'minutes'), constant(MINUTES_PER_HOUR)),
            value('an hour', costs.wagePerHour, 'money-per-hour'),
          ),
        ),
        note: 'The hours in which it sets cost nobody’s time.',
      }
    case 'bonded-value':
      return worthOfLog(request, plan, costs.formedShare)
    case 'alone-value':
      return worthOfPlan('Worth of both pieces alone', request, plan.alone)
    case 'net':
      return {
        title: 'Left over from the log',
        quantity: 'money',
        expression: minus(
          value('worth of the log', plan.bonded.value, 'money'),
          value('enzyme, film, labour', plan.cost.total, 'money'),
        ),
      }
    case 'bonded-scrap':
      return {
        title: 'Scrap of the log',
        quantity: 'weight',
        expression: minus(
          value('the log', plan.piece.weight, 'weight'),
          value(
            'its portions',
            plan.bonded.pieces.reduce((sum, { weight }) => sum + weight, 0),
            'weight',
          ),
        ),
      }
    case 'alone-scrap':
      return {
        title: 'Scrap of both pieces alone',
        quantity: 'weight',
        expression: plus(
          value('of the one', plan.alone[0].scrap.weight, 'weight'),
          value('of the other', plan.alone[1].scrap.weight, 'weight'),
        ),
      }
    case 'gain':
      return {
        title: 'What bonding brings',
        quantity: 'money',
        expression: minus(
          value('left over from the log', plan.net, 'money'),
          value('worth of both alone', plan.aloneValue, 'money'),
        ),
        note: 'Above zero, bonding pays.',
      }
    case 'extra-portions':
      return {
        title: 'Portions that bonding adds',
        quantity: 'count',
        expression: minus(
          value('portions of the log', plan.bonded.pieces.length, 'count'),
          value('of the one', plan.alone[0].pieces.length, 'count'),
          value('of the other', plan.alone[1].pieces.length, 'count'),
        ),
      }
    case 'break-even-share':
      return {
        title: 'Share of an intact portion’s worth at which bonding stops paying',
        quantity: 'share',
        expression: over(
          minus(
            plus(
              value('worth of both alone', plan.aloneValue, 'money'),
              value('enzyme, film, labour', plan.cost.total, 'money'),
            ),
            scrapOf(request, [plan.bonded]),
          ),
          value('the log’s portions if they were intact', plan.intactValue, 'money'),
        ),
        note: 'For the cuts that are drawn.',
      }
  }
}

/** Scrap of plans at its own price. */
const scrapOf = ({ scrap }: BondedRequest, plans: readonly BondedPlan['bonded'][]) =>
  times(
    over(
      value(
        'scrap',
        plans.reduce((sum, plan) => sum + plan.scrap.weight, 0),
        'weight',
      ),
      KILO,
    ),
    value('a kilo of it', scrap.valuePerKg, 'money-per-kg'),
  )

/** What the log is worth: its portions at the share that a formed one is worth. */
function worthOfLog(request: BondedRequest, plan: BondedPlan, share: number): Explanation {
  const formed = { ...request, products: formedProducts(request.products, share) }
  const explanation = worthOfPlan('Worth of the log', formed, [plan.bonded])
  if (share === 1) return explanation
  return { ...explanation, note: `${explanation.note} A formed one is worth ${Math.round(share * 100)} % of that.` }
}

/** Portions at their prices, product by product, and scrap at its own. */
function worthOfPlan(title: string, request: BondedRequest, plans: readonly BondedPlan['bonded'][]): Explanation {
  const { products } = request
  const pieces = plans.flatMap((plan) => plan.pieces)
  const portions = products.flatMap((product) => {
    const of = pieces.filter((piece) => piece.product === product.name)
    const worth = of.reduce((sum, { weight }) => sum + worthOf(product, weight), 0)
    return of.length === 0 ? [] : value(`${of.length} ${product.name}`, worth, 'money')
  })
  return {
    title,
    quantity: 'money',
    expression: plus(...portions, scrapOf(request, plans)),
    note: 'A portion is worth all of its price at its target, less below it, and nothing more above it.',
  }
}

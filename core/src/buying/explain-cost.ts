import type { Appraisal } from '../appraisal/index.ts'
import { handlingPerPiece, pricePerPiece, servedOfBought } from '../comparison/index.ts'
import { type Explanation, explain, KILO, minus, over, plus, times, value } from '../explanation/index.ts'
import type { TrueCost } from './true-cost.ts'

export type TrueCostFigure =
  | 'outlay'
  | 'labour'
  | 'consumables'
  | 'credit'
  | 'carriedByOthers'
  | 'productCost'
  | 'costPerKg'
  | 'costPerPlate'
  | 'carries'

/** The formula of a figure of the comparison, with its numbers in it; null where it does not apply. */
export function explainTrueCost(
  cost: TrueCost,
  figure: TrueCostFigure,
  { product, plateWeight }: { product: string; plateWeight: number },
): Explanation | null {
  if (figure === 'costPerPlate') return explainPlate(cost, plateWeight)
  if (figure === 'carries') {
    return {
      title: 'What a plate carries',
      quantity: 'weight',
      expression: over(value('can be served', cost.servable, 'weight'), value('plates', cost.expectedPlates, 'count')),
    }
  }
  if (figure === 'productCost') return explainProductCost(cost)
  if (figure === 'carriedByOthers') return explainCarried(cost, product)
  if ('appraisal' in cost.basis) {
    const { document, appraisal } = cost.basis
    switch (figure) {
      case 'outlay':
        return explain(document, appraisal, { group: 'cost', figure: 'ap' })
      case 'costPerKg':
        return explain(document, appraisal, { group: 'pile', pile: product, figure })
      default:
        return explain(document, appraisal, { group: 'cost', figure })
    }
  }
  return explainReady(cost, figure, plateWeight)
}

/** What is paid for the product over the plates that it gives; a plate may carry less or more than was wanted. */
function explainPlate({ productCost, expectedPlates, carries }: TrueCost, plateWeight: number): Explanation {
  const isOther = Math.abs(carries - plateWeight) >= 1
  return {
    title: 'The product on one plate',
    quantity: 'money',
    expression: over(value('this product', productCost, 'money'), value('plates', expectedPlates, 'count')),
    ...(isOther ? { note: 'A piece within its bounds is a plate, lighter or heavier than was wanted.' } : {}),
  }
}

/** What a row adds up to: everything that is paid, less what is worth something and what other portions carry. */
function explainProductCost(cost: TrueCost): Explanation {
  const { outlay, labour, consumables, credit, carriedByOthers } = cost
  const paid = plus(
    value('outlay', outlay, 'money'),
    value('labour', labour, 'money'),
    ...(consumables > 0 ? [value('bags and the like', consumables, 'money')] : []),
  )
  const less = [
    ...(credit === 0 ? [] : [value('by-product credit', credit, 'money')]),
    ...(carriedByOthers === 0 ? [] : [value('carried by other portions', carriedByOthers, 'money')]),
  ]
  const [first, ...others] = less
  const expression = first ? minus(paid, others.length > 0 ? plus(first, ...others) : first) : paid
  return { title: 'The product of this order', quantity: 'money', expression }
}

/** What the other portions of the animal carry, pile by pile; null where there are none. */
function explainCarried({ basis }: TrueCost, product: string): Explanation | null {
  if (!('appraisal' in basis)) return null
  const others = basis.appraisal.piles.filter(({ name, cost }) => name !== product && (cost ?? 0) !== 0)
  if (others.length === 0) return null
  return {
    title: 'Carried by other portions',
    quantity: 'money',
    expression: plus(...others.map(({ name, cost }) => value(name, cost as number, 'money'))),
    note: 'What the animal costs is shared among its portions by what they are worth.',
  }
}

function explainReady(
  cost: TrueCost,
  figure: Exclude<TrueCostFigure, 'costPerPlate' | 'carries' | 'productCost' | 'carriedByOthers'>,
  plateWeight: number,
): Explanation | null {
  if ('appraisal' in cost.basis) return null
  const { offer, plates } = cost.basis
  const piece = plus(
    value('price of a piece, delivery in', pricePerPiece(offer, plates), 'money'),
    value('handling of a piece', handlingPerPiece(offer), 'money'),
  )
  switch (figure) {
    case 'outlay':
      return {
        title: 'Outlay',
        quantity: 'money',
        expression: plus(
          value('goods', cost.order.goods, 'money'),
          value('delivery', cost.form.quote.delivery, 'money'),
        ),
      }
    case 'labour':
      return {
        title: 'Handling',
        quantity: 'money',
        expression: times(
          value('pieces', cost.order.pieces, 'count'),
          value('handling of a piece', handlingPerPiece(offer), 'money'),
        ),
      }
    case 'consumables':
    case 'credit':
      return null
    case 'costPerKg':
      return {
        title: 'A kilo that can be served',
        quantity: 'money-per-kg',
        expression: times(
          over(
            over(piece, value('usable share', offer.usableShare ?? 1, 'share')),
            value('one piece gives a plate', servedOfBought(offer, plateWeight), 'weight'),
          ),
          KILO,
        ),
        note: 'Rejects are paid for and handled too; what a piece weighs over the plate is given away.',
      }
  }
}

/** The formula of a re-costing by factor: quick, and wrong by what does not move with the price. */
export function explainByFactor(appraisal: Appraisal, pile: string, apPricePerKg: number): Explanation | null {
  const factor = appraisal.piles.find((other) => other.name === pile)?.factorPerPortion ?? null
  if (factor === null) return null
  return {
    title: 'A portion, by its cost factor',
    quantity: 'money',
    expression: times(
      value('factor', factor, 'factor-per-kg'),
      value('new price per kilo', apPricePerKg, 'money-per-kg'),
    ),
    note: 'The factor moves labour and by-products with the price, which they do not; in full they stay.',
  }
}

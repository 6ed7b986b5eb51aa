import { type Appraisal, type MoneyPartName, moneyBars } from '../appraisal/index.ts'
import { handlingPerPiece, servedOfBought } from '../comparison/index.ts'
import type { FabricationDocument } from '../fabrication/index.ts'
import { type Expression, minus, over, times, value } from './expression.ts'
import type { Explanation } from './figure-ref.ts'

const TITLES: Readonly<Record<MoneyPartName, string>> = {
  product: 'Product in a portion',
  labour: 'Labour in a portion',
  bags: 'Bags in a portion',
  'by-products': 'What by-product credit, for a portion',
  price: 'Price of a portion bought',
  handling: 'Handling of a portion bought',
  rejects: 'Rejects paid for with a portion bought',
}

/** How one part of a portion's money is worked out; null where the comparison has none. */
export function moneyPartFigure(
  document: FabricationDocument,
  appraisal: Appraisal,
  at: number,
  part: MoneyPartName,
): Explanation | null {
  const bars = moneyBars(document, appraisal, at)
  const offer = document.offers?.[at]
  const pile = document.piles.find((pile) => pile.name === offer?.pile)
  const comparison = appraisal.comparisons[at]
  if (!bars || !offer || !pile || !comparison) return null
  const { cost } = appraisal
  const money = (name: string, amount: number) => value(name, amount, 'money')
  const ofPortion = (name: string, amount: number) =>
    times(money(name, amount), over(money('cost of a portion', bars.make.total), money('net cost', cost.net)))
  const sameWeight = (name: string, amount: number) =>
    times(
      money(name, amount),
      over(
        value('our plate carries', comparison.plateWeight ?? 0, 'weight'),
        value('theirs carries', servedOfBought(offer, pile.target), 'weight'),
      ),
    )
  const price = sameWeight('price of a piece', comparison.pricePerPiece)
  const handling = sameWeight('handling of a piece', handlingPerPiece(offer))
  const expressions: Record<MoneyPartName, Expression> = {
    product: ofPortion('purchase', cost.ap),
    labour: ofPortion('labour', cost.labour),
    bags: ofPortion('bags and the like', cost.consumables),
    'by-products': ofPortion('less what by-product credit', -cost.credit),
    price,
    handling,
    rejects: minus(money('bought at the same weight', bars.buy.total), price, handling),
  }
  return { title: TITLES[part], quantity: 'money', expression: expressions[part] }
}

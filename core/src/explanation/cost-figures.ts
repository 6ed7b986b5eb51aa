import type { Appraisal } from '../appraisal/index.ts'
import { MINUTES_PER_HOUR, purchasedUnits } from '../costing/index.ts'
import type { FabricationDocument, PriceUnit } from '../fabrication/index.ts'
import { GRAMS_PER_KILOGRAM, GRAMS_PER_POUND } from '../units/index.ts'
import { constant, type Expression, KILO, minus, over, plus, times, value } from './expression.ts'
import type { CostFigureName, Explanation } from './figure-ref.ts'

/** Weights turned into what a price counts, so that the formula shows the conversion. */
export function priceUnits(weight: Expression, per: PriceUnit): Expression {
  return over(
    weight,
    per === 'lb' ? value('a pound', GRAMS_PER_POUND, 'weight') : value('a kilo', GRAMS_PER_KILOGRAM, 'weight'),
  )
}

/** Whether a price is by weight. */
export const isByWeight = (per: PriceUnit) => per === 'kg' || per === 'lb'

/** The formula of a figure of the costs in money; null where the document has not what it needs. */
export function costFigure(
  document: FabricationDocument,
  { weights, cost, piles }: Appraisal,
  figure: CostFigureName,
): Explanation | null {
  const { purchase } = document
  const { per } = purchase.price
  const money = (name: string, amount: number) => value(name, amount, 'money')
  const price = money(`price per ${per}`, purchase.price.amount)
  const ap = value('invoice weight', weights.ap, 'weight')
  switch (figure) {
    case 'ap': {
      const units = isByWeight(per) ? priceUnits(ap, per) : value(`${per}s`, purchasedUnits(purchase), 'count')
      return {
        title: 'Purchase',
        quantity: 'money',
        expression: plus(times(price, units), money('charges', purchase.extras ?? 0)),
      }
    }
    case 'apPricePerKg':
      return {
        title: 'Purchase price per kilo',
        quantity: 'money-per-kg',
        expression: times(over(money('purchase', cost.ap), ap), KILO),
        note: 'Charges included.',
      }
    case 'invoicePrice':
      return isByWeight(per)
        ? {
            title: 'Price on the invoice, per kilo',
            quantity: 'money-per-kg',
            expression: times(
              over(minus(money('purchase', cost.ap), money('charges', purchase.extras ?? 0)), ap),
              KILO,
            ),
            note: 'Without charges, which are paid once.',
          }
        : null
    case 'shortClaim':
      return isByWeight(per)
        ? {
            title: 'To claim',
            quantity: 'money',
            expression: times(price, priceUnits(value('short', weights.short, 'weight'), per)),
          }
        : null
    case 'labour': {
      const entries = (document.labour ?? []).map((entry) =>
        times(
          over(value(`minutes to ${entry.task}`, entry.minutes, 'minutes'), constant(MINUTES_PER_HOUR)),
          value('wage', entry.ratePerHour, 'money-per-hour'),
        ),
      )
      return { title: 'Labour', quantity: 'money', expression: plus(...entries) }
    }
    case 'consumables':
      return {
        title: 'Consumables',
        quantity: 'money',
        expression: plus(...(document.consumables ?? []).map((consumable) => money(consumable.name, consumable.cost))),
      }
    case 'in':
      return {
        title: 'Spent in all',
        quantity: 'money',
        expression: plus(
          money('purchase', cost.ap),
          money('labour', cost.labour),
          money('consumables', cost.consumables),
        ),
      }
    case 'credit':
      return {
        title: 'By-product credit',
        quantity: 'money',
        expression: plus(...piles.flatMap((pile) => (pile.credit === null ? [] : [money(pile.name, pile.credit)]))),
      }
    case 'net':
      return {
        title: 'Net cost',
        quantity: 'money',
        expression: minus(money('spent in all', cost.in), money('by-product credit', cost.credit)),
      }
  }
}

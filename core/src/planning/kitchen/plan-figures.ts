import {
  type Explanation,
  type Expression,
  minus,
  over,
  plus,
  type Quantity,
  times,
  value,
} from '../../explanation/index.ts'
import { GRAMS_PER_KILOGRAM } from '../../units/index.ts'
import type { OrderPlan } from '../order-plan.ts'
import { unpackingOf } from './explain-plan.ts'
import type { PlanGoods } from './goods.ts'
import type { PlanDraft } from './plan-draft.ts'
import { missing } from './plan-lines.ts'
import { rateOf } from './plan-request.ts'
import { valueIn } from './values.ts'

const MINUTES_PER_HOUR = 60

/** What plans differ by, beside their money: minutes of work, kilos thrown away, portions short. */
export interface PlanTotals {
  minutes: number
  thrownKilos: number
  short: number
}

/** Kilos of one of everything that may be thrown away, by its name. */
function kilosOf(goods: PlanGoods, draft: Pick<PlanDraft, 'changes'>): ReadonlyMap<string, number> {
  const of = (kind: 'product' | 'whole', list: PlanGoods['products'] | PlanGoods['wholes']) =>
    list.map(({ id, name, cold }) => [name, valueIn(draft, { kind, id, field: 'cold' }, cold).value] as const)
  return new Map([...of('product', goods.products), ...of('whole', goods.wholes)])
}

/** What a plan throws away: products over without a use, and wholes that stay uncut; how many, and kilos of one. */
function thrownOf(plan: OrderPlan, goods: PlanGoods, draft: Pick<PlanDraft, 'changes'>) {
  const kilosByName = kilosOf(goods, draft)
  return [
    ...plan.left.map(({ product, disposed }) => ({ name: product, count: disposed })),
    ...plan.uncut.map(({ whole, units }) => ({ name: whole, count: units })),
  ].flatMap(({ name, count }) => (count > 0 ? [{ name, count, kilos: kilosByName.get(name) ?? 0 }] : []))
}

/** Minutes of a plan: of what is cut, and of unpacking and trimming what is bought ready. */
function minutesOf(plan: OrderPlan, goods: PlanGoods, draft: Pick<PlanDraft, 'changes'>) {
  const unpacking = goods.ready.map(({ id, name, handling }) => ({
    name,
    minutes: valueIn(draft, { kind: 'ready', id, field: 'handling' }, handling).value,
  }))
  return [
    ...plan.cutting.map(({ cut, minutes }) => ({ name: cut, minutes })),
    ...unpackingOf(plan, { unpacking }).map(({ name, minutes }) => ({ name: `unpacking ${name}`, minutes })),
  ]
}

/** Minutes at the board and of unpacking, kilos thrown away (products over without a use, and wholes that stay uncut), and portions short of a plan. */
export function planTotals(plan: OrderPlan, goods: PlanGoods, draft: Pick<PlanDraft, 'changes'>): PlanTotals {
  return {
    minutes: minutesOf(plan, goods, draft).reduce((sum, { minutes }) => sum + minutes, 0),
    thrownKilos: thrownOf(plan, goods, draft).reduce((sum, { count, kilos }) => sum + count * kilos, 0),
    short: missing(plan.short).reduce((sum, { quantity }) => sum + quantity, 0),
  }
}

/** The formula of one of what plans differ by; null where there is nothing of it. */
export function explainPlanTotal(
  plan: OrderPlan,
  total: keyof PlanTotals,
  { goods, draft }: { goods: PlanGoods; draft: Pick<PlanDraft, 'changes'> },
): Explanation | null {
  const summed = (title: string, quantity: Quantity, terms: Expression[]): Explanation | null =>
    terms.length > 0 ? { title, quantity, expression: plus(...terms) } : null
  switch (total) {
    case 'minutes':
      return summed(
        'Minutes of work',
        'minutes',
        minutesOf(plan, goods, draft).map(({ name, minutes }) => value(name, minutes, 'minutes')),
      )
    case 'thrownKilos':
      return summed(
        'Thrown away',
        'weight',
        thrownOf(plan, goods, draft).map(({ name, count, kilos }) =>
          times(value(name, count, 'count'), value('one', kilos * GRAMS_PER_KILOGRAM, 'weight')),
        ),
      )
    case 'short':
      return summed(
        'Portions short',
        'count',
        missing(plan.short).map(({ product, quantity }) => value(product, quantity, 'count')),
      )
  }
}

/** The formula of what a plan saves beside another way to meet the same demand; below zero it costs more. */
export const explainSaved = (way: string, cost: number, plan: Pick<OrderPlan, 'cost'>): Explanation => ({
  title: 'Saved',
  quantity: 'money',
  expression: minus(value(way, cost, 'money'), value('this plan', plan.cost.total, 'money')),
})

/** The formula of the money by which a plan may be above the cheapest that is possible. */
export const explainUnsure = ({ cost, bound }: Pick<OrderPlan, 'cost' | 'bound'>): Explanation => ({
  title: 'Above the cheapest possible, at most',
  quantity: 'money',
  expression: minus(value('this plan', cost.total, 'money'), value('nothing is cheaper than', bound, 'money')),
})

/** The formula of a portion that is bought ready: the pack, and the minutes of unpacking it, over its portions. */
export function explainReadyPortion(
  id: string,
  goods: PlanGoods,
  draft: Pick<PlanDraft, 'changes'>,
): Explanation | null {
  const ready = goods.ready.find((offer) => offer.id === id)
  if (!ready) return null
  const of = (field: 'price' | 'quantity' | 'handling') =>
    valueIn(draft, { kind: 'ready', id, field }, ready[field]).value
  if (of('quantity') <= 0) return null
  const handling = times(
    value('minutes of unpacking', of('handling'), 'minutes'),
    value('a minute', rateOf(goods) / MINUTES_PER_HOUR, 'money'),
  )
  return {
    title: 'A portion bought ready',
    quantity: 'money',
    expression: over(
      plus(value('a pack', of('price'), 'money'), handling),
      value('portions of a pack', of('quantity'), 'count'),
    ),
    note: 'Delivery stays out: it comes once with whatever else is ordered.',
  }
}

/**
 * The formula of a portion that is cut here, by the way that gives it cheapest: the whole thing, its minutes and bags,
 * less what comes beside it is worth, over its portions. Null where nothing gives it.
 */
export function explainCutPortion(
  productId: string,
  goods: PlanGoods,
  draft: Pick<PlanDraft, 'changes'>,
): { explanation: Explanation; perPortion: number } | null {
  const rate = rateOf(goods) / MINUTES_PER_HOUR
  const ways = goods.cuts.flatMap((cut) => {
    const whole = goods.wholes.find(({ id }) => id === cut.wholeId)
    const ofProduct = cut.yields.find((other) => other.productId === productId)
    if (!whole || !ofProduct) return []
    const changedValue = (field: 'minutes' | 'consumables') =>
      valueIn(draft, { kind: 'cut', id: cut.id, field }, cut[field]).value
    const one = valueIn(draft, { kind: 'whole', id: whole.id, field: 'price' }, whole.price).value / whole.pack
    const portions = valueIn(
      draft,
      { kind: 'yield', id: cut.id, productId, field: 'quantity' },
      ofProduct.quantity,
    ).value
    const beside = cut.yields.reduce((sum, other) => {
      const product = goods.products.find(({ id }) => id === other.productId)
      if (!product || other === ofProduct) return sum
      const worth = valueIn(draft, { kind: 'product', id: product.id, field: 'surplusValue' }, product.surplusValue)
      return sum + other.quantity.value * worth.value
    }, 0)
    if (portions <= 0) return []
    const expression = over(
      minus(
        plus(
          value(whole.name, one, 'money'),
          times(value('minutes', changedValue('minutes'), 'minutes'), value('a minute', rate, 'money')),
          value('bags and the like', changedValue('consumables'), 'money'),
        ),
        value('what comes beside it', beside, 'money'),
      ),
      value('portions', portions, 'count'),
    )
    const perPortion = (one + changedValue('minutes') * rate + changedValue('consumables') - beside) / portions
    return [{ perPortion, explanation: { title: cut.name, quantity: 'money', expression } satisfies Explanation }]
  })
  const [cheapest] = ways.sort((a, b) => a.perPortion - b.perPortion)
  return cheapest ?? null
}

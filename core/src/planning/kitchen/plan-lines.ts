import type { Day } from '../../calendar/index.ts'
import { limitName } from '../limits.ts'
import type { OrderPlan, PlanLimit } from '../order-plan.ts'
import type { PlanGoods } from './goods.ts'
import type { PlanDraft } from './plan-draft.ts'
import { stockOf } from './stock.ts'
import { valueIn } from './values.ts'
import { type WhyLeft, whyLeft } from './why-left.ts'

/** One line of an order: packs of one article, and what the invoice will say. */
export interface OrderLine {
  kind: 'whole' | 'ready'
  articleId: string
  name: string
  packs: number
  /** Pieces in all for what is cut here; portions for what is bought ready. */
  units: number
  itemId: string | null
  productId: string | null
  /** Money of one pack, and of the line. */
  price: number
  money: number
}

export interface OrderOf {
  supplierId: string
  supplier: string
  day: Day
  charge: number
  lines: OrderLine[]
  /** Lines and charge. */
  money: number
}

/** What is cut on a day, with what it gives and whom it serves. */
export interface CuttingLine {
  cutId: string
  styleId: string
  name: string
  wholeId: string
  itemId: string
  unitName: { one: string; many: string }
  day: Day
  units: number
  minutes: number
  /** Lots that it is cut from, with units of each; the rest comes with deliveries. */
  lots: { lotId: string; units: number }[]
  /** Lines of orders that are on their way already. */
  coming: { expectedLineId: string; day: Day; units: number }[]
  /** Days of the deliveries that it is cut from. */
  deliveries: { day: Day; units: number }[]
  /** What it serves, by product. */
  serves: { productId: string; quantity: number }[]
}

export interface PlanLines {
  orders: OrderOf[]
  cutting: CuttingLine[]
  /** Portions that are bought ready, by article. */
  ready: { articleId: string; productId: string; portions: number; packs: number }[]
  left: (OrderPlan['left'][number] & { productId: string; unit: 'portion' | 'kg'; because: WhyLeft[] })[]
  /** Wholes that stay uncut, and why they are there: of a pack that is whole, for a minimum order, or before the plan. */
  uncut: {
    wholeId: string
    name: string
    units: number
    unitName: { one: string; many: string }
    because: 'pack' | 'minimum' | 'there'
  }[]
  short: { productId: string; product: string; day: Day; quantity: number; because: PlanLimit[] }[]
}

/** A plan by ids: names of the solver's answer lead back to what they name. */
export function planLines(
  plan: OrderPlan,
  goods: PlanGoods,
  draft: Pick<PlanDraft, 'changes' | 'stock' | 'lotsLeft' | 'coming'>,
): PlanLines {
  const named = <T extends { name: string }>(list: readonly T[]) => new Map(list.map((item) => [item.name, item]))
  const [products, suppliers, wholes, cuts, ready] = [
    named(goods.products),
    named(goods.suppliers),
    named(goods.wholes),
    named(goods.cuts),
    named(goods.ready),
  ]
  const stock = stockOf(goods, draft)
  const lineOf = ({ name, packs }: { name: string; packs: number }): OrderLine[] => {
    const whole = wholes.get(name)
    const offer = ready.get(name)
    const of = whole ?? offer
    if (!of) return []
    const kind = whole ? 'whole' : 'ready'
    const price = valueIn(draft, { kind, id: of.id, field: 'price' }, of.price).value
    const perPack = whole
      ? whole.pack
      : valueIn(draft, { kind, id: of.id, field: 'quantity' }, offer?.quantity ?? of.price).value
    const tied = { itemId: whole?.itemId ?? null, productId: offer?.productId ?? null }
    return [{ kind, articleId: of.id, name, packs, units: packs * perPack, ...tied, price, money: packs * price }]
  }
  return {
    orders: plan.orders.map(({ supplier, day, charge, lines: ordered }) => {
      const lines = ordered.flatMap(lineOf)
      const money = lines.reduce((sum, line) => sum + line.money, charge)
      return { supplierId: suppliers.get(supplier)?.id ?? '', supplier, day, charge, lines, money }
    }),
    cutting: plan.cutting.flatMap((task): CuttingLine[] => {
      const cut = cuts.get(task.cut)
      const whole = goods.wholes.find(({ id }) => id === cut?.wholeId)
      if (!cut || !whole) return []
      const serves = new Map<string, number>()
      for (const { product, quantity, source } of plan.use) {
        const id = products.get(product)?.id
        if (id === undefined || source.kind !== 'cut' || source.cut !== task.cut || source.day !== task.day) continue
        serves.set(id, (serves.get(id) ?? 0) + quantity)
      }
      return [
        {
          cutId: cut.id,
          styleId: cut.styleId,
          name: cut.name,
          wholeId: whole.id,
          itemId: whole.itemId,
          unitName: whole.unitName,
          day: task.day,
          units: task.units,
          minutes: task.minutes,
          lots: task.from.flatMap((from) => {
            const lotId = from.kind === 'stock' ? stock[from.at]?.lotId : null
            return lotId ? [{ lotId, units: from.units }] : []
          }),
          coming: task.from.flatMap((from) => {
            const supply = from.kind === 'stock' ? stock[from.at] : undefined
            return supply?.expectedLineId && supply.from
              ? [{ expectedLineId: supply.expectedLineId, day: supply.from, units: from.units }]
              : []
          }),
          deliveries: task.from.flatMap((from) =>
            from.kind === 'delivery' ? [{ day: from.day, units: from.units }] : [],
          ),
          serves: [...serves].map(([productId, quantity]) => ({ productId, quantity: clean(quantity) })),
        },
      ]
    }),
    ready: goods.ready.flatMap(({ id, name, productId }) => {
      const portions = plan.use.reduce(
        (sum, { source, quantity }) => sum + (source.kind === 'ready' && source.name === name ? quantity : 0),
        0,
      )
      const packs = plan.orders.reduce(
        (sum, { lines }) => sum + lines.reduce((all, line) => all + (line.name === name ? line.packs : 0), 0),
        0,
      )
      return packs > 0 ? [{ articleId: id, productId, portions: clean(portions), packs }] : []
    }),
    left: plan.left.flatMap((rest) => {
      const product = products.get(rest.product)
      if (!product) return []
      const because = whyLeft(product, plan, { goods, draft })
      return [{ ...rest, productId: product.id, unit: product.unit, because }]
    }),
    uncut: plan.uncut.flatMap(({ whole: name, units, source }): PlanLines['uncut'] => {
      const whole = wholes.get(name)
      if (!whole) return []
      // A whole pack of which nothing is cut is bought for nothing but the order's worth.
      const because = source.kind === 'stock' ? 'there' : units < whole.pack ? 'pack' : 'minimum'
      return [{ wholeId: whole.id, name, units, unitName: whole.unitName, because }]
    }),
    short: missing(plan.short).flatMap(({ product, day, quantity, because }) => {
      const id = products.get(product)?.id
      const limits = plan.limits.filter((limit) => because.includes(limitName(limit)))
      return id === undefined ? [] : [{ productId: id, product, day, quantity, because: limits }]
    }),
  }
}

/** Nobody misses less than this of a portion: it is within what is cut a little larger. */
const SHORT_OF_NOTHING = 0.05

/** What is short of a plan, without what nobody misses. */
export const missing = <S extends { quantity: number }>(short: readonly S[]): S[] =>
  short.filter(({ quantity }) => quantity >= SHORT_OF_NOTHING)

/** Sums of parts that a solver shared out are whole again where they are whole but for its arithmetic. */
const clean = (sum: number) => (Math.abs(sum - Math.round(sum)) < 1e-5 ? Math.round(sum) : sum)

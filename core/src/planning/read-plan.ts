import { type Day, daysBetween } from '../calendar/index.ts'
import type { PlanModel, ProductSupply, WholeSupply } from './model/index.ts'
import type { OrderPlan, OrderPlanRequest, PlanCost, UseSource, WholeSource } from './order-plan.ts'

/** Below this a quantity is what a solver's arithmetic left over. */
const NOTHING = 1e-6
const MINUTES_PER_HOUR = 60

/** What was decided, as a plan says it: everything but how sure it is and what stands beside it. */
export type Decided = Pick<OrderPlan, 'cost' | 'orders' | 'cutting' | 'use' | 'left' | 'uncut' | 'short'>

/** Reads a plan off the values of a model's columns. Counts are whole; money is worked out from them anew. */
export function readPlan(request: OrderPlanRequest, model: PlanModel, values: Float64Array): Decided {
  const { days } = request
  const whole = (column: number | null) => (column === null ? 0 : Math.round(values[column] as number))
  const amount = (column: number) => clean(values[column] as number)
  const dayAt = (place: number) => days[place] as Day
  const orders = ordersOf(model, whole, dayAt)
  const cutting = model.cuts.flatMap(({ cut, day, units, setUp }) => {
    const count = whole(units)
    if (count === 0) return []
    const minutes = count * cut.minutes + (setUp === null ? 0 : cut.setUp)
    return [{ cut: cut.name, whole: cut.whole, day, units: count, minutes, consumables: count * cut.consumables }]
  })
  const left = leftOf(request, model, whole, amount)
  const price = new Map([...request.wholes, ...request.ready].map((good) => [good.name, good.price]))
  const isWhole = new Set(request.wholes.map(({ name }) => name))
  const lines = orders.flatMap((order) => order.lines)
  const worthOf = (kind: boolean) =>
    lines.reduce((sum, { name, packs }) => sum + (isWhole.has(name) === kind ? packs * (price.get(name) ?? 0) : 0), 0)
  const parts = {
    wholes: worthOf(true),
    ready: worthOf(false),
    delivery: orders.reduce((sum, { charge }) => sum + charge, 0),
    labour: cutting.reduce((sum, { minutes }) => sum + minutes, 0) * (request.labour.ratePerHour / MINUTES_PER_HOUR),
    consumables: cutting.reduce((sum, task) => sum + task.consumables, 0),
    disposal: left.reduce((sum, rest) => sum + rest.disposed * rest.disposal, 0),
    surplus: left.reduce((sum, rest) => sum + rest.valued * rest.surplusValue, 0),
  }
  return {
    cost: { ...parts, total: totalOf(parts) },
    orders,
    cutting: withSources(model, cutting, amount, dayAt),
    use: model.products.flatMap((supply) =>
      [...supply.uses].flatMap(([day, column]) => {
        const quantity = amount(column)
        const source = sourceOf(supply, dayAt)
        return quantity > 0 ? [{ product: supply.product, day: dayAt(day), quantity, source }] : []
      }),
    ),
    left: left.map(({ product, quantity, valued, disposed }) => ({ product, quantity, valued, disposed })),
    uncut: uncutOf(request, model, whole, amount, dayAt),
    short: model.demands.flatMap(({ product, day, short }) => {
      const quantity = amount(short)
      return quantity > 0 ? [{ product, day: dayAt(day), quantity, because: [] }] : []
    }),
  }
}

const clean = (value: number) =>
  Math.abs(value) < NOTHING ? 0 : Math.abs(value - Math.round(value)) < NOTHING ? Math.round(value) : value

const totalOf = (parts: Omit<PlanCost, 'total'>) =>
  parts.wholes + parts.ready + parts.delivery + parts.labour + parts.consumables + parts.disposal - parts.surplus

type Whole = (column: number | null) => number
type Amount = (column: number) => number
type DayAt = (place: number) => Day

function ordersOf({ orders, wholes, ready }: PlanModel, whole: Whole, dayAt: DayAt): OrderPlan['orders'] {
  return orders.flatMap(({ supplier, day }) => {
    const lines = [
      ...wholes.flatMap(({ kind, whole: good, at, packs }) =>
        kind === 'delivery' && at === day && good.supplier === supplier.name
          ? [{ name: good.name, packs: whole(packs) }]
          : [],
      ),
      ...ready.flatMap((offer) =>
        offer.day === day && offer.ready.supplier === supplier.name
          ? [{ name: offer.ready.name, packs: whole(offer.packs) }]
          : [],
      ),
    ].filter(({ packs }) => packs > 0)
    return lines.length > 0 ? [{ supplier: supplier.name, day: dayAt(day), lines, charge: supplier.charge }] : []
  })
}

function sourceOf({ kind, name, at }: ProductSupply, dayAt: DayAt): UseSource {
  if (kind === 'stock') return { kind, at }
  return kind === 'cut' ? { kind, cut: name ?? '', day: dayAt(at) } : { kind, name: name ?? '', day: dayAt(at) }
}

const wholeSource = ({ kind, at }: WholeSupply, dayAt: DayAt): WholeSource =>
  kind === 'stock' ? { kind, at } : { kind, day: dayAt(at) }

interface Cutting {
  cut: string
  whole: string
  day: number
  units: number
  minutes: number
}

/** Units of a whole that are cut on a day, shared out to the cuts of that day: which of them a cut gets is one. */
function withSources(
  { wholes }: PlanModel,
  cutting: readonly Cutting[],
  amount: Amount,
  dayAt: DayAt,
): OrderPlan['cutting'] {
  const there = new Map<string, { supply: WholeSupply; units: number }[]>()
  const flowing = (name: string, day: number) => {
    const key = `${day} ${name}`
    const before = there.get(key)
    if (before) return before
    const supplies = wholes.flatMap((supply) => {
      const column = supply.whole.name === name ? supply.flows.get(day) : undefined
      return column === undefined ? [] : [{ supply, units: amount(column) }]
    })
    there.set(key, supplies)
    return supplies
  }
  return cutting.map(({ cut, whole, day, units, minutes }) => {
    const from: OrderPlan['cutting'][number]['from'] = []
    let missing = units
    for (const entry of flowing(whole, day)) {
      const taken = Math.min(missing, entry.units)
      if (taken < NOTHING) continue
      from.push({ ...wholeSource(entry.supply, dayAt), units: clean(taken) })
      entry.units -= taken
      missing -= taken
    }
    return { cut, day: dayAt(day), units, minutes, from }
  })
}

function leftOf({ products }: OrderPlanRequest, model: PlanModel, whole: Whole, amount: Amount) {
  return products.flatMap(({ name, surplusUpTo, surplusValue, disposal }) => {
    const supplies = model.products.filter((product) => product.product === name && !product.isGoodAfter)
    const quantity = clean(
      supplies.reduce((sum, { made, quantity: there, uses }) => {
        const served = [...uses.values()].reduce((all, column) => all + amount(column), 0)
        return sum + there + (made ? whole(made[0]) * made[1] : 0) - served
      }, 0),
    )
    if (quantity <= 0) return []
    const valued = Math.min(quantity, surplusUpTo)
    return [{ product: name, quantity, valued, disposed: quantity - valued, surplusValue, disposal }]
  })
}

/** Bought or in stock, and cut on no day; stock that is good after the last day waits for another plan. */
function uncutOf({ days, stock }: OrderPlanRequest, model: PlanModel, whole: Whole, amount: Amount, dayAt: DayAt) {
  return model.wholes.flatMap((supply): OrderPlan['uncut'] => {
    const { whole: good, kind, at, packs, units, flows } = supply
    const until = kind === 'stock' ? daysBetween(days[0] as Day, stock[at]?.useBy as Day) : 0
    if (until >= days.length) return []
    const there = kind === 'delivery' ? whole(packs) * good.pack : units
    const left = clean(there - [...flows.values()].reduce((sum, column) => sum + amount(column), 0))
    return left > 0 ? [{ whole: good.name, source: wholeSource(supply, dayAt), units: left }] : []
  })
}

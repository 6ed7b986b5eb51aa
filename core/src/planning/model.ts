import { type Day, daysBetween } from '../calendar/index.ts'
import { countedYield } from './counted-yield.ts'
import type { OrderPlanRequest, PlanCut, PlanReady, PlanSupplier, PlanWhole } from './order-plan.ts'
import { Programme, type Term } from './programme.ts'

/** Units of a whole that may be cut: of a delivery, or of stock. `flows` are columns by the place of the day. */
export interface WholeSupply {
  whole: PlanWhole
  kind: 'delivery' | 'stock'
  /** Place of the first day on which it may be cut, or in `stock`. */
  at: number
  /** Column of packs; null for stock. */
  packs: number | null
  /** Units there are of stock; 0 for a delivery. */
  units: number
  flows: Map<number, number>
  /** It is good beyond the last day: what is not cut stands in the cold every day. */
  isGoodAfter: boolean
}

/** A quantity of a product that may serve: made by a cut on a day, bought ready, or in stock. */
export interface ProductSupply {
  product: string
  kind: 'cut' | 'ready' | 'stock'
  /** The cut or the ready good; null for stock. */
  name: string | null
  /** Place of the day on which it is there, or in `stock`. */
  at: number
  /** What there is of it: a factor of a column; or a quantity that is there. */
  made: Term | null
  quantity: number
  /** Columns that serve, by the place of the day. */
  uses: Map<number, number>
  /** First place of a day from which it is in the cold. */
  from: number
  isGoodAfter: boolean
}

export interface PlanModel {
  programme: Programme
  wholes: WholeSupply[]
  products: ProductSupply[]
  /** Units of each cut on each day, and whether it is set up: columns. */
  cuts: { cut: PlanCut; day: number; units: number; setUp: number | null }[]
  ready: { ready: PlanReady; day: number; packs: number }[]
  /** Whether a supplier brings something on a day: columns. */
  orders: { supplier: PlanSupplier; day: number; isOrdered: number }[]
  demands: { product: string; day: number; asked: number; short: number }[]
  /** What is left of a product: in all, and of it what is credited. Columns. */
  left: { product: string; all: number; valued: number }[]
  shortCosts: number[]
  moneyCosts: number[]
}

const MINUTES_PER_HOUR = 60

/** The plan as a mixed-integer programme: what may be decided, and what holds between it. */
export function modelOf(request: OrderPlanRequest): PlanModel {
  const { days, labour, coldSpace, service } = request
  const programme = new Programme()
  const last = days.length - 1
  const placeOf = (day: Day) => daysBetween(days[0] as Day, day)
  const productOf = new Map(request.products.map((product) => [product.name, product]))
  const money: [column: number, amount: number][] = []

  const demands = demandsOf(request, placeOf, programme)
  const bounds = boundsOf(request, demands)

  // What is ordered.
  const orders = request.suppliers.flatMap((supplier) =>
    supplier.delivers.flatMap((day) => {
      const at = placeOf(day)
      if (at < 0 || at > last) return []
      const isOrdered = programme.column({ upper: 1, isWhole: true })
      money.push([isOrdered, supplier.charge])
      return [{ supplier, day: at, isOrdered, lines: [] as { packs: number; price: number; most: number }[] }]
    }),
  )
  const deliveriesOf = (supplier: string) => orders.filter((each) => each.supplier.name === supplier)

  const wholes: WholeSupply[] = []
  for (const whole of request.wholes) {
    for (const order of deliveriesOf(whole.supplier)) {
      const most = Math.min(whole.mostPacks, bounds.packsOf(whole, order.supplier.minimum))
      const packs = programme.column({ upper: most, isWhole: true })
      money.push([packs, whole.price])
      order.lines.push({ packs, price: whole.price, most })
      const until = Math.min(last, order.day + whole.keepsDays - 1)
      wholes.push({
        whole,
        kind: 'delivery',
        at: order.day,
        packs,
        units: 0,
        flows: flowsOf(order.day, until),
        isGoodAfter: false,
      })
    }
  }
  request.stock.forEach((stock, at) => {
    const whole = request.wholes.find(({ name }) => name === stock.whole)
    const until = placeOf(stock.useBy)
    if (!whole || until < 0) return
    const flows = flowsOf(0, Math.min(last, until))
    wholes.push({ whole, kind: 'stock', at, packs: null, units: stock.quantity, flows, isGoodAfter: until > last })
  })
  for (const { packs, units, flows, whole } of wholes) {
    const cut = [...flows.values()].map((column): Term => [column, 1])
    if (packs === null) programme.row(cut, Number.NEGATIVE_INFINITY, units)
    else programme.row([...cut, [packs, -whole.pack]], Number.NEGATIVE_INFINITY, 0)
  }

  // What is cut.
  const products: ProductSupply[] = []
  const cuts = request.cuts.flatMap((cut) =>
    days.map((_, day) => {
      const most = Math.min(cut.mostPerDay, bounds.unitsOf(cut), mostInHours(cut, labour.hours[day] ?? 0))
      const units = programme.column({ upper: most, isWhole: true })
      money.push([units, cut.consumables + (cut.minutes * labour.ratePerHour) / MINUTES_PER_HOUR])
      let setUp: number | null = null
      if (cut.setUp > 0) {
        setUp = programme.column({ upper: 1, isWhole: true })
        money.push([setUp, (cut.setUp * labour.ratePerHour) / MINUTES_PER_HOUR])
        programme.row(
          [
            [units, 1],
            [setUp, -most],
          ],
          Number.NEGATIVE_INFINITY,
          0,
        )
      }
      for (const given of cut.yields) {
        const counted = countedYield(given, service)
        const uses = usesOf(given.product, day + cut.restDays)
        products.push({
          product: given.product,
          kind: 'cut',
          name: cut.name,
          at: day,
          made: [units, counted],
          quantity: 0,
          uses,
          from: day,
          isGoodAfter: false,
        })
      }
      return { cut, day, units, setUp }
    }),
  )
  // Units of a whole that are cut on a day come from what may be cut then.
  for (const whole of request.wholes) {
    days.forEach((_, day) => {
      const own = cuts.filter((each) => each.cut.whole === whole.name && each.day === day)
      const from = wholes.flatMap(({ whole: { name }, flows }) => (name === whole.name ? (flows.get(day) ?? []) : []))
      const terms = [...own.map(({ units }): Term => [units, 1]), ...from.map((column): Term => [column, -1])]
      if (terms.length > 0) programme.row(terms, 0, 0)
    })
  }
  days.forEach((_, day) => {
    const own = cuts.filter((each) => each.day === day)
    const terms = own.flatMap(({ cut, units, setUp }): Term[] => [
      [units, cut.minutes],
      ...(setUp === null ? [] : [[setUp, cut.setUp] as Term]),
    ])
    programme.row(terms, Number.NEGATIVE_INFINITY, (labour.hours[day] ?? 0) * MINUTES_PER_HOUR)
  })

  // What is bought ready.
  const ready = request.ready.flatMap((each) =>
    deliveriesOf(each.supplier).map((order) => {
      const most = Math.min(each.mostPacks, bounds.readyPacksOf(each, order.supplier.minimum))
      const packs = programme.column({ upper: most, isWhole: true })
      money.push([packs, each.price])
      order.lines.push({ packs, price: each.price, most })
      products.push({
        product: each.product,
        kind: 'ready',
        name: each.name,
        at: order.day,
        made: [packs, each.quantity],
        quantity: 0,
        uses: usesOf(each.product, order.day),
        from: order.day,
        isGoodAfter: false,
      })
      return { ready: each, day: order.day, packs }
    }),
  )
  for (const { supplier, isOrdered, lines } of orders) {
    for (const { packs, most } of lines)
      programme.row(
        [
          [packs, 1],
          [isOrdered, -most],
        ],
        Number.NEGATIVE_INFINITY,
        0,
      )
    const worth = lines.map(({ packs, price }): Term => [packs, price])
    programme.row([...worth, [isOrdered, -supplier.minimum]], 0, Number.POSITIVE_INFINITY)
  }

  request.stock.forEach((stock, at) => {
    const until = placeOf(stock.useBy)
    if (stock.product === null || until < 0) return
    const uses = columnsFor(stock.product, 0, Math.min(last, until))
    products.push({
      product: stock.product,
      kind: 'stock',
      name: null,
      at,
      made: null,
      quantity: stock.quantity,
      uses,
      from: 0,
      isGoodAfter: until > last,
    })
  })

  // Everything serves at most what there is of it, and a demand gets what serves it or is short.
  for (const { made, quantity, uses } of products) {
    const terms = [...uses.values()].map((column): Term => [column, 1])
    programme.row(made ? [...terms, [made[0], -made[1]]] : terms, Number.NEGATIVE_INFINITY, quantity)
  }
  for (const { product, day, asked, short } of demands) {
    const serving = products.flatMap((each) => (each.product === product ? (each.uses.get(day) ?? []) : []))
    programme.row([...serving.map((column): Term => [column, 1]), [short, 1]], asked, asked)
  }
  const left = request.products.map((product) => {
    const all = programme.column()
    const valued = programme.column({ upper: product.surplusUpTo })
    money.push([all, product.disposal], [valued, -product.disposal - product.surplusValue])
    // What is good after the last day is not left.
    const own = products.filter((each) => each.product === product.name && !each.isGoodAfter)
    const terms = own.flatMap(({ made, uses }): Term[] => [
      ...(made ? [[made[0], -made[1]] as Term] : []),
      ...[...uses.values()].map((column): Term => [column, 1]),
    ])
    const there = own.reduce((sum, { quantity }) => sum + quantity, 0)
    programme.row([[all, 1], ...merged(terms)], there, there)
    programme.row(
      [
        [valued, 1],
        [all, -1],
      ],
      Number.NEGATIVE_INFINITY,
      0,
    )
    return { product: product.name, all, valued }
  })
  if (coldSpace !== null) addCold(coldSpace)

  const columns = programme.costs.length
  const moneyCosts = new Array<number>(columns).fill(0)
  for (const [column, amount] of money) moneyCosts[column] = (moneyCosts[column] as number) + amount
  const shortCosts = new Array<number>(columns).fill(0)
  for (const { short, asked } of demands) shortCosts[short] = 1 / asked
  return { programme, wholes, products, cuts, ready, orders, demands, left, shortCosts, moneyCosts }

  function flowsOf(from: number, until: number): Map<number, number> {
    const flows = new Map<number, number>()
    for (let day = from; day <= until; day++) flows.set(day, programme.column())
    return flows
  }

  function usesOf(product: string, from: number): Map<number, number> {
    return columnsFor(product, from, Math.min(last, from + (productOf.get(product)?.keepsDays ?? 1) - 1))
  }

  function columnsFor(product: string, from: number, until: number): Map<number, number> {
    const uses = new Map<number, number>()
    for (const each of demands) {
      if (each.product === product && each.day >= from && each.day <= until) {
        uses.set(each.day, programme.column({ upper: each.asked }))
      }
    }
    return uses
  }

  /** At the end of each day: what will be cut or served later, and what of stock is good after the last day. */
  function addCold(space: number): void {
    days.forEach((_, day) => {
      const terms: Term[] = []
      let there = 0
      const addLater = (from: number, columnsByDay: ReadonlyMap<number, number>, cold: number) => {
        if (from > day || cold === 0) return
        for (const [later, column] of columnsByDay) if (later > day) terms.push([column, cold])
      }
      for (const { kind, at, flows, whole, units, isGoodAfter } of wholes) {
        if (isGoodAfter) {
          // Cut by today it is gone; what is cut later, and what never is, stands here.
          there += units * whole.cold
          for (const [cutOn, column] of flows) if (cutOn <= day) terms.push([column, -whole.cold])
        } else addLater(kind === 'delivery' ? at : 0, flows, whole.cold)
      }
      for (const { product, from, uses, quantity, isGoodAfter } of products) {
        const cold = productOf.get(product)?.cold ?? 0
        if (isGoodAfter) {
          there += quantity * cold
          for (const [servedOn, column] of uses) if (servedOn <= day) terms.push([column, -cold])
        } else addLater(from, uses, cold)
      }
      if (terms.length > 0) programme.row(merged(terms), Number.NEGATIVE_INFINITY, space - there)
    })
  }
}

/** A demand of a product on a day once, however often it was written; one of nothing is none. */
function demandsOf({ demand }: OrderPlanRequest, placeOf: (day: Day) => number, programme: Programme) {
  const asked = new Map<string, { product: string; day: number; asked: number }>()
  for (const { product, day, quantity } of demand) {
    if (quantity <= 0) continue
    const key = `${placeOf(day)} ${product}`
    const known = asked.get(key)
    if (known) known.asked += quantity
    else asked.set(key, { product, day: placeOf(day), asked: quantity })
  }
  return [...asked.values()].map((each) => ({ ...each, short: programme.column({ upper: each.asked }) }))
}

/** One column once in a row. */
function merged(terms: readonly Term[]): Term[] {
  const sums = new Map<number, number>()
  for (const [column, factor] of terms) sums.set(column, (sums.get(column) ?? 0) + factor)
  return [...sums]
}

const mostInHours = ({ minutes, setUp }: PlanCut, hours: number) =>
  minutes > 0 ? Math.max(0, Math.floor((hours * MINUTES_PER_HOUR - setUp) / minutes + 1e-9)) : Number.POSITIVE_INFINITY

/** No more than the demand could ever use, with what may be left at a worth, and what reaches a minimum. */
function boundsOf(request: OrderPlanRequest, demands: readonly { product: string; asked: number }[]) {
  const wantedOf = new Map(
    request.products.map(({ name, surplusUpTo }) => [
      name,
      surplusUpTo + demands.reduce((sum, each) => sum + (each.product === name ? each.asked : 0), 0),
    ]),
  )
  const unitsOf = (cut: PlanCut): number =>
    cut.yields.reduce((most, given) => {
      const counted = countedYield(given, request.service)
      return counted > 0 ? Math.max(most, Math.ceil((wantedOf.get(given.product) ?? 0) / counted)) : most
    }, 0)
  const toMinimum = (minimum: number, price: number) => (price > 0 ? Math.ceil(minimum / price) : 0)
  return {
    unitsOf,
    packsOf: ({ name, pack, price }: PlanWhole, minimum: number) => {
      const units = request.cuts.reduce((sum, cut) => sum + (cut.whole === name ? unitsOf(cut) : 0), 0)
      return Math.max(Math.ceil(units / pack), toMinimum(minimum, price))
    },
    readyPacksOf: ({ product, quantity, price }: PlanReady, minimum: number) =>
      Math.max(quantity > 0 ? Math.ceil((wantedOf.get(product) ?? 0) / quantity) : 0, toMinimum(minimum, price)),
  }
}

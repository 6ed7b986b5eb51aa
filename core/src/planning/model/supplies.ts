import type { PlanReady } from '../order-plan.ts'
import { type Draft, NONE_ABOVE, NONE_BELOW, once } from './draft.ts'
import type { PlanModel } from './plan-model.ts'

/** Wholes that are delivered, whole packs of them, and wholes in stock. */
export function addWholes(draft: Draft): void {
  const { request, programme, wholes } = draft
  for (const whole of request.wholes) {
    for (const order of draft.ordersOf(whole.supplier)) {
      const most = Math.min(whole.mostPacks, draft.bounds.packsOf(whole, order.supplier.minimum))
      const packs = programme.column({ upper: most, isWhole: true })
      draft.costs(packs, whole.price)
      order.lines.push({ packs, price: whole.price, most })
      const flows = draft.flows(order.day, order.day + whole.keepsDays - 1)
      wholes.push({
        whole,
        kind: 'delivery',
        at: order.day,
        packs,
        units: 0,
        from: order.day,
        gate: order.isOrdered,
        flows,
        isGoodAfter: false,
      })
    }
  }
  request.stock.forEach((stock, index) => {
    const whole = request.wholes.find(({ name }) => name === stock.whole)
    const until = draft.placeOf(stock.useBy)
    if (!whole || until < 0) return
    const from = draft.stockFrom(stock)
    const flows = draft.flows(from, until)
    wholes.push({
      whole,
      kind: 'stock',
      at: index,
      packs: null,
      units: stock.quantity,
      from,
      gate: null,
      flows,
      isGoodAfter: until > draft.last,
    })
  })
  for (const { packs, units, flows, whole } of wholes) {
    if (packs === null) programme.row(once(flows.values()), NONE_BELOW, units)
    else programme.row([...once(flows.values()), [packs, -whole.pack]], NONE_BELOW, 0)
  }
}

/** What is bought ready: whole packs at each delivery. */
export const addReady = (draft: Draft): PlanModel['ready'] =>
  draft.request.ready.flatMap((ready) =>
    draft.ordersOf(ready.supplier).map((order) => {
      const most = Math.min(ready.mostPacks, draft.bounds.readyPacksOf(ready, order.supplier.minimum))
      const packs = draft.programme.column({ upper: most, isWhole: true })
      draft.costs(packs, ready.price)
      order.lines.push({ packs, price: ready.price, most })
      addReadySupply(draft, ready, { day: order.day, packs, gate: order.isOrdered })
      return { ready, day: order.day, packs }
    }),
  )

function addReadySupply(
  draft: Draft,
  { name, product, quantity }: PlanReady,
  { day, packs, gate }: { day: number; packs: number; gate: number },
): void {
  draft.products.push({
    product,
    kind: 'ready',
    name,
    at: day,
    made: [packs, quantity],
    quantity: 0,
    uses: draft.usesWhileKept(product, day),
    gate,
    from: day,
    isGoodAfter: false,
  })
}

/** Products that are there before the plan. */
export function addStock(draft: Draft): void {
  draft.request.stock.forEach((stock, index) => {
    const { product, quantity, useBy } = stock
    const until = draft.placeOf(useBy)
    if (product === null || until < 0) return
    const from = draft.stockFrom(stock)
    const uses = draft.uses(product, from, until)
    const isGoodAfter = until > draft.last
    draft.products.push({
      product,
      kind: 'stock',
      name: null,
      at: index,
      made: null,
      quantity,
      uses,
      gate: null,
      from,
      isGoodAfter,
    })
  })
}

/** An order is worth its supplier's minimum, and nothing comes without one. */
export function addOrderRules({ orders, programme }: Draft): void {
  for (const { supplier, isOrdered, lines } of orders) {
    for (const { packs, most } of lines) programme.row([...once([packs]), [isOrdered, -most]], NONE_BELOW, 0)
    const worth = lines.map(({ packs, price }) => [packs, price] as const)
    programme.row([...worth, [isOrdered, -supplier.minimum]], 0, NONE_ABOVE)
  }
}

/** Everything serves at most what there is of it, and a demand gets what serves it or is short. */
export function addServing({ products, demands, programme }: Draft): void {
  for (const { made, quantity, uses } of products) {
    const terms = once(uses.values())
    programme.row(made ? [...terms, [made[0], -made[1]]] : terms, NONE_BELOW, quantity)
  }
  // Each use by itself is nothing where its supply is: said apart, the solver sees at once what a supply costs.
  for (const { product, gate, uses } of products) {
    if (gate === null) continue
    for (const { day, asked, product: own } of demands) {
      const use = own === product ? uses.get(day) : undefined
      if (use !== undefined)
        programme.row(
          [
            [use, 1],
            [gate, -asked],
          ],
          NONE_BELOW,
          0,
        )
    }
  }
  for (const { product, day, asked, short } of demands) {
    const serving = products.flatMap((supply) => (supply.product === product ? (supply.uses.get(day) ?? []) : []))
    programme.row(once([...serving, short]), asked, asked)
  }
}

import type { Term } from '../../solving/index.ts'
import { type Draft, merged, NONE_BELOW, once } from './draft.ts'
import type { PlanModel } from './plan-model.ts'

/** What is left of each product: some of it is worth something, the rest is disposed of. What is good after the last day is not left. */
export const addLeft = (draft: Draft): PlanModel['left'] =>
  draft.request.products.map(({ name, disposal, surplusValue, surplusUpTo }) => {
    const { programme, products } = draft
    const all = programme.column()
    const valued = programme.column({ upper: surplusUpTo })
    draft.costs(all, disposal)
    draft.costs(valued, -disposal - surplusValue)
    const supplies = products.filter((product) => product.product === name && !product.isGoodAfter)
    const terms = supplies.flatMap(({ made, uses }): Term[] => [
      ...once(made ? [made[0]] : [], made ? -made[1] : 0),
      ...once(uses.values()),
    ])
    const there = supplies.reduce((sum, { quantity }) => sum + quantity, 0)
    programme.row([...once([all]), ...merged(terms)], there, there)
    programme.row([...once([valued]), ...once([all], -1)], NONE_BELOW, 0)
    return { product: name, all, valued }
  })

/**
 * Cold at the end of each day: what will be cut or served later, and what of stock is good after the last day. Of that
 * what is cut or served by then is gone, and the rest stands there every day.
 */
export function addCold(draft: Draft): void {
  const { coldSpace, days } = draft.request
  if (coldSpace === null) return
  const standing = [
    ...draft.wholes.map(({ from, flows, whole, units, isGoodAfter }) => ({
      cold: whole.cold,
      from,
      leaving: flows,
      quantity: units,
      isGoodAfter,
    })),
    ...draft.products.map(({ product, from, uses, quantity, isGoodAfter }) => ({
      cold: draft.productOf(product)?.cold ?? 0,
      from,
      leaving: uses,
      quantity,
      isGoodAfter,
    })),
  ].filter(({ cold }) => cold > 0)
  days.forEach((_, day) => {
    const terms: Term[] = []
    let there = 0
    for (const { cold, from, leaving, quantity, isGoodAfter } of standing) {
      const byThen = [...leaving].flatMap(([leaves, column]) => (leaves <= day ? [column] : []))
      const later = [...leaving].flatMap(([leaves, column]) => (leaves > day ? [column] : []))
      if (from > day) continue
      if (isGoodAfter) {
        there += quantity * cold
        terms.push(...once(byThen, -cold))
      } else terms.push(...once(later, cold))
    }
    if (terms.length > 0) draft.programme.row(merged(terms), NONE_BELOW, coldSpace - there)
  })
}

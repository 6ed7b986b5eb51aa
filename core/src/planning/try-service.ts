import { randomGamma, randomLcg, randomNormal } from 'd3-random'
import { spreadOfNext } from './counted-yield.ts'
import type { OrderPlan, OrderPlanRequest, PlanYield } from './order-plan.ts'

export const SERVICE_DRAWS = 10_000
const SEED = 0.41
/** What arithmetic leaves over is no shortage. */
const NEAR = 1e-6

interface Source {
  units: number
  given: PlanYield
  /** What is planned from it, in the order of days; `demand` is the place among the demands planned in full. */
  uses: { demand: number | null; quantity: number }[]
}

/**
 * Tries a plan in seeded draws: each takes, for each cut, day and product, `quantity + sd × √(1 + 1/n) × t(df)`, at
 * least 0, and serves what is planned in the order of days. `met` is the lowest share of draws over the demands that are
 * planned in full, `all` the share in which every one of them is met; both are 1 where there is none.
 */
export function tryService(
  { cuts, days }: OrderPlanRequest,
  { cutting, use, short }: Pick<OrderPlan, 'cutting' | 'use' | 'short'>,
  draws = SERVICE_DRAWS,
): { met: number; all: number } {
  const isShort = new Set(short.map(({ product, day }) => `${day} ${product}`))
  const full = [...new Set(use.map(({ product, day }) => `${day} ${product}`))].filter((key) => !isShort.has(key))
  const placeOf = new Map(full.map((key, index) => [key, index]))
  const order = new Map(days.map((day, index) => [day, index]))
  const sources = cutting.flatMap(({ cut: name, day, units }): Source[] => {
    const cut = cuts.find((cut) => cut.name === name)
    return (cut?.yields ?? []).flatMap((given): Source[] => {
      if (spreadOfNext(given) === null) return []
      const uses = use
        .filter(
          ({ product, source }) =>
            product === given.product && source.kind === 'cut' && source.cut === name && source.day === day,
        )
        .sort((a, b) => (order.get(a.day) ?? 0) - (order.get(b.day) ?? 0))
        .map(({ product, day: served, quantity }) => ({
          demand: placeOf.get(`${served} ${product}`) ?? null,
          quantity,
        }))
      return uses.length > 0 ? [{ units, given, uses }] : []
    })
  })
  const random = randomLcg(SEED)
  const normal = randomNormal.source(random)()
  const draw = new Map(
    sources.map(({ given }) => {
      const df = spreadOfNext(given)?.df ?? 1
      const gamma = randomGamma.source(random)(df / 2, 2 / df)
      return [given, () => normal() / Math.sqrt(gamma())]
    }),
  )
  const missed = full.map(() => 0)
  let anyMissed = 0
  for (let at = 0; at < draws; at++) {
    const isMissed = new Set<number>()
    for (const { units, given, uses } of sources) {
      const scale = spreadOfNext(given)?.scale ?? 0
      let there = units * Math.max(0, given.quantity + scale * (draw.get(given)?.() ?? 0))
      for (const { demand, quantity } of uses) {
        const served = Math.min(there, quantity)
        there -= served
        if (served < quantity - NEAR && demand !== null) isMissed.add(demand)
      }
    }
    for (const demand of isMissed) missed[demand] = (missed[demand] as number) + 1
    if (isMissed.size > 0) anyMissed += 1
  }
  return { met: 1 - Math.max(0, ...missed) / draws, all: 1 - anyMissed / draws }
}

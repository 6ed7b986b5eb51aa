import type { Day } from '../../calendar/index.ts'
import type { PlanGoods } from './goods.ts'
import type { PlanDraft } from './plan-draft.ts'
import type { CuttingLine, PlanLines } from './plan-lines.ts'
import { rateOf } from './plan-request.ts'
import { valueIn } from './values.ts'

const MINUTES_PER_HOUR = 60

/** A fabrication as it is planned: one style, one day, one lot or delivery. */
export interface PlannedWork {
  styleId: string
  articleId: string
  supplierId: string
  day: Day
  units: number
  minutes: number
  /** Portions that so many units give, by product. */
  portions: { productId: string; product: string; quantity: number }[]
  /** Money of what is cut, its minutes and its bags. */
  money: number
  /** The lot in the cold that it is cut from; null where it waits for a delivery. */
  lotId: string | null
  /** The day of the delivery that it waits for; null where it is cut from the cold. */
  delivery: Day | null
  /** The line of an order that is on its way already; null where the plan orders it, or it is there. */
  expectedLineId: string | null
}

interface Source {
  lotId: string | null
  delivery: Day | null
  expectedLineId: string | null
  units: number
}

/** Whole units of each source that add up to the line's: what a solver shared out in parts is shared out in wholes. */
function wholeSources({ units, lots, coming, deliveries }: CuttingLine): Source[] {
  const none = { lotId: null, delivery: null, expectedLineId: null }
  const sources: Source[] = [
    ...lots.map((lot) => ({ ...none, ...lot })),
    ...coming.map(({ expectedLineId, day, units: own }) => ({ ...none, expectedLineId, delivery: day, units: own })),
    ...deliveries.map(({ day, units: own }) => ({ ...none, delivery: day, units: own })),
  ]
  let shared = 0
  let given = 0
  return sources.flatMap((source, index) => {
    shared += source.units
    const until = index === sources.length - 1 ? units : Math.round(shared)
    const unitsHere = until - given
    given = until
    return unitsHere > 0 ? [{ ...source, units: unitsHere }] : []
  })
}

/** What an accepted plan asks of the bench: each line parted by the lot or the delivery that it is cut from. */
export function plannedWork(lines: PlanLines, goods: PlanGoods, draft: Pick<PlanDraft, 'changes'>): PlannedWork[] {
  const products = new Map(goods.products.map((product) => [product.id, product]))
  return lines.cutting.flatMap((line) => {
    const cut = goods.cuts.find(({ id }) => id === line.cutId)
    const whole = goods.wholes.find(({ id }) => id === line.wholeId)
    if (!cut || !whole) return []
    const price = valueIn(draft, { kind: 'whole', id: whole.id, field: 'price' }, whole.price).value
    const bags = valueIn(draft, { kind: 'cut', id: cut.id, field: 'consumables' }, cut.consumables).value
    return wholeSources(line).map(({ units, lotId, delivery, expectedLineId }): PlannedWork => {
      const minutes = (line.minutes * units) / line.units
      return {
        styleId: line.styleId,
        articleId: whole.id,
        supplierId: whole.supplierId,
        day: line.day,
        units,
        minutes,
        portions: cut.yields.flatMap(({ productId, quantity }) => {
          const product = products.get(productId)
          if (product?.unit !== 'portion') return []
          const one = valueIn(draft, { kind: 'yield', id: cut.id, productId, field: 'quantity' }, quantity).value
          return [{ productId, product: product.name, quantity: one * units }]
        }),
        money: (price / whole.pack + bags) * units + (minutes * rateOf(goods)) / MINUTES_PER_HOUR,
        lotId,
        delivery,
        expectedLineId,
      }
    })
  })
}

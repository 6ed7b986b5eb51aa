import { addDays, type Day, daysBetween } from '../../calendar/index.ts'
import { demandOf } from './draft.ts'
import type { PlanGoods } from './goods.ts'
import type { PlanDraft } from './plan-draft.ts'
import { valueIn } from './values.ts'

/** Portions that were made or came on a day. */
export interface MadePortions {
  productId: string
  day: Day
  quantity: number
}

/** An accepted plan, as far as what is left of it depends on it. */
export interface PlanUnderWay {
  id: string
  draft: PlanDraft
  goods: Pick<PlanGoods, 'products'>
  /** What was really cut and what came ready, by now. */
  made: readonly MadePortions[]
}

/** Less than this is none of it. */
const NONE = 1e-6

/**
 * What is left of an accepted plan from a day on, as a plan of its own: its demands from then on, the portions that are
 * there, and everything else as it was said. What was pinned is let go but for what is wanted of none: it was met by what
 * is ordered and cut already. A plan that is over has one day.
 */
export function restOfPlan({ id, draft, goods, made }: PlanUnderWay, today: Day): PlanDraft {
  const from = today > draft.from ? today : draft.from
  const still = <T extends { day: Day }>(list: readonly T[]) => list.filter(({ day }) => day >= from)
  return {
    ...draft,
    from,
    days: Math.max(1, draft.days - daysBetween(draft.from, from)),
    covers: still(draft.covers),
    portions: still(draft.portions),
    hours: still(draft.hours),
    away: still(draft.away),
    deliveries: still(draft.deliveries),
    stock: portionsLeft({ draft, goods, made }, from),
    pins: draft.pins.filter(({ atLeast, atMost }) => atLeast === null && atMost === 0),
    replaces: id,
    coming: [],
  }
}

/**
 * Portions that are there on a day: what was there, made or came before, less what the days before asked for; of several
 * the one that is good for the shortest time was served first. What is no longer good is none.
 */
function portionsLeft({ draft, goods, made }: Omit<PlanUnderWay, 'id'>, from: Day): PlanDraft['stock'] {
  const keeps = new Map(
    goods.products.map(({ id, keepsDays }) => [
      id,
      valueIn(draft, { kind: 'product', id, field: 'keepsDays' }, keepsDays).value,
    ]),
  )
  const batches = [
    ...draft.stock.map((stock) => ({ ...stock, day: draft.from })),
    ...made.map(({ productId, day, quantity }) => ({
      ...{ productId, day, quantity, useBy: addDays(day, (keeps.get(productId) ?? 1) - 1) },
    })),
  ].sort((a, b) => a.useBy.localeCompare(b.useBy))
  for (const { productId, day, quantity } of demandOf(draft)) {
    if (day >= from) continue
    let left = quantity
    for (const batch of batches) {
      if (batch.productId !== productId || batch.day > day || batch.useBy < day) continue
      const served = Math.min(left, batch.quantity)
      batch.quantity -= served
      left -= served
    }
  }
  return batches.flatMap(({ productId, quantity, useBy, day }) =>
    quantity > NONE && useBy >= from && day <= from ? [{ productId, quantity, useBy }] : [],
  )
}

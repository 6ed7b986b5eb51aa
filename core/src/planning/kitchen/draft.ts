import { addDays, type Day } from '../../calendar/index.ts'
import type { PlanDraft } from './plan-draft.ts'

const WEEK = 7
/** Enough in nine weeks of ten, unless somebody says otherwise. */
const USUAL_SERVICE = 0.9

/** A plan of the week from a day on that nobody has said anything of. */
export const emptyDraft = (from: Day): PlanDraft => ({
  from,
  days: WEEK,
  covers: [],
  menu: [],
  portions: [],
  hours: [],
  away: [],
  deliveries: [],
  stock: [],
  lotsLeft: [],
  replaces: null,
  coming: [],
  changes: [],
  pins: [],
  coldSpace: null,
  service: USUAL_SERVICE,
})

/** The days of a plan, in order. */
export const daysOf = ({ from, days }: Pick<PlanDraft, 'from' | 'days'>): Day[] =>
  Array.from({ length: days }, (_, index) => addDays(from, index))

/** A product of the covers that is this near above a whole portion is that portion. */
const NEAR = 1e-9

export interface AskedOf {
  productId: string
  day: Day
  quantity: number
  /** Said as portions, or worked out from covers. */
  isSaid: boolean
}

/** Portions asked for by product and day: as they are said, else covers × share, raised to a whole portion. */
export function demandOf(draft: PlanDraft): AskedOf[] {
  const coversOn = new Map(draft.covers.map(({ day, covers }) => [day, covers]))
  return draft.menu.flatMap(({ productId, share }) =>
    daysOf(draft).map((day): AskedOf => {
      const line = draft.portions.find((portion) => portion.productId === productId && portion.day === day)
      if (line) return { productId, day, quantity: line.quantity, isSaid: true }
      return { productId, day, quantity: Math.ceil((coversOn.get(day) ?? 0) * share - NEAR), isSaid: false }
    }),
  )
}

/** The same week some days later: covers, portions and hours move with it; stock and what was said of lots does not. */
export function draftLater(draft: PlanDraft, from: Day, daysLater: number): PlanDraft {
  const later = <T extends { day: Day }>(list: readonly T[]) =>
    list.map((item) => ({ ...item, day: addDays(item.day, daysLater) }))
  return {
    ...draft,
    from,
    covers: later(draft.covers),
    portions: later(draft.portions),
    hours: later(draft.hours),
    away: [],
    deliveries: [],
    stock: [],
    lotsLeft: [],
    replaces: null,
    coming: [],
    // What did not fit one day of a week says nothing of the next.
    pins: draft.pins.filter(({ day }) => day === null),
  }
}

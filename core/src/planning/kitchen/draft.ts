import { addDays, type Day } from '../../calendar/index.ts'

/** Values of a plan that may be said for it alone, by what they are of. */
export const CHANGEABLE = {
  product: ['keepsDays', 'cold', 'surplusValue', 'disposal', 'usedPerWeek'],
  supplier: ['charge', 'minimum'],
  whole: ['price', 'keepsDays', 'cold', 'mostPacks'],
  cut: ['minutes', 'setUp', 'consumables', 'restDays', 'mostPerDay'],
  yield: ['quantity'],
  ready: ['quantity', 'price', 'handling', 'mostPacks'],
} as const
export type ChangeableKind = keyof typeof CHANGEABLE
export type ChangeableField = (typeof CHANGEABLE)[ChangeableKind][number]

/** A value said for this plan alone; a yield is told by its cut and its product. */
export interface PlanChange {
  kind: ChangeableKind
  id: string
  productId: string | null
  field: ChangeableField
  value: number
}

/**
 * Something held to at least or at most so many packs or units; at most 0 forbids it. Of a supplier, whatever it brings is
 * forbidden: others bring it instead.
 */
export interface DraftPin {
  kind: 'whole' | 'ready' | 'cut' | 'supplier'
  id: string
  /** The day on which it is ordered or cut; null for all days together. */
  day: Day | null
  atLeast: number | null
  atMost: number | null
}

/** What a chef says of a plan; everything else is what the kitchen knows. */
export interface PlanDraft {
  from: Day
  /** Days that it plans, the first counted. */
  days: number
  covers: readonly { day: Day; covers: number }[]
  /** What of the covers takes each product, 0 to 1. */
  menu: readonly { productId: string; share: number }[]
  /** Portions that are said instead. */
  portions: readonly { productId: string; day: Day; quantity: number }[]
  /** Hours at the board of a day, said instead of the cooks' week. */
  hours: readonly { day: Day; hours: number }[]
  /** Cooks who are not there on a day; `hours` has their hours out already, and the schedule leaves them out. */
  away: readonly { cookId: string; day: Day }[]
  /** Days on which a supplier comes, or does not, other than usual. */
  deliveries: readonly { supplierId: string; day: Day; comes: boolean }[]
  /** Portions that are there already. */
  stock: readonly { productId: string; quantity: number; useBy: Day }[]
  /** Lots that this plan leaves alone. */
  lotsLeft: readonly string[]
  /** Id of the accepted plan of which this plans what is left; null where it is a plan of its own. */
  replaces: string | null
  /** What is known of deliveries that are on their way already, other than was ordered; without a day one does not come. */
  coming: readonly { expectedLineId: string; day: Day | null; packs: number }[]
  changes: readonly PlanChange[]
  pins: readonly DraftPin[]
  /** Kilos that the cold has room for; null where it has enough. */
  coldSpace: number | null
  service: number
}

export const daysOf = ({ from, days }: Pick<PlanDraft, 'from' | 'days'>): Day[] =>
  Array.from({ length: days }, (_, at) => addDays(from, at))

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
      const said = draft.portions.find((each) => each.productId === productId && each.day === day)
      if (said) return { productId, day, quantity: said.quantity, isSaid: true }
      return { productId, day, quantity: Math.ceil((coversOn.get(day) ?? 0) * share - NEAR), isSaid: false }
    }),
  )
}

/** The same week some days later: covers, portions and hours move with it; stock and what was said of lots does not. */
export function draftLater(draft: PlanDraft, from: Day, daysLater: number): PlanDraft {
  const later = <T extends { day: Day }>(list: readonly T[]) =>
    list.map((each) => ({ ...each, day: addDays(each.day, daysLater) }))
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

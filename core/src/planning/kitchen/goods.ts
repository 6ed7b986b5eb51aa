import type { Day } from '../../calendar/index.ts'

/**
 * Where a value of a plan is from: the kitchen's own records, records and the style blended, assumed; the price book, a
 * supplier's terms, the cooks' week, what stands in the cold; or said for this plan alone.
 */
export type GoodsSource = 'own' | 'blended' | 'assumed' | 'price-book' | 'terms' | 'week' | 'cold' | 'plan'

export interface Known {
  value: number
  source: GoodsSource
}

/** A product: portions of what is served, kilos of what comes beside it. */
export interface GoodsProduct {
  id: string
  name: string
  unit: 'portion' | 'kg'
  /** It goes into the bin: over, it is of no use. */
  isWaste: boolean
  keepsDays: Known
  /** Kilos of one. */
  cold: Known
  /** Money that one more than is served is worth, and what one thrown away costs. */
  surplusValue: Known
  disposal: Known
  /** So much of it was of use in the busiest of the last weeks, in its unit; null where nobody knows. */
  usedPerWeek: Known | null
}

export interface GoodsSupplier {
  id: string
  name: string
  /** Days of the week on which it comes, 1 for Monday to 7; null where nobody said: then any. */
  deliveryDays: readonly number[] | null
  charge: Known
  minimum: Known
}

export interface GoodsWhole {
  /** The article. */
  id: string
  name: string
  supplierId: string
  itemId: string
  /** One of it, and several. */
  unitName: { one: string; many: string }
  /** Units in the smallest order, and what that costs. */
  pack: number
  price: Known
  keepsDays: Known
  /** Kilos of one unit. */
  cold: Known
}

export interface GoodsYield {
  productId: string
  /** Of one unit, in the product's unit. */
  quantity: Known
  /** Grams that lie on one plate of it; null where it is no portion, or was not known when it was planned. */
  carries: number | null
  /** Spread between records, its degrees of freedom, and as how many records the mean counts. */
  sd: number
  df: number | null
  tests: number
  /** Whose spread: the style's own from five records on, else that of the item's styles together; none where nobody knows. */
  spread: 'own' | 'pooled' | 'none'
}

export interface GoodsCut {
  /** Article and style. */
  id: string
  name: string
  styleId: string
  wholeId: string
  minutes: Known
  setUp: Known
  consumables: Known
  restDays: Known
  yields: readonly GoodsYield[]
}

export interface GoodsReady {
  /** The article. */
  id: string
  name: string
  supplierId: string
  productId: string
  /** Portions of one pack, rejects out. */
  quantity: Known
  /** Grams that lie on one plate of it; null where that was not known when it was planned. */
  carries: number | null
  price: Known
  /** Minutes at the pass for one pack. */
  handling: Known
}

/** A lot in the cold that may be cut. */
export interface GoodsStock {
  lotId: string
  code: string | null
  wholeId: string
  /** Units that are free, and those that accepted plans cut. */
  units: number
  held: number
  useBy: Day
}

/** Something that is ordered and has not come: of the plan of which what is left is planned. */
export interface GoodsComing {
  expectedLineId: string
  kind: 'whole' | 'ready'
  articleId: string
  name: string
  supplier: string
  day: Day
  packs: number
  /** Pieces of a whole, portions of what is ready, in all. */
  units: number
}

/** What accepted plans take of the days to come: it is there for no other plan. */
export interface HeldByPlans {
  /** Their names. */
  plans: readonly string[]
  /** Minutes at the board that are still to be cut. */
  minutes: readonly { day: Day; minutes: number }[]
  /** Kilos that stand in the cold at the end of a day. */
  kilos: readonly { day: Day; kilos: number }[]
}

/** A cook's hours at the board by day of the week, Monday first; null where nobody said. */
export interface GoodsCook {
  name: string
  wagePerHour: number
  hours: readonly number[] | null
}

/** What a kitchen knows of some products: what they can be made of, bought as, and kept how long. */
export interface PlanGoods {
  products: readonly GoodsProduct[]
  suppliers: readonly GoodsSupplier[]
  wholes: readonly GoodsWhole[]
  cuts: readonly GoodsCut[]
  ready: readonly GoodsReady[]
  stock: readonly GoodsStock[]
  coming: readonly GoodsComing[]
  cooks: readonly GoodsCook[]
  held: HeldByPlans
  /** What of the cooks' hours is cutting, 0 to 1, and how many schedules tell so; 1 where none do. */
  boardShare: { value: number; schedules: number }
  /** What an hour costs where no cook says. */
  wagePerHour: number
}

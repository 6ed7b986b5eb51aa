import type { Programme, Term } from '../../solving/index.ts'
import type { PlanCut, PlanReady, PlanSupplier, PlanWhole } from '../order-plan.ts'

/** Units of a whole that may be cut: of a delivery, or of stock. `flows` are columns by the place of the day. */
export interface WholeSupply {
  whole: PlanWhole
  kind: 'delivery' | 'stock'
  /** Place of the day of its delivery, or in `stock`. */
  at: number
  /** Column of packs; null for stock. */
  packs: number | null
  /** Units there are of stock; 0 for a delivery. */
  units: number
  /** Place of the first day from which it is in the cold. */
  from: number
  /** Whether its supplier brings anything that day: a column; null for stock. */
  gate: number | null
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
  /** The column that is 0 where nothing of it is made or comes: set up, or ordered; null where there is none. */
  gate: number | null
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

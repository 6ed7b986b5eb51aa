import type { Day } from '../calendar/index.ts'

/** Something that is served, or comes beside it. Quantities are in its unit: portions, kilos. */
export interface PlanProduct {
  name: string
  unit: string
  /** Days on which it may serve, the first counted. */
  keepsDays: number
  /** Cold space of one. */
  cold: number
  /** Money that one more than is served is worth, for so many of them; the others cost `disposal` each. */
  surplusValue: number
  surplusUpTo: number
  disposal: number
}

export interface PlanDemand {
  product: string
  day: Day
  quantity: number
}

export interface PlanSupplier {
  name: string
  delivers: readonly Day[]
  /** Money of a delivery, and what one has to be worth at least. */
  charge: number
  minimum: number
}

/** A whole bird, fish or cut as it is bought: `price` money for a pack of so many. */
export interface PlanWhole {
  name: string
  supplier: string
  pack: number
  price: number
  /** A delivery. */
  mostPacks: number
  keepsDays: number
  cold: number
}

/** What one unit of a cut gives of a product; the spread between records, and how many there were. */
export interface PlanYield {
  product: string
  quantity: number
  sd: number
  tests: number
  /** Degrees of freedom of the spread; one less than the records where nothing is said. */
  df: number | null
}

export interface PlanCut {
  name: string
  whole: string
  /** Minutes of one unit, and once on each day that it is cut. */
  minutes: number
  setUp: number
  consumables: number
  /** Days before what it gives may serve. */
  restDays: number
  mostPerDay: number
  yields: readonly PlanYield[]
}

/** A pack that is bought ready: `quantity` of the product for `price`. */
export interface PlanReady {
  name: string
  supplier: string
  product: string
  quantity: number
  price: number
  mostPacks: number
}

/** What is there before the plan: of a product or a whole, until a day. */
export interface PlanStock {
  product: string | null
  whole: string | null
  quantity: number
  useBy: Day
  /** The day on which it comes; it is there from the first day on where nobody says. */
  from?: Day
}

export interface OrderPlanRequest {
  currency: string
  /** Consecutive. */
  days: readonly Day[]
  products: readonly PlanProduct[]
  demand: readonly PlanDemand[]
  suppliers: readonly PlanSupplier[]
  wholes: readonly PlanWhole[]
  cuts: readonly PlanCut[]
  ready: readonly PlanReady[]
  stock: readonly PlanStock[]
  /** Money an hour, and hours of each day. */
  labour: { ratePerHour: number; hours: readonly number[] }
  /** Null where the cold has no limit. */
  coldSpace: number | null
  /** In this share of cases a cut gives at least what is planned: 0.5 to below 1. */
  service: number
}

/** Pinned: of something ordered or cut at least and at most so many packs or units; 0 at most forbids it. */
export interface PlanPin {
  kind: 'whole' | 'ready' | 'cut'
  name: string
  /** The day on which it is ordered or cut; null for all days together. */
  day: Day | null
  atLeast: number | null
  atMost: number | null
}

export type UseSource =
  | { kind: 'cut'; cut: string; day: Day }
  | { kind: 'ready'; name: string; day: Day }
  /** `at` is the place in `stock`. */
  | { kind: 'stock'; at: number }
export type WholeSource = { kind: 'delivery'; day: Day } | { kind: 'stock'; at: number }

/** Money; `total` is the sum with the surplus taken off. */
export interface PlanCost {
  wholes: number
  ready: number
  delivery: number
  labour: number
  consumables: number
  disposal: number
  surplus: number
  total: number
}

/** A limit that is used up, and what loosening it would bring: less shortage, or money where the shortage stays. */
export interface PlanLimit {
  limit: 'labour' | 'cold' | 'most-packs' | 'most-per-day' | 'minimum' | 'delivery-day'
  /** Of what; null for labour and cold. */
  name: string | null
  day: Day | null
  oneMore: string
  saves: number | null
  shorter: number
}

/** How the plan does in seeded draws. */
export interface PlanService {
  asked: number
  /** The lowest share of draws over the demands planned in full, and that in which every one is met. */
  met: number
  all: number
  draws: number
  /** What it costs above the plan at the mean; null where that has another shortage. */
  premium: number | null
}

export interface OrderPlan {
  status: 'optimal' | 'within-gap' | 'refused'
  /** The total cannot be below it; how far the plan may be from the best, as a share. */
  bound: number
  gap: number
  cost: PlanCost
  orders: { supplier: string; day: Day; lines: { name: string; packs: number }[]; charge: number }[]
  cutting: { cut: string; day: Day; units: number; minutes: number; from: (WholeSource & { units: number })[] }[]
  use: { product: string; day: Day; quantity: number; source: UseSource }[]
  left: { product: string; quantity: number; valued: number; disposed: number }[]
  uncut: { whole: string; source: WholeSource; units: number }[]
  short: { product: string; day: Day; quantity: number; because: string[] }[]
  /** Cost of the same demand with no cut, and with no ready good; null where that leaves another shortage. */
  beside: { allReady: number | null; allCut: number | null }
  limits: PlanLimit[]
  service: PlanService
}

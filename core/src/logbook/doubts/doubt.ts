import type { Balance } from '../../fabrication/index.ts'

/** What a pile of a closed record came to, as far as it can be doubted. */
export interface DoubtPile {
  /** Id of the style's pile; the pile's name where it is of no style. */
  key: string
  name: string
  /** Of AP. */
  share: number
  /** How many pieces were weighed one by one, and the middle and the lightest of them, grams; null for none. */
  pieces: number
  middlePiece: number | null
  lightestPiece: number | null
}

/** A closed record as far as it can be doubted. */
export interface DoubtRecord {
  id: string
  day: string
  /** Ids or written names. */
  item: string
  style: string
  cook: string | null
  /** Grams. */
  ap: number
  /** Grams of one unit as purchased; null without units. */
  unitWeight: number | null
  portionYield: number
  minutesPerUnit: number | null
  /** What was paid for a kilo; null where it was not paid by weight. */
  pricePerKg: number | null
  balance: Balance
  /** Somebody has looked at the balance and stands by it. */
  isSettled: boolean
  piles: readonly DoubtPile[]
  /** Doubts that somebody has looked at and stands by. */
  settled: readonly DoubtKind[]
  /** Weighings that were taken twice, as the record's own facts say. */
  twice: readonly TakenTwice[]
}

/** A weight that was kept twice on a pile within so short a time that nobody weighs twice in it. */
export interface TakenTwice {
  pile: string
  grams: number
  seconds: number
}

/** A container that a kitchen weighs with. Grams. */
export interface DoubtContainer {
  name: string
  grams: number
}

export const DOUBT_KINDS = [
  'balance',
  'double',
  'twice',
  'minutes',
  'price',
  'weight',
  'yield',
  'pile',
  'emptied',
  'container',
] as const
export type DoubtKind = (typeof DOUBT_KINDS)[number]

export type Doubt =
  /** More came out than went in, or a pile is missing. Grams for a kilo that came. */
  | { kind: 'balance'; id: string; balance: 'over' | 'lost' }
  /** The same item, day, weight and cook as another. */
  | { kind: 'double'; id: string; of: string }
  /** The same weighing twice within two seconds. */
  | ({ kind: 'twice'; id: string } & TakenTwice)
  /** Less than a quarter of the usual minutes. */
  | { kind: 'minutes'; id: string; minutes: number; usual: number }
  /** A price as if it were for another unit, or a digit off. */
  | { kind: 'price'; id: string; price: number; usual: number; factor: number }
  /** One unit weighs as if it were weighed in another unit. Grams. */
  | { kind: 'weight'; id: string; weight: number; usual: number; factor: number }
  /** A yield far from all others of its item and style. */
  | { kind: 'yield'; id: string; portionYield: number; usual: number }
  /** A pile's share far from all others; `factor` where another unit explains it. */
  | { kind: 'pile'; id: string; pile: string; share: number; usual: number; factor: number | null }
  /** What one pile lacks another has. Shares that moved. */
  | { kind: 'emptied'; id: string; pile: string; into: string; share: number }
  /** Every piece of a pile is heavier by what a container weighs. Grams. */
  | { kind: 'container'; id: string; pile: string; container: string; grams: number; heavier: number }

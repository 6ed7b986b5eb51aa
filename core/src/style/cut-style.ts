import type { PileClass, PileKind, Weighing } from '../fabrication/index.ts'

/** What the hand holds at a step; a saw, a strong blade or a binding enzyme brings its own caution. */
export const TOOLS = ['hands', 'knife', 'shears', 'saw', 'enzyme', 'scale'] as const
export type Tool = (typeof TOOLS)[number]

/** Points into an option of the style: this holds only where that choice was made. */
export interface When {
  option: string
  choice: string
}

/** What an optional step is assumed to bring, before a kitchen has measured it. */
export interface StepGain {
  /** The pile that gets the extra meat. */
  pileId: string
  /** Extra grams for one unit, zero or more. */
  grams: number
  /** Extra seconds for one unit. */
  seconds: number
}

/** One thing that is done at the board, in the order of the style. */
export interface StyleStep {
  /** Short word, once in its style. */
  id: string
  title: string
  /** What to do, in a sentence or two. */
  doing: string
  /** How the cook knows that it is right. */
  check: string
  mistakes: readonly string[]
  tool: Tool
  /** The piles that leave the board here. */
  pileIds: readonly string[]
  /** Ids of the cautions that stand at this step. */
  cautions: readonly string[]
  isOptional: boolean
  gain: StepGain | null
  /** The cut of the item's drawing that lights up; null where nothing is cut. */
  cut: string | null
  when: When | null
  /** Minutes of one unit by a practised cook; null where nobody said. */
  minutes: number | null
}

export interface StyleChoice {
  id: string
  name: string
  why: string
  /** Minutes that it adds to a unit, negative where it saves time. */
  minutes: number
  /** What it adds to the shares of piles, by the id of the pile; the sum is what it takes from normal loss, mostly zero. */
  shares: Readonly<Record<string, number>>
  /** Ids of steps in the order in which this choice does them; null where it leaves the order alone. */
  order: readonly string[] | null
}

/** A question on which good cooks differ. The first choice is the default. */
export interface StyleOption {
  id: string
  question: string
  choices: readonly StyleChoice[]
}

export interface StyleConsumable {
  name: string
  /** Money for one unit; null until the kitchen has said it. */
  costPerUnit: number | null
}

/** Bounds of one portion, grams. */
export interface PortionBounds {
  target: number
  low: number
  high: number
}

/** What a pile is, as data: starting values that a kitchen may replace. */
export interface PileFacts {
  kind: PileKind
  /** What of the raw weight is bone, 0 to 1. */
  boneShare: number
  /** What cooking takes of the raw weight, 0 to 1. */
  cookingLoss: number
  /** Days in the cold at or below 5 °C; null for what is not kept. */
  chilledDays: number | null
  /** Months frozen, for quality; null for what is not frozen. */
  frozenMonths: number | null
}

export interface StylePile extends PileFacts {
  /** What steps, gains and choices of its style refer to. */
  id: string
  name: string
  class: PileClass
  weighing: Weighing
  /** Share of AP to expect before the kitchen has its own figures, 0 to 1; null where nothing is known. */
  expectedShare: number | null
  /** Pieces or portions that one unit (bird, loin, rack) gives; null where it is not portioned. */
  portionsPerUnit: number | null
  bounds: PortionBounds | null
  /** Short words that a cook uses for it on the board. */
  landmark: string
  /** The region of the item's drawing that it comes from; null where it is drawn nowhere. */
  region: string | null
}

/** One way of breaking an item down. */
export interface CutStyle<P extends StylePile = StylePile> {
  name: string
  /** Minutes for one unit by a practised cook. */
  minutesPerUnit: number
  piles: readonly P[]
  steps: readonly StyleStep[]
  options: readonly StyleOption[]
  consumables: readonly StyleConsumable[]
}

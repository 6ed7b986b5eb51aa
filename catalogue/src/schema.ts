import type { PileClass, Weighing } from '@fleam/core'

export type Species = 'poultry' | 'fish' | 'red-meat'

/** Where a caution must stand: beside the board while cutting, or on the label of what is packed. */
export type CautionPlace = 'board' | 'label'

/** A default that defers to local codes, the kitchen's approved plan and licensed practice. */
export interface Caution {
  id: string
  place: CautionPlace
  severity: 'note' | 'warning'
  text: string
  source: 'common food-code default' | 'common knife practice'
}

export interface StylePile {
  name: string
  class: PileClass
  weighing: Weighing
  /** Share of AP to expect before the kitchen has its own figures, 0 to 1. */
  expectedShare: number
  /** Pieces or portions that one unit (bird, loin, rack) gives; null where it is not portioned. */
  portionsPerUnit: number | null
  /** Portion bounds in grams for a usual unit; null where the pile is not portioned. */
  bounds: { target: number; low: number; high: number } | null
  /** Short words that a cook uses for it on the board. */
  landmark: string
}

export interface CatalogueStyle {
  id: string
  name: string
  /** Minutes for one unit by a practised cook; assumed until the kitchen knows its own. */
  minutesPerUnit: number
  /** Drip, saw dust and drying, as a share of AP. */
  normalLoss: number
  piles: readonly StylePile[]
}

export interface CatalogueItem {
  id: string
  name: string
  species: Species
  /** What one unit is called on the board. */
  unitName: { one: string; many: string }
  /** Usual weight of one unit as purchased, grams. */
  unitWeight: { low: number; usual: number; high: number }
  styles: readonly CatalogueStyle[]
}

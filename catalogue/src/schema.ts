import type { NamedStyle, Species } from '@fleam/core/style'

/** Where a caution stands: at a step, beside the board all the time, at receiving, in a cooking note, on a label. */
export type CautionPlace = 'step' | 'board' | 'receiving' | 'cooking' | 'label'

/** A default that defers to local codes, the kitchen's approved plan and licensed practice. */
export interface Caution {
  id: string
  places: readonly CautionPlace[]
  /** Species that it belongs to; every species where it is null. */
  species: readonly Species[] | null
  severity: 'note' | 'warning'
  text: string
  source: 'common food-code default' | 'common knife practice'
}

export interface CatalogueStyle extends NamedStyle {
  id: string
  /** Drip, saw dust and drying, as a share of AP. */
  normalLoss: number
}

/** Names of the drawings, see `drawings/`. */
export const DRAWINGS = ['bird', 'round-fish', 'flat-fish', 'loin', 'block', 'rack'] as const
export type DrawingName = (typeof DRAWINGS)[number]

export interface CatalogueItem {
  id: string
  name: string
  /** The animal or cut in the name of a product, `Chicken: supremes`: items of one family give the same products. */
  family: string
  species: Species
  drawing: DrawingName
  /** Id of the usual shape of what is cut along its length, see `shapes.ts`; null where its portions are not. */
  shape: string | null
  /** What one unit is called on the board. */
  unitName: { one: string; many: string }
  /** Usual weight of one unit as purchased, grams. */
  unitWeight: { low: number; usual: number; high: number }
  /** What to look for on the animal before the knife is lifted. */
  landmarks: readonly string[]
  styles: readonly CatalogueStyle[]
}

/** The front door of the catalogue: items, cut styles and cautions, as data. */
import { CHICKEN } from './chicken.ts'
import type { CatalogueItem } from './schema.ts'

export { cautionsFor, DEFERS_TO } from './cautions.ts'
export type { CatalogueItem, CatalogueStyle, Caution, Species, StylePile } from './schema.ts'

export const CATALOGUE: readonly CatalogueItem[] = [CHICKEN]

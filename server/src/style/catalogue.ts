import { CATALOGUE, type CatalogueItem } from '@fleam/catalogue'
import type { Item } from '@fleam/core/style'
import { partsOfNamed } from '@fleam/core/style'
import { v7 as newId } from 'uuid'
import type { Scope } from '../scope/index.ts'
import { copyOf } from './copy-of.ts'
import { withProducts } from './products.ts'
import { insertItems, items } from './store.ts'

const UNVALUED = { valuePerKg: null, usedShare: null, processingPerKg: null, productId: null }

/** An item of the catalogue as a kitchen's own: it may value and change it from here on. */
export function itemFromCatalogue(item: CatalogueItem): Item {
  const { name, species, drawing, shape, unitName, unitWeight, landmarks } = item
  const styles = item.styles.map(({ id: _id, normalLoss: _loss, ...style }) => {
    const { piles, steps, options } = partsOfNamed(style, newId)
    return {
      ...copyOf({ ...style, steps, options }),
      id: newId(),
      version: 1,
      isArchived: false,
      piles: piles.map((pile) => ({ ...pile, ...UNVALUED })),
    }
  })
  return {
    id: newId(),
    isArchived: false,
    name,
    species,
    drawing,
    shape,
    unitName,
    unitWeight,
    landmarks: [...landmarks],
    styles,
  }
}

/** Adds what the catalogue has and the kitchen has not, by the names of items. */
export async function insertCatalogue(scope: Scope): Promise<void> {
  const names = new Set((await items(scope)).map((item) => item.name))
  const missing = CATALOGUE.filter((item) => !names.has(item.name)).map((item) => ({
    family: item.family,
    item: itemFromCatalogue(item),
  }))
  if (missing.length === 0) return
  const styles = missing.flatMap(({ family, item }) =>
    item.styles.map((style) => ({ item, style, usualName: (pile: string) => `${family}: ${pile}` })),
  )
  const tied = new Map((await withProducts(scope, styles)).map((style) => [style.id, style]))
  await insertItems(
    scope,
    missing.map(({ item }) => ({ ...item, styles: item.styles.map((style) => tied.get(style.id) ?? style) })),
  )
}

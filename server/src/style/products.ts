import type { ProductPlate } from '@fleam/core/buying'
import type { Item, Style } from '@fleam/core/style'
import { nameKey } from '@fleam/core/wording'
import { v7 as newId } from 'uuid'
import { notFound } from '../http/index.ts'
import { ofKitchen, type Scope, within } from '../scope/index.ts'

export interface KnownProduct {
  id: string
  name: string
  /** What this kitchen serves as one plate of it; null where nobody said. */
  plate: ProductPlate | null
}

/** What can be bought ready in this kitchen's words, by name. */
export async function products(scope: Scope): Promise<KnownProduct[]> {
  const rows = await scope.database.models.Product.findAll({
    where: ofKitchen(scope),
    order: ['name'],
    raw: true,
    ...within(scope),
  })
  return rows.map(({ id, name, platePieces, plateEdible }) => ({ id, name, plate: plateOf(platePieces, plateEdible) }))
}

function plateOf(pieces: number | null, edible: number | null): ProductPlate | null {
  if (pieces !== null) return { by: 'pieces', count: pieces }
  return edible === null ? null : { by: 'edible', grams: edible }
}

/** Says what a plate of a product is; refuses a product that this kitchen does not have. */
export async function updatePlate(scope: Scope, id: string, plate: ProductPlate | null): Promise<void> {
  const existing = await products(scope)
  if (!existing.some((row) => row.id === id)) throw notFound('product')
  const platePieces = plate?.by === 'pieces' ? plate.count : null
  const plateEdible = plate?.by === 'edible' ? plate.grams : null
  await scope.database.models.Product.update(
    { platePieces, plateEdible },
    { where: ofKitchen(scope, { id }), ...within(scope) },
  )
}

/**
 * Styles whose portion piles each are a product: those that are none yet get the one of their usual name, which is
 * made where it is missing. From here on the product is known by its id, whatever becomes of the names.
 */
export async function withProducts(
  scope: Scope,
  styles: readonly { item: Pick<Item, 'name'>; style: Style; usualName?: (pile: string) => string }[],
): Promise<Style[]> {
  const existing = await products(scope)
  const byId = new Set(existing.map(({ id }) => id))
  const byName = new Map(existing.map(({ id, name }) => [nameKey(name), id]))
  const added: KnownProduct[] = []
  const productNamed = (name: string): string => {
    const there = byName.get(nameKey(name))
    if (there) return there
    const product = { id: newId(), name, plate: null }
    added.push(product)
    byName.set(nameKey(name), product.id)
    return product.id
  }
  const tied = styles.map(({ item, style, usualName = (pile) => `${item.name}: ${pile}` }) => ({
    ...style,
    piles: style.piles.map((pile) => {
      if (pile.class !== 'primary') return { ...pile, productId: null }
      const isKnown = pile.productId !== null && byId.has(pile.productId)
      return isKnown ? pile : { ...pile, productId: productNamed(usualName(pile.name)) }
    }),
  }))
  const rows = added.map(({ id, name }) => ({
    ...{ id, name, kitchenId: scope.kitchen.id },
    ...{ platePieces: null, plateEdible: null },
  }))
  await scope.database.models.Product.bulkCreate(rows, within(scope))
  return tied
}

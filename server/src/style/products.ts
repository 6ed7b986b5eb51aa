import type { Item, Style } from '@fleam/contract'
import { nameKey } from '@fleam/core'
import { v7 as newId } from 'uuid'
import { ofKitchen, type Scope, within } from '../scope/index.ts'

export interface KnownProduct {
  id: string
  name: string
}

/** What can be bought ready in this kitchen's words, by name. */
export const products = (scope: Scope): Promise<KnownProduct[]> =>
  scope.database.models.Product.findAll({
    attributes: ['id', 'name'],
    where: ofKitchen(scope),
    order: ['name'],
    raw: true,
    ...within(scope),
  })

/**
 * Styles whose portion piles each are a product: those that are none yet get the one of their usual name, which is
 * made where it is missing. From here on the product is known by its id, whatever becomes of the names.
 */
export async function withProducts(
  scope: Scope,
  styles: readonly { item: Pick<Item, 'name'>; style: Style; usualName?: (pile: string) => string }[],
): Promise<Style[]> {
  const known = await products(scope)
  const byId = new Set(known.map(({ id }) => id))
  const byName = new Map(known.map(({ id, name }) => [nameKey(name), id]))
  const added: KnownProduct[] = []
  const productNamed = (name: string): string => {
    const there = byName.get(nameKey(name))
    if (there) return there
    const product = { id: newId(), name }
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
  const rows = added.map((product) => ({ ...product, kitchenId: scope.kitchen.id }))
  await scope.database.models.Product.bulkCreate(rows, within(scope))
  return tied
}

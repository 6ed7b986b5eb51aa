import { type AssumedValue, quotedPerKg, type WholeForm } from '@fleam/core/buying'
import type { Item, Style } from '@fleam/core/style'
import type { Scope } from '../scope/index.ts'
import { items } from '../style/index.ts'
import { formsOfStyles, readyForms } from './forms.ts'

/** Every cut style of an item with every price of it: what it would be worth parted, or as meals. */
export async function formsOfItem(scope: Scope, itemId: string, day: string): Promise<WholeForm[]> {
  const [item] = await items(scope, { id: itemId })
  return item ? withAssumedValues(scope, item, await formsOfStyles(scope, item, day), day) : []
}

type StylePile = Style['piles'][number]

const mean = (values: readonly number[]) =>
  values.length === 0 ? null : values.reduce((sum, value) => sum + value, 0) / values.length

/**
 * Forms of an item with what their piles are likely worth where nobody said: portions by what they cost bought ready
 * at the prices of a day or by the same product of another style, else any pile by its like: its kind and use.
 */
async function withAssumedValues(
  scope: Scope,
  item: Item,
  forms: readonly WholeForm[],
  day: string,
): Promise<WholeForm[]> {
  const piles = item.styles.filter((style) => !style.isArchived).flatMap((style) => style.piles)
  const productIds = [...new Set(piles.flatMap(({ productId }) => productId ?? []))]
  const asked = new Map<string, number[]>()
  for (const { productId, form } of await readyForms(scope, productIds, day)) {
    const perKg = quotedPerKg(form.quote)
    if (perKg !== null) asked.set(productId, [...(asked.get(productId) ?? []), perKg])
  }
  const valuesOf = (isLike: (pile: StylePile) => boolean) =>
    mean(piles.flatMap((pile) => (pile.valuePerKg !== null && isLike(pile) ? [pile.valuePerKg] : [])))
  const assumed = (pile: StylePile): AssumedValue | null => {
    if (pile.valuePerKg !== null || pile.class === 'waste') return null
    const ready = pile.productId === null ? [] : (asked.get(pile.productId) ?? [])
    if (ready.length > 0) return { perKg: Math.min(...ready), from: 'price-book' }
    const served = pile.productId === null ? null : valuesOf(({ productId }) => productId === pile.productId)
    if (served !== null) return { perKg: served, from: 'same-product' }
    const alike = valuesOf((other) => other.kind === pile.kind && other.class === pile.class)
    return alike === null ? null : { perKg: alike, from: 'same-kind' }
  }
  return forms.map((form) => {
    const style = item.styles.find(({ id }) => id === form.styleId)
    // The piles of a form are those of its style, in their order.
    return {
      ...form,
      piles: form.piles.map((other, index) => {
        const pile = style?.piles[index]
        return pile ? { ...other, assumedValue: assumed(pile) } : other
      }),
    }
  })
}

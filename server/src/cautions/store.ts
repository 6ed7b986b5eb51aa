import type { CautionOverride } from '@fleam/contract/cautions/operations'
import { ofKitchen, type Scope, within } from '../scope/index.ts'

/** What own words hold for; what is not said is everywhere. */
export type ScopeAsked = { [K in 'itemId' | 'styleId' | 'step']?: string | null | undefined }

/** The table says nowhere in particular by an empty text: a null is no part of a key. */
const keyOf = ({ itemId, styleId, step }: ScopeAsked) => ({
  itemId: itemId ?? '',
  styleId: styleId ?? '',
  step: step ?? '',
})

/** What the kitchen changed of the cautions. */
export async function overrides(scope: Scope): Promise<CautionOverride[]> {
  const rows = await scope.database.models.CautionOverride.findAll({
    attributes: { exclude: ['kitchenId'] },
    where: ofKitchen(scope),
    order: ['cautionId', 'itemId', 'styleId', 'step'],
    raw: true,
    ...within(scope),
  })
  return rows.map((row) => ({
    ...row,
    itemId: row.itemId || null,
    styleId: row.styleId || null,
    step: row.step || null,
  }))
}

/** Stores what the kitchen says in place of a caution, for an item, a style or a step. */
export async function replaceOverride(scope: Scope, override: CautionOverride): Promise<void> {
  const row = { ...override, ...keyOf(override), kitchenId: scope.kitchen.id }
  await scope.database.models.CautionOverride.upsert(row, within(scope))
}

/** Deletes it: the caution stands again as it came. */
export async function deleteOverride(scope: Scope, cautionId: string, where: ScopeAsked): Promise<void> {
  await scope.database.models.CautionOverride.destroy({
    where: ofKitchen(scope, { cautionId, ...keyOf(where) }),
    ...within(scope),
  })
}

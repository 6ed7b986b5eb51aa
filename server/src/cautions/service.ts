import { cautionById } from '@fleam/catalogue'
import type { CautionOverride } from '@fleam/contract/cautions/operations'
import { notFound } from '../http/index.ts'
import type { Scope } from '../scope/index.ts'
import { itemNames, requireStyle } from '../style/index.ts'
import * as store from './store.ts'

/** Puts the kitchen's own words, with their reason, in place of a default. */
export async function updateCaution(scope: Scope, override: CautionOverride): Promise<CautionOverride[]> {
  if (!cautionById(override.cautionId)) throw notFound('caution')
  if (override.styleId !== null) await requireStyle(scope, override.styleId)
  if (override.itemId !== null && !(await itemNames(scope)).has(override.itemId)) throw notFound('item')
  await store.replaceOverride(scope, override)
  return store.overrides(scope)
}

/** The default holds again. */
export async function deleteCautionOverride(
  scope: Scope,
  cautionId: string,
  where: store.ScopeAsked,
): Promise<CautionOverride[]> {
  await store.deleteOverride(scope, cautionId, where)
  return store.overrides(scope)
}

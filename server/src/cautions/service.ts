import { cautionById } from '@fleam/catalogue'
import type { CautionOverride } from '@fleam/contract/cautions/operations'
import { notFound } from '../http/index.ts'
import type { Scope } from '../scope/index.ts'
import { itemNames, requireStyle } from '../style/index.ts'
import * as store from './store.ts'

/** Puts the kitchen's own words, with their reason, in place of a default. */
export async function updateCaution(scope: Scope, own: CautionOverride): Promise<CautionOverride[]> {
  if (!cautionById(own.cautionId)) throw notFound('caution')
  if (own.styleId !== null) await requireStyle(scope, own.styleId)
  if (own.itemId !== null && !(await itemNames(scope)).has(own.itemId)) throw notFound('item')
  await store.replaceOverride(scope, own)
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

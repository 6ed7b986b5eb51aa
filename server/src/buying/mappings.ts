import type { PriceMapping, RememberedMapping } from '@fleam/core/price-lists'
import { ofKitchen, type Scope, within } from '../scope/index.ts'
import { suppliers } from '../supplier/index.ts'

/** A list of more suppliers than these is a collection of lists: whose columns they are nobody can say. */
const MAX_SUPPLIERS = 20

/** The columns of each supplier's list as they were the last time. */
export async function rememberedMappings(scope: Scope): Promise<RememberedMapping[]> {
  const rows = await scope.database.models.SupplierMapping.findAll({
    where: ofKitchen(scope),
    order: [['usedAt', 'DESC'], 'supplierId'],
    ...within(scope),
  })
  const names = new Map((await suppliers(scope)).map(({ id, name }) => [id, name]))
  return rows.flatMap(({ supplierId, mapping, usedAt }) => {
    const supplier = names.get(supplierId)
    return supplier === undefined ? [] : [{ supplierId, supplier, mapping, usedAt }]
  })
}

/** Remembers which column was which, for every supplier of a list that was taken. */
export async function rememberMapping(
  scope: Scope,
  mapping: PriceMapping,
  supplierIds: readonly string[],
): Promise<void> {
  if (supplierIds.length > MAX_SUPPLIERS) return
  const usedAt = scope.clock.now().toISOString()
  for (const supplierId of supplierIds) {
    const row = { kitchenId: scope.kitchen.id, supplierId, mapping, usedAt }
    await scope.database.models.SupplierMapping.upsert(row, within(scope))
  }
}

import { supplierOperations } from '@fleam/contract/supplier/operations'
import { nameKey } from '@fleam/core/wording'
import { v7 as newId } from 'uuid'
import { call } from './api.ts'

/** The supplier of a name that was typed, whatever its capitals; one that is new is added. */
export async function supplierIdOf(kitchenId: string, typed: string): Promise<string> {
  const name = typed.trim()
  const added = { id: newId(), name, delivery: 0, minimumOrder: null }
  const suppliers = await call(supplierOperations.updateSupplier, { kitchenId, body: added })
  return suppliers.find((supplier) => nameKey(supplier.name) === nameKey(name))?.id ?? added.id
}

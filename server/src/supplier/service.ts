import type { Supplier } from '@fleam/contract/buying/schemas'
import { v7 as newId } from 'uuid'
import { createOnce, Refusal, refuseTaken } from '../http/index.ts'
import { decide, type Scope, takeTurn } from '../scope/index.ts'
import * as store from './store.ts'

/** The supplier of an id; refuses the field where this kitchen has none. */
export async function requireSupplier(scope: Scope, id: string, path = 'supplierId'): Promise<Supplier> {
  const supplier = (await store.suppliers(scope)).find((supplier) => supplier.id === id)
  if (supplier) return supplier
  throw new Refusal('not-found', 'This kitchen has no such supplier.', {
    issues: [{ path, message: 'is not a supplier here' }],
  })
}

/**
 * Adds a supplier, or changes its name and terms. One whose name is there, whatever its capitals, is that one: then
 * nothing is changed. Answers with all of them.
 */
export const updateSupplier = (scope: Scope, supplier: Supplier): Promise<Supplier[]> =>
  decide(scope, 'suppliers', (inside) => changeOrAdd(inside, supplier))

async function changeOrAdd(scope: Scope, supplier: Supplier): Promise<Supplier[]> {
  const existing = await store.suppliers(scope)
  if (existing.some((row) => row.id === supplier.id)) {
    await refuseTaken('name', 'Another supplier has this name: merge the two instead.', () =>
      store.replaceSupplier(scope, supplier),
    )
  } else {
    await createOnce({
      read: () => store.supplierNamed(scope, supplier.name),
      create: () => store.insertSuppliers(scope, [supplier]),
      isSame: () => true,
      taken: { path: 'id', detail: 'This id stands for another supplier.' },
    })
  }
  return store.suppliers(scope)
}

/** Makes one supplier of two: articles, lots, offers and records of the one are the other's from here on. */
export async function mergeSuppliers(scope: Scope, id: string, into: string): Promise<Supplier[]> {
  if (id === into) {
    throw new Refusal('invalid-input', 'A supplier cannot be merged into itself.', {
      issues: [{ path: 'into', message: 'must be another supplier' }],
    })
  }
  // Lists that are imported at this moment name suppliers too.
  return decide(scope, 'prices', async (inside) => {
    await takeTurn(inside, 'suppliers')
    await store.lockSuppliers(inside, [id, into])
    await requireSupplier(inside, id, 'id')
    await requireSupplier(inside, into, 'into')
    await store.mergeSupplier(inside, id, into)
    return store.suppliers(inside)
  })
}

/** Ids of suppliers by their names as a document writes them; those that are missing are added. */
export async function suppliersNamed(scope: Scope, names: readonly string[]): Promise<Map<string, string>> {
  const ids = new Map<string, string>()
  for (const name of new Set(names)) {
    const supplier = (await store.supplierNamed(scope, name)) ?? (await store.supplierAdded(scope, newId(), name))
    ids.set(name, supplier.id)
  }
  return ids
}

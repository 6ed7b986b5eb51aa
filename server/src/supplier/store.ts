import type { Supplier } from '@fleam/contract/buying/schemas'
import { supplierTable } from '../database/index.ts'
import { ofKitchen, type Scope, within } from '../scope/index.ts'

/** All suppliers of the kitchen, by name. */
export async function suppliers(scope: Scope): Promise<Supplier[]> {
  const rows = await scope.database.models.Supplier.findAll({
    where: ofKitchen(scope),
    order: ['name'],
    raw: true,
    ...within(scope),
  })
  return rows.map(supplierTable.fromRow)
}

/** The supplier of a name, whatever its capitals; null where there is none. */
export async function supplierNamed(scope: Scope, name: string): Promise<Supplier | null> {
  const row = await scope.database.models.Supplier.findOne({
    where: ofKitchen(scope, { name }),
    raw: true,
    ...within(scope),
  })
  return row && supplierTable.fromRow(row)
}

/** Stores new suppliers. */
export async function insertSuppliers(scope: Scope, added: readonly Supplier[]): Promise<void> {
  const rows = added.map((supplier) => ({ ...supplier, kitchenId: scope.kitchen.id }))
  await scope.database.models.Supplier.bulkCreate(rows, within(scope))
}

/** The supplier of a name that nobody had; where somebody adds it at this moment, theirs. */
export async function supplierAdded(scope: Scope, id: string, name: string): Promise<Supplier> {
  const { Supplier: Suppliers } = scope.database.models
  const row = {
    id,
    kitchenId: scope.kitchen.id,
    name,
    delivery: 0,
    minimumOrder: null,
    deliveryDays: null,
    address: null,
  }
  await Suppliers.bulkCreate([row], { ignoreDuplicates: true, ...within(scope) })
  // What was committed since this transaction began is seen only by a read that locks.
  const added = await Suppliers.findOne({
    where: ofKitchen(scope, { name }),
    ...(scope.transaction ? { lock: scope.transaction.LOCK.SHARE } : {}),
    raw: true,
    ...within(scope),
  })
  if (!added) throw new Error('A supplier that was added is not there')
  return supplierTable.fromRow(added)
}

/** Overwrites a supplier's name and terms. */
export async function replaceSupplier(scope: Scope, { id, ...fields }: Supplier): Promise<void> {
  await scope.database.models.Supplier.update(fields, { where: ofKitchen(scope, { id }), ...within(scope) })
}

/** Holds suppliers until the transaction ends: nothing new points at them meanwhile. */
export async function lockSuppliers(scope: Scope, ids: readonly string[]): Promise<void> {
  const where = ofKitchen(scope, { id: [...ids] })
  await scope.database.models.Supplier.findAll({ attributes: ['id'], where, lock: true, raw: true, ...within(scope) })
}

/** Points everything of one supplier at another, and lets the one go. */
export async function mergeSupplier(scope: Scope, from: string, into: string): Promise<void> {
  const { Article, ExpectedLine, Fabrication, FabricationFigures, KitchenOffer, Lot, Supplier } = scope.database.models
  const options = { where: ofKitchen(scope, { supplierId: from }), ...within(scope) }
  // Two numbers of one supplier tell two articles apart: what would stand twice gets a part of its id.
  const taken = new Set(
    (
      await Article.findAll({
        attributes: ['code'],
        where: ofKitchen(scope, { supplierId: into }),
        raw: true,
        ...within(scope),
      })
    ).map((article) => article.code),
  )
  for (const { id, code } of await Article.findAll({ attributes: ['id', 'code'], ...options })) {
    const freeCode = taken.has(code) ? `${code.slice(0, 108)} (${id.slice(-8)})` : code
    await Article.update({ supplierId: into, code: freeCode }, { where: ofKitchen(scope, { id }), ...within(scope) })
  }
  await Lot.update({ supplierId: into }, options)
  await ExpectedLine.update({ supplierId: into }, options)
  await Fabrication.update({ supplierId: into }, options)
  await FabricationFigures.update(
    { supplierKey: into },
    { where: ofKitchen(scope, { supplierKey: from }), ...within(scope) },
  )
  await KitchenOffer.update({ supplierId: into }, options)
  await Supplier.destroy({ where: ofKitchen(scope, { id: from }), ...within(scope) })
}

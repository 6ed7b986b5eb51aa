import type { InferAttributes, ModelStatic, Order } from 'sequelize'
import type { Database } from '../database/index.ts'
import { ofKitchen, type Scope, within } from '../scope/index.ts'

type Models = Database['models']
type RowOf<M> = M extends ModelStatic<infer R> ? InferAttributes<R> : never

/** The rows that belong to one record, in their order. */
export interface RecordParts {
  piles: RowOf<Models['FabricationPile']>[]
  labour: RowOf<Models['FabricationLabour']>[]
  consumables: RowOf<Models['FabricationConsumable']>[]
  offers: RowOf<Models['FabricationOffer']>[]
}

const IN_ORDER: Order = ['position']

/**
 * The parts of some records, by the record's id: one query a table, all at once. Rows as they are, because a list of
 * fifty has thousands of them and making a model of each took longer than reading it.
 */
export async function partsOf(scope: Scope, ids: readonly string[]): Promise<Map<string, RecordParts>> {
  const parts = new Map<string, RecordParts>(
    ids.map((id) => [id, { piles: [], labour: [], consumables: [], offers: [] }]),
  )
  if (ids.length === 0) return parts
  const { FabricationConsumable, FabricationLabour, FabricationOffer, FabricationPile } = scope.database.models
  const asked = {
    where: ofKitchen(scope, { fabricationId: [...ids] }),
    attributes: { exclude: ['kitchenId'] },
    order: IN_ORDER,
    raw: true,
    ...within(scope),
  }
  const [piles, labour, consumables, offers] = await Promise.all([
    FabricationPile.findAll(asked),
    FabricationLabour.findAll(asked),
    FabricationConsumable.findAll(asked),
    FabricationOffer.findAll(asked),
  ])
  for (const row of piles) parts.get(row.fabricationId)?.piles.push(row)
  for (const row of labour) parts.get(row.fabricationId)?.labour.push(row)
  for (const row of consumables) parts.get(row.fabricationId)?.consumables.push(row)
  for (const row of offers) parts.get(row.fabricationId)?.offers.push(row)
  return parts
}

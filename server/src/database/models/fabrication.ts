import { fabricationRecord, recordVersion } from '@fleam/contract/fabrication/schemas'
import { whatIf } from '@fleam/contract/what-if/schemas'
import { consumable, labourEntry, plannedOffer, plannedPile, purchase } from '@fleam/core/fabrication'
import { z } from 'zod'
import { type ModelOf, table } from '../table.ts'
import type { SupplierModel } from './buying.ts'
import type { CookModel } from './kitchen.ts'
import type { ItemModel, StyleModel } from './style.ts'

/** Records; their names are as they were when it was recorded, read where there is no row to read them from. */
export const fabricationTable = table(
  'fabrications',
  fabricationRecord
    .omit({
      ...{ purchase: true, shape: true, steps: true, choices: true },
      ...{ piles: true, labour: true, consumables: true, offers: true },
    })
    .extend(purchase.shape),
  { parts: ['price'], as: { purge: 'purgeWeight' } },
)
export type FabricationModel = ModelOf<
  typeof fabricationTable,
  {
    board: FabricationBoardModel | null
    itemRow: ItemModel | null
    styleRow: StyleModel | null
    supplierRow: SupplierModel | null
    cookRow: CookModel | null
  }
>

const fabricationId = z.uuid()
const PART = { adds: { fabricationId, position: z.int() } }
const LISTED = { ...PART, key: ['fabricationId', 'position'] }

export const fabricationPileTable = table('fabrication_piles', plannedPile, PART)
/** Lists that an edit of the record replaces as a whole. */
export const fabricationLabourTable = table('fabrication_labour', labourEntry, LISTED)
export const fabricationConsumableTable = table('fabrication_consumables', consumable, LISTED)
export const fabricationOfferTable = table('fabrication_offers', plannedOffer, {
  ...LISTED,
  parts: ['price'],
})

/** What lies beside a record and lists do without. */
export const fabricationBoardTable = table(
  'fabrication_boards',
  fabricationRecord.pick({ steps: true, choices: true }),
  { adds: { fabricationId }, key: ['fabricationId'] },
)
export type FabricationBoardModel = ModelOf<typeof fabricationBoardTable>

/** What could be edited of records, as it was before each edit. */
export const fabricationVersionTable = table('fabrication_versions', recordVersion, {
  adds: { fabricationId },
  key: ['kitchenId', 'fabricationId', 'version'],
})

export const whatIfTable = table('what_ifs', whatIf, { adds: { fabricationId } })

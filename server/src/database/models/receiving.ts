import { lot, lotCase, lotCheck } from '@fleam/contract/receiving/schemas'
import { z } from 'zod'
import { type ModelOf, table } from '../table.ts'
import type { SupplierModel } from './buying.ts'
import type { CookModel } from './kitchen.ts'
import type { ItemModel } from './style.ts'

/** Lots; `item` is the item's name when it came, read where there is no item to read it from. */
export const lotTable = table('lots', lot.omit({ supplier: true, standingBy: true, cases: true, checks: true }), {
  adds: { createdAt: z.iso.datetime() },
  parts: ['price'],
})
export type LotModel = ModelOf<
  typeof lotTable,
  {
    cases: LotCaseModel[]
    checks: LotCheckModel[]
    itemRow: ItemModel | null
    supplier: SupplierModel
    standingByRow: CookModel | null
  }
>

export const lotCaseTable = table('lot_cases', lotCase, { adds: { lotId: z.uuid(), position: z.int() } })
export type LotCaseModel = ModelOf<typeof lotCaseTable>

export const lotCheckTable = table('lot_checks', lotCheck, { adds: { lotId: z.uuid() }, key: ['lotId', 'checkId'] })
export type LotCheckModel = ModelOf<typeof lotCheckTable>

/** Pictures of lots: JPEG. */
export const lotPhotoTable = table(
  'lot_photos',
  z.object({ id: z.uuid(), lotId: z.uuid(), picture: z.instanceof(Buffer), takenAt: z.iso.datetime() }),
)

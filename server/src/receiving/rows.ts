import type { Lot } from '@fleam/contract/receiving/schemas'
import { type LotModel, lotCaseTable, lotCheckTable, lotTable } from '../database/index.ts'

/** A lot from its row with its cases and checks, and the names of its item and supplier. */
export function lotOfRow(row: LotModel): Lot {
  const lot = lotTable.fromRow(row)
  return {
    ...lot,
    item: row.itemRow?.name ?? lot.item,
    supplier: row.supplier?.name ?? '',
    standingBy: row.standingByRow?.name ?? null,
    cases: (row.cases ?? []).map(lotCaseTable.fromRow),
    checks: (row.checks ?? []).map(lotCheckTable.fromRow),
  }
}

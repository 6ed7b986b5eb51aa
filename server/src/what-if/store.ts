import type { WhatIf } from '@fleam/contract/what-if/schemas'
import { whatIfTable } from '../database/index.ts'
import { ofKitchen, type Scope, within } from '../scope/index.ts'

/** What-ifs that were kept beside a record, in the order in which they were made. */
export async function whatIfs(scope: Scope, fabricationId: string): Promise<WhatIf[]> {
  const rows = await scope.database.models.WhatIf.findAll({
    where: ofKitchen(scope, { fabricationId }),
    order: ['createdAt', 'id'],
    ...within(scope),
  })
  return rows.map(whatIfTable.fromRow)
}

/** Stores a what-if beside a record. */
export async function insertWhatIf(scope: Scope, fabricationId: string, whatIf: WhatIf): Promise<void> {
  await scope.database.models.WhatIf.create(ofKitchen(scope, { ...whatIf, fabricationId }), within(scope))
}

/** Overwrites the what-if of this id. */
export async function updateWhatIf(scope: Scope, { id, name, assumptions }: WhatIf): Promise<void> {
  await scope.database.models.WhatIf.update(
    { name, assumptions },
    { where: ofKitchen(scope, { id }), ...within(scope) },
  )
}

/** Deletes a what-if of a record. */
export async function deleteWhatIf(scope: Scope, fabricationId: string, id: string): Promise<void> {
  await scope.database.models.WhatIf.destroy({ where: ofKitchen(scope, { fabricationId, id }), ...within(scope) })
}

import type { WhatIf } from '@fleam/contract/what-if/schemas'
import { requireState } from '../fabrication/index.ts'
import { Refusal, refuseTaken } from '../http/index.ts'
import { decide, type Scope } from '../scope/index.ts'
import * as store from './store.ts'

/** A record has room for so many: more of them nobody tells apart. */
const MAX_KEPT = 50

/** What-ifs of a record; throws `not-found` where the kitchen has no such record. */
export async function kept(scope: Scope, fabricationId: string): Promise<WhatIf[]> {
  await requireState(scope, fabricationId)
  return store.whatIfs(scope, fabricationId)
}

/** Keeps a what-if; sending it twice keeps one, and sending it changed changes it. */
export const createWhatIf = (scope: Scope, fabricationId: string, whatIf: WhatIf): Promise<WhatIf[]> =>
  decide(scope, 'what-ifs', (inside) => keep(inside, fabricationId, whatIf))

async function keep(scope: Scope, fabricationId: string, whatIf: WhatIf): Promise<WhatIf[]> {
  const existing = await kept(scope, fabricationId)
  if (existing.some((row) => row.id === whatIf.id)) await store.updateWhatIf(scope, whatIf)
  else if (existing.length >= MAX_KEPT) {
    throw new Refusal('invalid-input', `A record has room for ${MAX_KEPT} what-ifs.`, {
      issues: [{ path: 'id', message: 'let one of the others go first' }],
    })
  } else {
    await refuseTaken('id', 'This id stands for another what-if.', () =>
      store.insertWhatIf(scope, fabricationId, whatIf),
    )
  }
  return store.whatIfs(scope, fabricationId)
}

/** Deletes a what-if, where it is there, and answers with those that are left. */
export async function deleteWhatIf(scope: Scope, fabricationId: string, id: string): Promise<WhatIf[]> {
  await store.deleteWhatIf(scope, fabricationId, id)
  return store.whatIfs(scope, fabricationId)
}

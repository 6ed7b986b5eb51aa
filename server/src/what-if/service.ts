import type { WhatIf } from '@fleam/contract'
import type { Sequelize } from 'sequelize'
import { requireState } from '../fabrication/service.ts'
import { Refusal, refuseTaken } from '../http/problems.ts'
import * as store from './store.ts'

/** A record has room for so many: more of them nobody tells apart. */
const MOST_KEPT = 50

export async function kept(database: Sequelize, kitchenId: string, fabricationId: string): Promise<WhatIf[]> {
  await requireState(database, kitchenId, fabricationId)
  return store.whatIfs(database, kitchenId, fabricationId)
}

/** Keeps a what-if; sending it twice keeps one, and sending it changed changes it. */
export async function keep(
  database: Sequelize,
  kitchenId: string,
  fabricationId: string,
  whatIf: WhatIf,
): Promise<WhatIf[]> {
  const known = await kept(database, kitchenId, fabricationId)
  if (known.some((each) => each.id === whatIf.id)) await store.changeWhatIf(database, kitchenId, whatIf)
  else if (known.length >= MOST_KEPT) {
    throw new Refusal('invalid-input', `A record has room for ${MOST_KEPT} what-ifs.`, {
      issues: [{ path: 'id', message: 'let one of the others go first' }],
    })
  } else {
    await refuseTaken('id', 'This id stands for another what-if.', () =>
      store.insertWhatIf(database, kitchenId, fabricationId, whatIf),
    )
  }
  return store.whatIfs(database, kitchenId, fabricationId)
}

export async function letGo(
  database: Sequelize,
  key: { kitchenId: string; fabricationId: string; id: string },
): Promise<WhatIf[]> {
  await store.removeWhatIf(database, key)
  return store.whatIfs(database, key.kitchenId, key.fabricationId)
}

import type { Cook, Kitchen, KitchenOffer } from '@fleam/contract'
import { MOST_COOKS } from '@fleam/core'
import type { Database } from '../database/index.ts'
import { Refusal, refuseTaken } from '../http/index.ts'
import { type Clock, inTransaction, type Scope } from '../scope/index.ts'
import { insertCatalogue, requireStyle } from '../style/index.ts'
import { requireSupplier } from '../supplier/index.ts'
import * as store from './store.ts'

const sameFields = (a: object, b: object) => JSON.stringify(a) === JSON.stringify(b)

/** Sets a kitchen up with the catalogue's items. Sent twice with the same id it is made once. */
export async function setUpKitchen(database: Database, setUp: Kitchen, clock: Clock): Promise<Kitchen> {
  const existing = await store.kitchenById(database, setUp.id)
  if (existing) {
    const { id, name, currency, units, timeZone, wagePerHour } = existing
    if (sameFields({ id, name, currency, units, timeZone, wagePerHour }, setUp)) return setUp
    throw new Refusal('id-taken', 'A kitchen with this id is there already.', {
      issues: [{ path: 'id', message: 'is taken' }],
    })
  }
  await inTransaction({ database, kitchen: setUp, actor: 'office', transaction: null, clock }, async (scope) => {
    await store.insertKitchen(scope)
    await insertCatalogue(scope)
  })
  return setUp
}

export async function addCook(scope: Scope, cook: Cook): Promise<Cook> {
  if ((await store.cooks(scope)).length >= MOST_COOKS) {
    throw new Refusal('invalid-input', `A kitchen has ${MOST_COOKS} cooks at most.`, {
      issues: [{ path: 'id', message: `is one more than ${MOST_COOKS}` }],
    })
  }
  await refuseTaken('name', 'A cook of this name is there already.', () => store.insertCook(scope, cook))
  return cook
}

/** The cook of an id; refuses the field where this kitchen has none. */
export async function requireCook(scope: Scope, id: string): Promise<Cook> {
  const known = (await store.cooks(scope)).find((each) => each.id === id)
  if (known) return known
  throw new Refusal('not-found', 'This kitchen has no such cook.', {
    issues: [{ path: 'cookId', message: 'is not a cook here' }],
  })
}

export async function addOffer(scope: Scope, each: KitchenOffer): Promise<KitchenOffer> {
  const { style } = await requireStyle(scope, each.styleId)
  await requireSupplier(scope, each.supplierId)
  if (!style.piles.some((pile) => pile.id === each.offer.pileId && pile.class === 'primary')) {
    throw new Refusal('pile-unknown', 'The offer is for no portion pile of this style.', {
      issues: [{ path: 'offer.pileId', message: 'is not a primary pile of this style' }],
    })
  }
  await refuseTaken('id', 'This offer is there already.', () => store.insertOffer(scope, each))
  return each
}

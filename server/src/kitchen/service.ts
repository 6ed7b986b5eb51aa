import type { Cook, Kitchen, KitchenOffer } from '@fleam/contract'
import type { Sequelize } from 'sequelize'
import { Refusal, refuseTaken } from '../http/problems.ts'
import { itemsFromCatalogue, requireStyle } from '../style/service.ts'
import { insertItems } from '../style/store.ts'
import * as store from './store.ts'

const sameFields = (a: object, b: object) => JSON.stringify(a) === JSON.stringify(b)

/** Sets a kitchen up with the catalogue's items. Sent twice with the same id it is made once. */
export async function setUpKitchen(database: Sequelize, setUp: Kitchen): Promise<Kitchen> {
  const existing = await store.kitchenById(database, setUp.id)
  if (existing) {
    if (sameFields(existing, setUp)) return existing
    throw new Refusal('id-taken', 'A kitchen with this id is there already.', {
      issues: [{ path: 'id', message: 'is taken' }],
    })
  }
  await database.transaction(async (transaction) => {
    await store.insertKitchen(database, setUp, transaction)
    await insertItems(database, setUp.id, itemsFromCatalogue(), transaction)
  })
  return setUp
}

export async function requireKitchen(database: Sequelize, kitchenId: string): Promise<Kitchen> {
  const kitchen = await store.kitchenById(database, kitchenId)
  if (!kitchen) throw new Refusal('not-found', 'There is no such kitchen.')
  return kitchen
}

export async function addCook(database: Sequelize, kitchenId: string, cook: Cook): Promise<Cook> {
  await requireKitchen(database, kitchenId)
  await refuseTaken('name', 'A cook of this name is there already.', () => store.insertCook(database, kitchenId, cook))
  return cook
}

export async function addOffer(database: Sequelize, kitchenId: string, each: KitchenOffer): Promise<KitchenOffer> {
  const { style } = await requireStyle(database, kitchenId, each.styleId)
  if (!style.piles.some((pile) => pile.name === each.offer.pile && pile.class === 'primary')) {
    throw new Refusal('pile-unknown', `'${each.offer.pile}' is not a primary pile of this style.`, {
      issues: [{ path: 'offer.pile', message: 'is not a primary pile of this style' }],
    })
  }
  await refuseTaken('id', 'This offer is there already.', () => store.insertOffer(database, kitchenId, each))
  return each
}

import { CATALOGUE } from '@fleam/catalogue'
import type { Cook, Item, Kitchen, KitchenOffer, Style } from '@fleam/contract'
import type { Sequelize } from 'sequelize'
import { v7 as newId } from 'uuid'
import { databaseCode } from '../database/connection.ts'
import { notFound, Refusal } from '../http/problems.ts'
import * as store from './store.ts'

/** The catalogue as a kitchen's own items: it may value and change them from here on. */
function itemsFromCatalogue(): Item[] {
  return CATALOGUE.map((item) => ({
    id: newId(),
    name: item.name,
    species: item.species,
    unitName: item.unitName,
    unitWeight: item.unitWeight,
    styles: item.styles.map((style) => ({
      id: newId(),
      name: style.name,
      minutesPerUnit: style.minutesPerUnit,
      piles: style.piles.map((pile) => ({ ...pile, valuePerKg: null, usedShare: null, processingPerKg: null })),
    })),
  }))
}

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
    for (const item of itemsFromCatalogue()) await store.insertItem(database, setUp.id, item, transaction)
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
  await refuseTaken(() => store.insertCook(database, kitchenId, cook), 'name', 'A cook of this name is there already.')
  return cook
}

async function refuseTaken(insert: () => Promise<void>, path: string, detail: string): Promise<void> {
  try {
    await insert()
  } catch (error) {
    if (databaseCode(error) !== 'ER_DUP_ENTRY') throw error
    throw new Refusal('id-taken', detail, { issues: [{ path, message: 'is taken' }] })
  }
}

export interface KnownStyle {
  item: Item
  style: Style
}

export async function requireStyle(database: Sequelize, kitchenId: string, styleId: string): Promise<KnownStyle> {
  for (const item of await store.items(database, kitchenId)) {
    const style = item.styles.find((each) => each.id === styleId)
    if (style) return { item, style }
  }
  throw notFound('style')
}

export async function changeStyle(database: Sequelize, kitchenId: string, style: Style): Promise<Style> {
  await requireStyle(database, kitchenId, style.id)
  await database.transaction((transaction) => store.replaceStyle(database, kitchenId, style, transaction))
  return style
}

export async function addOffer(database: Sequelize, kitchenId: string, each: KitchenOffer): Promise<KitchenOffer> {
  const { style } = await requireStyle(database, kitchenId, each.styleId)
  if (!style.piles.some((pile) => pile.name === each.offer.pile && pile.class === 'primary')) {
    throw new Refusal('pile-unknown', `'${each.offer.pile}' is not a primary pile of this style.`, {
      issues: [{ path: 'offer.pile', message: 'is not a primary pile of this style' }],
    })
  }
  await refuseTaken(() => store.insertOffer(database, kitchenId, each), 'id', 'This offer is there already.')
  return each
}

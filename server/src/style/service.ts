import { CATALOGUE, type CatalogueItem } from '@fleam/catalogue'
import { type Item, type ItemEdit, STYLE_FORMAT, type Style, type StyleFile } from '@fleam/contract'
import type { Sequelize } from 'sequelize'
import { v7 as newId } from 'uuid'
import { notFound, Refusal, refuseTaken } from '../http/problems.ts'
import * as store from './store.ts'

const UNVALUED = { valuePerKg: null, usedShare: null, processingPerKg: null }

/** An item of the catalogue as a kitchen's own: it may value and change it from here on. */
export function itemFromCatalogue(item: CatalogueItem): Item {
  const { name, species, drawing, unitName, unitWeight, landmarks } = item
  const styles = item.styles.map(({ id: _id, normalLoss: _loss, piles, ...style }) => ({
    ...copyOf(style),
    id: newId(),
    version: 1,
    isArchived: false,
    piles: piles.map((pile) => ({ ...pile, ...UNVALUED })),
  }))
  return {
    id: newId(),
    isArchived: false,
    name,
    species,
    drawing,
    unitName,
    unitWeight,
    landmarks: [...landmarks],
    styles,
  }
}

/** The catalogue is read only; a kitchen's own copy is plain data that may change. */
const copyOf = <T>(data: T) => structuredClone(data) as { -readonly [K in keyof T]: Mutable<T[K]> }
type Mutable<T> = T extends readonly (infer E)[]
  ? Mutable<E>[]
  : T extends object
    ? { -readonly [K in keyof T]: Mutable<T[K]> }
    : T

export const itemsFromCatalogue = (): Item[] => CATALOGUE.map(itemFromCatalogue)

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

async function requireItem(database: Sequelize, kitchenId: string, itemId: string): Promise<Item> {
  const item = (await store.items(database, kitchenId)).find((each) => each.id === itemId)
  if (!item) throw notFound('item')
  return item
}

/** Changes a style; refused with the current one where somebody changed it meanwhile. */
export async function changeStyle(database: Sequelize, kitchenId: string, style: Style): Promise<Style> {
  const changed = { ...style, version: style.version + 1 }
  await refuseTaken('name', 'A style of this name is there already.', () =>
    database.transaction(async (transaction) => {
      const version = await store.lockStyle(database, kitchenId, style.id, transaction)
      if (version === null) throw notFound('style')
      if (version !== style.version) {
        const { style: current } = await requireStyle(database, kitchenId, style.id)
        throw new Refusal('stale-version', `It was read at version ${style.version} and is at ${version} now.`, {
          current,
        })
      }
      await store.replaceStyle(database, kitchenId, changed, transaction)
    }),
  )
  return changed
}

/** Adds a style to an item: a copy of another one, or one of the kitchen's own. */
export async function addStyle(database: Sequelize, kitchenId: string, itemId: string, style: Style): Promise<Style> {
  const item = await requireItem(database, kitchenId, itemId)
  const known = item.styles.find((each) => each.id === style.id)
  if (known) return known
  await refuseTaken('name', 'A style of this name is there already.', () =>
    database.transaction((transaction) =>
      store.insertStyle(database, kitchenId, itemId, { ...style, version: 1 }, item.styles.length, transaction),
    ),
  )
  return { ...style, version: 1 }
}

/** Adds an item with its styles; sent twice with the same id it is there once. */
export async function addItem(database: Sequelize, kitchenId: string, item: Item): Promise<Item> {
  const known = (await store.items(database, kitchenId)).find((each) => each.id === item.id)
  if (known) return known
  await refuseTaken('name', 'An item of this name is there already.', () =>
    database.transaction((transaction) => store.insertItems(database, kitchenId, [item], transaction)),
  )
  return item
}

export async function changeItem(database: Sequelize, kitchenId: string, id: string, edit: ItemEdit): Promise<Item> {
  await requireItem(database, kitchenId, id)
  await refuseTaken('name', 'An item of this name is there already.', () =>
    store.replaceItem(database, kitchenId, id, edit),
  )
  return requireItem(database, kitchenId, id)
}

export async function exportStyle(database: Sequelize, kitchenId: string, id: string): Promise<StyleFile> {
  const { item, style } = await requireStyle(database, kitchenId, id)
  const { id: _itemId, isArchived: _itemArchived, styles: _styles, ...bareItem } = item
  const { id: _id, version: _version, isArchived: _archived, ...bareStyle } = style
  return { format: STYLE_FORMAT, version: 1, item: bareItem, style: bareStyle }
}

/**
 * Takes a style of elsewhere in: onto the item of the same name, which is added where it is not there,
 * and under a name that is free.
 */
export async function importStyle(database: Sequelize, kitchenId: string, id: string, file: StyleFile): Promise<Style> {
  const items = await store.items(database, kitchenId)
  const known = items.flatMap((item) => item.styles).find((style) => style.id === id)
  if (known) return known
  const style = { ...file.style, id, version: 1, isArchived: false }
  const item = items.find((each) => each.name === file.item.name)
  if (item) {
    const name = freeName(file.style.name, item.styles)
    return addStyle(database, kitchenId, item.id, { ...style, name })
  }
  await addItem(database, kitchenId, { ...file.item, id: newId(), isArchived: false, styles: [style] })
  return style
}

function freeName(wanted: string, styles: readonly { name: string }[]): string {
  const isTaken = (name: string) => styles.some((style) => style.name === name)
  let name = wanted
  for (let count = 2; isTaken(name); count++) name = `${wanted} (${count})`
  return name
}

/** Adds what the catalogue has and the kitchen has not, by the names of items. */
export async function topUpFromCatalogue(database: Sequelize, kitchenId: string): Promise<Item[]> {
  const names = new Set((await store.items(database, kitchenId)).map((item) => item.name))
  const missing = itemsFromCatalogue().filter((item) => !names.has(item.name))
  if (missing.length > 0) {
    await database.transaction((transaction) => store.insertItems(database, kitchenId, missing, transaction))
  }
  return store.items(database, kitchenId)
}

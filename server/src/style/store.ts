import type { Item, ItemEdit, Style } from '@fleam/contract/style'
import { type ItemModel, parsedJsonOf, type StyleModel, type StylePileModel } from '../database/index.ts'
import { inTransaction, ofKitchen, type Scope, within } from '../scope/index.ts'

type StylePile = Style['piles'][number]

const pileOfRow = ({ target, low, high, ...row }: StylePileModel['_attributes']): StylePile => ({
  id: row.id,
  name: row.name,
  class: row.class,
  kind: row.kind,
  boneShare: row.boneShare,
  cookingLoss: row.cookingLoss,
  chilledDays: row.chilledDays,
  frozenMonths: row.frozenMonths,
  weighing: row.weighing,
  expectedShare: row.expectedShare,
  portionsPerUnit: row.portionsPerUnit,
  bounds: target === null || low === null || high === null ? null : { target, low, high },
  landmark: row.landmark,
  region: row.region,
  valuePerKg: row.valuePerKg,
  usedShare: row.usedShare,
  processingPerKg: row.processingPerKg,
  productId: row.productId,
})

const rowsOfPiles = (kitchenId: string, style: Style) =>
  style.piles.map(({ bounds, ...pile }, position) => ({
    ...pile,
    kitchenId,
    styleId: style.id,
    position,
    target: bounds?.target ?? null,
    low: bounds?.low ?? null,
    high: bounds?.high ?? null,
  }))

interface StyleRow {
  row: StyleModel['_attributes']
  piles: StylePileModel['_attributes'][]
}

const styleOfRow = ({ row, piles }: StyleRow): Style => ({
  id: row.id,
  version: row.version,
  isArchived: Boolean(row.isArchived),
  name: row.name,
  minutesPerUnit: row.minutesPerUnit,
  piles: piles.map(pileOfRow),
  steps: parsedJsonOf(row.steps),
  options: parsedJsonOf(row.options),
  consumables: parsedJsonOf(row.consumables),
})

const styleColumns = ({ name, minutesPerUnit, steps, options, consumables, isArchived }: Style) => ({
  name,
  minutesPerUnit,
  steps,
  options,
  consumables,
  isArchived,
})

const itemColumns = ({ unitName, unitWeight, ...item }: ItemEdit) => ({
  name: item.name,
  species: item.species,
  drawing: item.drawing,
  shape: item.shape,
  unitOne: unitName.one,
  unitMany: unitName.many,
  unitLow: unitWeight.low,
  unitUsual: unitWeight.usual,
  unitHigh: unitWeight.high,
  landmarks: item.landmarks,
  isArchived: item.isArchived,
})

const itemOfRow = (row: ItemModel['_attributes'], styles: readonly StyleRow[]): Item => ({
  id: row.id,
  name: row.name,
  species: row.species,
  drawing: row.drawing,
  shape: row.shape,
  unitName: { one: row.unitOne, many: row.unitMany },
  unitWeight: { low: row.unitLow, usual: row.unitUsual, high: row.unitHigh },
  landmarks: parsedJsonOf(row.landmarks),
  isArchived: Boolean(row.isArchived),
  styles: styles.filter(({ row: style }) => style.itemId === row.id).map(styleOfRow),
})

/**
 * Rows of styles with their piles, each in its own order. Rows as they are: a catalogue has seven hundred piles, and
 * making a model of each took five times as long as reading it.
 */
async function stylesWhere(scope: Scope, where: { id?: string; itemId?: string }): Promise<StyleRow[]> {
  const { Style: Styles, StylePile } = scope.database.models
  const asked = { raw: true, ...within(scope) } as const
  const rows = await Styles.findAll({ where: ofKitchen(scope, where), order: ['position', 'id'], ...asked })
  const ids = Object.keys(where).length === 0 ? {} : { styleId: rows.map((row) => row.id) }
  const piles = await StylePile.findAll({ where: ofKitchen(scope, ids), order: ['position'], ...asked })
  const byStyle = new Map(rows.map((row) => [row.id, [] as typeof piles]))
  for (const pile of piles) byStyle.get(pile.styleId)?.push(pile)
  return rows.map((row) => ({ row, piles: byStyle.get(row.id) ?? [] }))
}

/** Items of a kitchen with their styles and piles, each in its own order; the archived ones too. */
export async function items(scope: Scope, where: { id?: string } = {}): Promise<Item[]> {
  const rows = await scope.database.models.Item.findAll({
    where: ofKitchen(scope, where),
    order: ['position', 'name'],
    raw: true,
    ...within(scope),
  })
  const styles = await stylesWhere(scope, where.id === undefined ? {} : { itemId: where.id })
  return rows.map((row) => itemOfRow(row, styles))
}

/** Names of items by id, for what only reads them. */
export async function itemNames(scope: Scope): Promise<Map<string, string>> {
  const rows = await scope.database.models.Item.findAll({
    attributes: ['id', 'name'],
    where: ofKitchen(scope),
    raw: true,
    ...within(scope),
  })
  return new Map(rows.map((row) => [row.id, row.name]))
}

/** The id of the item that a style belongs to; null where there is no such style. */
export async function itemIdOfStyle(scope: Scope, styleId: string): Promise<string | null> {
  const row = await scope.database.models.Style.findOne({
    attributes: ['itemId'],
    where: ofKitchen(scope, { id: styleId }),
    raw: true,
    ...within(scope),
  })
  return row?.itemId ?? null
}

/** A style of an id with the item that it belongs to; null where there is none. */
export async function styleById(scope: Scope, id: string): Promise<{ itemId: string; style: Style } | null> {
  const [known] = await stylesWhere(scope, { id })
  return known ? { itemId: known.row.itemId, style: styleOfRow(known) } : null
}

/** Inserts items after those that are there, each with its styles: three statements, however many. */
export function insertItems(scope: Scope, added: readonly Item[]): Promise<void> {
  const kitchenId = scope.kitchen.id
  return inTransaction(scope, async (inside) => {
    const { Item: Items, Style: Styles, StylePile } = inside.database.models
    const last: number | null = await Items.max('position', { where: ofKitchen(inside), ...within(inside) })
    const rows = added.map((item, at) => ({
      id: item.id,
      kitchenId,
      position: (last ?? -1) + 1 + at,
      ...itemColumns(item),
    }))
    await Items.bulkCreate(rows, within(inside))
    const styles = added.flatMap((item) => item.styles.map((style, position) => ({ item, style, position })))
    await Styles.bulkCreate(
      styles.map(({ item, style, position }) => rowOfStyle(kitchenId, item.id, style, position)),
      within(inside),
    )
    await StylePile.bulkCreate(
      styles.flatMap(({ style }) => rowsOfPiles(kitchenId, style)),
      within(inside),
    )
  })
}

const rowOfStyle = (kitchenId: string, itemId: string, style: Style, position: number) => ({
  id: style.id,
  kitchenId,
  itemId,
  position,
  version: style.version,
  ...styleColumns(style),
})

export async function insertStyle(scope: Scope, itemId: string, style: Style, position: number): Promise<void> {
  const { Style: Styles, StylePile } = scope.database.models
  await Styles.create(rowOfStyle(scope.kitchen.id, itemId, style, position), within(scope))
  await StylePile.bulkCreate(rowsOfPiles(scope.kitchen.id, style), within(scope))
}

/** The version of a style, held against other edits until the transaction ends; null where it is not there. */
export async function lockStyle(scope: Scope, id: string): Promise<number | null> {
  const row = await scope.database.models.Style.findOne({
    attributes: ['version'],
    where: ofKitchen(scope, { id }),
    lock: true,
    raw: true,
    ...within(scope),
  })
  return row?.version ?? null
}

/** Writes what the kitchen says of a style; records made before keep their own copy. */
export async function replaceStyle(scope: Scope, style: Style): Promise<void> {
  const { Style: Styles, StylePile } = scope.database.models
  await Styles.update(
    { ...styleColumns(style), version: style.version },
    { where: ofKitchen(scope, { id: style.id }), ...within(scope) },
  )
  await StylePile.destroy({ where: ofKitchen(scope, { styleId: style.id }), ...within(scope) })
  await StylePile.bulkCreate(rowsOfPiles(scope.kitchen.id, style), within(scope))
}

export async function replaceItem(scope: Scope, id: string, edit: ItemEdit): Promise<void> {
  await scope.database.models.Item.update(itemColumns(edit), { where: ofKitchen(scope, { id }), ...within(scope) })
}

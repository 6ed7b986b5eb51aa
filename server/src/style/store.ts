import type { Item, ItemEdit, Style } from '@fleam/core/style'
import { itemTable, stylePileTable, styleTable, type TableRow } from '../database/index.ts'
import { inTransaction, ofKitchen, type Scope, within } from '../scope/index.ts'

interface StyleRow {
  row: TableRow<typeof styleTable>
  piles: TableRow<typeof stylePileTable>[]
}

const rowsOfPiles = (kitchenId: string, { id: styleId, piles }: Style) =>
  piles.map((pile, position) => ({ ...stylePileTable.toRow({ ...pile, styleId, position }), kitchenId }))

const styleOfRow = ({ row, piles }: StyleRow): Style => ({
  ...styleTable.fromRow(row),
  piles: piles.map(stylePileTable.fromRow),
})

const itemOfRow = (row: TableRow<typeof itemTable>, styles: readonly StyleRow[]): Item => ({
  ...itemTable.fromRow(row),
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
  const [style] = await stylesWhere(scope, { id })
  return style ? { itemId: style.row.itemId, style: styleOfRow(style) } : null
}

/** Inserts items after those that are there, each with its styles: three statements, however many. */
export function insertItems(scope: Scope, added: readonly Item[]): Promise<void> {
  const kitchenId = scope.kitchen.id
  return inTransaction(scope, async (inside) => {
    const { Item: Items, Style: Styles, StylePile } = inside.database.models
    const last: number | null = await Items.max('position', { where: ofKitchen(inside), ...within(inside) })
    const next = (last ?? -1) + 1
    const rows = added.map((item, index) => ({ ...itemTable.toRow({ ...item, position: next + index }), kitchenId }))
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
  ...styleTable.toRow({ ...style, itemId, position }),
  kitchenId,
})

/** Stores a style of an item at a place in its list. */
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
  const where = ofKitchen(scope, { id: style.id })
  await Styles.update(styleTable.toRow(style), { where, ...within(scope) })
  await StylePile.destroy({ where: ofKitchen(scope, { styleId: style.id }), ...within(scope) })
  await StylePile.bulkCreate(rowsOfPiles(scope.kitchen.id, style), within(scope))
}

/** Overwrites what may be changed of an item. */
export async function replaceItem(scope: Scope, id: string, edit: ItemEdit): Promise<void> {
  await scope.database.models.Item.update(itemTable.toRow(edit), { where: ofKitchen(scope, { id }), ...within(scope) })
}

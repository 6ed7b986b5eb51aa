import type { Item, ItemEdit, Style } from '@fleam/contract'
import type { Sequelize, Transaction } from 'sequelize'
import {
  insertRows,
  json,
  number,
  numberOrNull,
  type Row,
  select,
  text,
  textOrNull,
  updateRow,
} from '../database/rows.ts'

type StylePile = Style['piles'][number]

const stylePileFromRow = (row: Row): StylePile => ({
  name: text(row.name),
  class: row.class as StylePile['class'],
  weighing: row.weighing as StylePile['weighing'],
  expectedShare: numberOrNull(row.expected_share),
  portionsPerUnit: numberOrNull(row.portions_per_unit),
  bounds: row.target === null ? null : { target: number(row.target), low: number(row.low), high: number(row.high) },
  landmark: text(row.landmark),
  region: textOrNull(row.region),
  valuePerKg: numberOrNull(row.value_per_kg),
  usedShare: numberOrNull(row.used_share),
  processingPerKg: numberOrNull(row.processing_per_kg),
})

const stylePileRows = (kitchenId: string, style: Style) =>
  style.piles.map((pile, position) => ({
    style_id: style.id,
    position,
    kitchen_id: kitchenId,
    name: pile.name,
    class: pile.class,
    weighing: pile.weighing,
    expected_share: pile.expectedShare,
    portions_per_unit: pile.portionsPerUnit,
    target: pile.bounds?.target ?? null,
    low: pile.bounds?.low ?? null,
    high: pile.bounds?.high ?? null,
    landmark: pile.landmark,
    region: pile.region,
    value_per_kg: pile.valuePerKg,
    used_share: pile.usedShare,
    processing_per_kg: pile.processingPerKg,
  }))

const styleFromRow = (row: Row, piles: readonly Row[]): Style => ({
  id: text(row.id),
  version: number(row.version),
  isArchived: Boolean(row.is_archived),
  name: text(row.name),
  minutesPerUnit: number(row.minutes_per_unit),
  piles: piles.map(stylePileFromRow),
  steps: json(row.steps),
  options: json(row.options),
  consumables: json(row.consumables),
})

const styleColumns = (style: Style) => ({
  name: style.name,
  minutes_per_unit: style.minutesPerUnit,
  steps: JSON.stringify(style.steps),
  options: JSON.stringify(style.options),
  consumables: JSON.stringify(style.consumables),
  is_archived: style.isArchived,
})

const itemColumns = (item: ItemEdit) => ({
  name: item.name,
  species: item.species,
  drawing: item.drawing,
  unit_one: item.unitName.one,
  unit_many: item.unitName.many,
  unit_low: item.unitWeight.low,
  unit_usual: item.unitWeight.usual,
  unit_high: item.unitWeight.high,
  landmarks: JSON.stringify(item.landmarks),
  is_archived: item.isArchived,
})

/** Items of a kitchen with their styles and piles, each in its own order; the archived ones too. */
export async function items(database: Sequelize, kitchenId: string): Promise<Item[]> {
  const [itemRows, styleRows, pileRows] = await Promise.all([
    select(database, 'SELECT * FROM items WHERE kitchen_id = :kitchenId ORDER BY position, name', { kitchenId }),
    select(database, 'SELECT * FROM styles WHERE kitchen_id = :kitchenId ORDER BY position, id', { kitchenId }),
    select(database, 'SELECT * FROM style_piles WHERE kitchen_id = :kitchenId ORDER BY style_id, position', {
      kitchenId,
    }),
  ])
  return itemRows.map((row) => ({
    id: text(row.id),
    name: text(row.name),
    species: row.species as Item['species'],
    drawing: textOrNull(row.drawing),
    unitName: { one: text(row.unit_one), many: text(row.unit_many) },
    unitWeight: { low: number(row.unit_low), usual: number(row.unit_usual), high: number(row.unit_high) },
    landmarks: json(row.landmarks),
    isArchived: Boolean(row.is_archived),
    styles: styleRows
      .filter((style) => style.item_id === row.id)
      .map((style) =>
        styleFromRow(
          style,
          pileRows.filter((pile) => pile.style_id === style.id),
        ),
      ),
  }))
}

/** Inserts items after those that are there, each with its styles: three statements, however many. */
export async function insertItems(
  database: Sequelize,
  kitchenId: string,
  added: readonly Item[],
  transaction: Transaction,
): Promise<void> {
  const [last] = await select(
    database,
    'SELECT COALESCE(MAX(position), -1) AS position FROM items WHERE kitchen_id = :kitchenId',
    { kitchenId },
    transaction,
  )
  const from = number(last?.position) + 1
  const rows = added.map((item, at) => ({
    id: item.id,
    kitchen_id: kitchenId,
    position: from + at,
    ...itemColumns(item),
  }))
  await insertRows(database, 'items', rows, transaction)
  const styles = added.flatMap((item) => item.styles.map((style, position) => ({ item, style, position })))
  await insertRows(
    database,
    'styles',
    styles.map(({ item, style, position }) => styleRow(kitchenId, item.id, style, position)),
    transaction,
  )
  const piles = styles.flatMap(({ style }) => stylePileRows(kitchenId, style))
  await insertRows(database, 'style_piles', piles, transaction)
}

const styleRow = (kitchenId: string, itemId: string, style: Style, position: number) => ({
  id: style.id,
  kitchen_id: kitchenId,
  item_id: itemId,
  position,
  version: style.version,
  ...styleColumns(style),
})

export async function insertStyle(
  database: Sequelize,
  kitchenId: string,
  itemId: string,
  style: Style,
  position: number,
  transaction: Transaction,
): Promise<void> {
  await insertRows(database, 'styles', [styleRow(kitchenId, itemId, style, position)], transaction)
  await insertRows(database, 'style_piles', stylePileRows(kitchenId, style), transaction)
}

/** The version of a style, held against other edits until the transaction ends; null where it is not there. */
export async function lockStyle(
  database: Sequelize,
  kitchenId: string,
  id: string,
  transaction: Transaction,
): Promise<number | null> {
  const [row] = await select(
    database,
    'SELECT version FROM styles WHERE kitchen_id = :kitchenId AND id = :id FOR UPDATE',
    { kitchenId, id },
    transaction,
  )
  return row ? number(row.version) : null
}

/** Writes what the kitchen says of a style; records made before keep their own copy. */
export async function replaceStyle(database: Sequelize, kitchenId: string, style: Style, transaction: Transaction) {
  const key = { kitchenId, id: style.id }
  await updateRow(database, 'styles', key, { ...styleColumns(style), version: style.version }, transaction)
  await database.query('DELETE FROM style_piles WHERE kitchen_id = :kitchenId AND style_id = :id', {
    replacements: key,
    transaction,
  })
  await insertRows(database, 'style_piles', stylePileRows(kitchenId, style), transaction)
}

export const replaceItem = (database: Sequelize, kitchenId: string, id: string, edit: ItemEdit) =>
  updateRow(database, 'items', { kitchenId, id }, itemColumns(edit))

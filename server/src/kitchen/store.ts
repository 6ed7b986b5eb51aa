import type { Cook, Item, Kitchen, KitchenOffer, Style } from '@fleam/contract'
import type { Sequelize, Transaction } from 'sequelize'
import { insertRows, number, numberOrNull, type Row, select, text } from '../database/rows.ts'
import { offerFromRow, offerToRow } from '../fabrication/offer-rows.ts'

type StylePile = Style['piles'][number]

const kitchenFromRow = (row: Row): Kitchen => ({
  id: text(row.id),
  name: text(row.name),
  currency: text(row.currency),
  units: row.units as Kitchen['units'],
  timeZone: text(row.time_zone),
  wagePerHour: number(row.wage_per_hour),
})

export async function kitchens(database: Sequelize): Promise<Kitchen[]> {
  return (await select(database, 'SELECT * FROM kitchens ORDER BY created_at, id', {})).map(kitchenFromRow)
}

export async function kitchenById(database: Sequelize, kitchenId: string): Promise<Kitchen | null> {
  const [row] = await select(database, 'SELECT * FROM kitchens WHERE id = :kitchenId', { kitchenId })
  return row ? kitchenFromRow(row) : null
}

export function insertKitchen(database: Sequelize, kitchen: Kitchen, transaction: Transaction): Promise<void> {
  const { id, name, currency, units } = kitchen
  const row = { id, name, currency, units, time_zone: kitchen.timeZone, wage_per_hour: kitchen.wagePerHour }
  return insertRows(database, 'kitchens', [row], transaction)
}

export async function cooks(database: Sequelize, kitchenId: string): Promise<Cook[]> {
  const rows = await select(database, 'SELECT * FROM cooks WHERE kitchen_id = :kitchenId ORDER BY name', { kitchenId })
  return rows.map((row) => ({ id: text(row.id), name: text(row.name), wagePerHour: number(row.wage_per_hour) }))
}

export function insertCook(database: Sequelize, kitchenId: string, cook: Cook): Promise<void> {
  const row = { id: cook.id, kitchen_id: kitchenId, name: cook.name, wage_per_hour: cook.wagePerHour }
  return insertRows(database, 'cooks', [row])
}

const stylePileFromRow = (row: Row): StylePile => ({
  name: text(row.name),
  class: row.class as StylePile['class'],
  weighing: row.weighing as StylePile['weighing'],
  expectedShare: numberOrNull(row.expected_share),
  portionsPerUnit: numberOrNull(row.portions_per_unit),
  bounds: row.target === null ? null : { target: number(row.target), low: number(row.low), high: number(row.high) },
  landmark: text(row.landmark),
  valuePerKg: numberOrNull(row.value_per_kg),
  usedShare: numberOrNull(row.used_share),
  processingPerKg: numberOrNull(row.processing_per_kg),
})

function stylePileRows(kitchenId: string, style: Style) {
  return style.piles.map((pile, position) => ({
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
    value_per_kg: pile.valuePerKg,
    used_share: pile.usedShare,
    processing_per_kg: pile.processingPerKg,
  }))
}

/** Items of a kitchen with their styles and piles, each in its own order. */
export async function items(database: Sequelize, kitchenId: string): Promise<Item[]> {
  const [itemRows, styleRows, pileRows] = await Promise.all([
    select(database, 'SELECT * FROM items WHERE kitchen_id = :kitchenId ORDER BY name', { kitchenId }),
    select(database, 'SELECT * FROM styles WHERE kitchen_id = :kitchenId ORDER BY id', { kitchenId }),
    select(database, 'SELECT * FROM style_piles WHERE kitchen_id = :kitchenId ORDER BY style_id, position', {
      kitchenId,
    }),
  ])
  const stylesOf = (itemId: string) =>
    styleRows
      .filter((style) => style.item_id === itemId)
      .map((style) => ({
        id: text(style.id),
        name: text(style.name),
        minutesPerUnit: number(style.minutes_per_unit),
        piles: pileRows.filter((pile) => pile.style_id === style.id).map(stylePileFromRow),
      }))
  return itemRows.map((row) => ({
    id: text(row.id),
    name: text(row.name),
    species: row.species as Item['species'],
    unitName: { one: text(row.unit_one), many: text(row.unit_many) },
    unitWeight: { low: number(row.unit_low), usual: number(row.unit_usual), high: number(row.unit_high) },
    styles: stylesOf(text(row.id)),
  }))
}

export async function insertItem(database: Sequelize, kitchenId: string, item: Item, transaction: Transaction) {
  const row = {
    id: item.id,
    kitchen_id: kitchenId,
    name: item.name,
    species: item.species,
    unit_one: item.unitName.one,
    unit_many: item.unitName.many,
    unit_low: item.unitWeight.low,
    unit_usual: item.unitWeight.usual,
    unit_high: item.unitWeight.high,
  }
  await insertRows(database, 'items', [row], transaction)
  for (const style of item.styles) {
    const styleRow = {
      id: style.id,
      kitchen_id: kitchenId,
      item_id: item.id,
      name: style.name,
      minutes_per_unit: style.minutesPerUnit,
    }
    await insertRows(database, 'styles', [styleRow], transaction)
    await insertRows(database, 'style_piles', stylePileRows(kitchenId, style), transaction)
  }
}

/** Changes what the kitchen says of a style; records made before keep their own copy. */
export async function replaceStyle(database: Sequelize, kitchenId: string, style: Style, transaction: Transaction) {
  const key = { kitchenId, id: style.id }
  await database.query(
    'UPDATE styles SET name = :name, minutes_per_unit = :minutes WHERE kitchen_id = :kitchenId AND id = :id',
    { replacements: { ...key, name: style.name, minutes: style.minutesPerUnit }, transaction },
  )
  await database.query('DELETE FROM style_piles WHERE kitchen_id = :kitchenId AND style_id = :id', {
    replacements: key,
    transaction,
  })
  await insertRows(database, 'style_piles', stylePileRows(kitchenId, style), transaction)
}

const kitchenOfferFromRow = (row: Row): KitchenOffer => ({
  id: text(row.id),
  styleId: text(row.style_id),
  supplier: text(row.supplier),
  offer: offerFromRow(row),
})

export async function offers(database: Sequelize, kitchenId: string): Promise<KitchenOffer[]> {
  const rows = await select(database, 'SELECT * FROM offers WHERE kitchen_id = :kitchenId ORDER BY id', { kitchenId })
  return rows.map(kitchenOfferFromRow)
}

export function insertOffer(database: Sequelize, kitchenId: string, each: KitchenOffer): Promise<void> {
  const row = { id: each.id, kitchen_id: kitchenId, style_id: each.styleId, supplier: each.supplier }
  return insertRows(database, 'offers', [{ ...row, ...offerToRow(each.offer) }])
}

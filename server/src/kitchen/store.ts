import type { Cook, Kitchen, KitchenOffer } from '@fleam/contract'
import type { Sequelize, Transaction } from 'sequelize'
import { insertRows, number, type Row, select, text } from '../database/rows.ts'
import { offerFromRow, offerToRow } from '../fabrication/offer-rows.ts'

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

import type { ChartQuery, LogbookSeries } from '@fleam/contract'
import { addDays, type ChangeRecord, type Day, type DoubtRecord, pricePerKg } from '@fleam/core'
import { QueryTypes } from 'sequelize'
import { type Scope, within } from '../scope/index.ts'
import { FROM_RECORDS, NAME, whereOf } from './where.ts'

/** Sixteen weeks: what is looked at for changes. */
const CHANGE_DAYS = 112

export interface NamedChangeRecord extends ChangeRecord {
  itemName: string
  styleName: string
  cookName: string | null
  supplierName: string | null
}

/** Counted records of the last sixteen weeks, as far as they say whether something changed. */
export function changeRecords(scope: Scope, today: Day): Promise<NamedChangeRecord[]> {
  const where = whereOf(scope, { from: addDays(today, 1 - CHANGE_DAYS), to: today })
  return scope.database.sequelize.query<NamedChangeRecord>(
    `SELECT CAST(fabrications.date AS CHAR) AS day,
       COALESCE(fabrications.item_id, fabrications.item) AS item,
       COALESCE(fabrications.style_id, fabrications.style) AS style,
       COALESCE(fabrications.cook_id, fabrications.cook) AS cook,
       COALESCE(fabrications.supplier_id, fabrications.supplier) AS supplier,
       ${NAME.item} AS itemName, ${NAME.style} AS styleName, ${NAME.cook} AS cookName,
       ${NAME.supplier} AS supplierName,
       figures.ap AS ap, figures.primary_weight AS primaryWeight, figures.portion_yield AS portionYield,
       figures.minutes_per_unit AS minutesPerUnit, figures.spent AS spent
     FROM ${FROM_RECORDS} WHERE ${where.sql} AND figures.is_counted`,
    { type: QueryTypes.SELECT, replacements: where.values, ...within(scope) },
  )
}

export interface NamedDoubtRecord extends DoubtRecord {
  itemName: string
  styleName: string
  cookName: string | null
}

interface DoubtRow extends Omit<NamedDoubtRecord, 'isSettled' | 'pricePerKg'> {
  isSettled: number
  priceFrom: string
  pricePer: string
  priceAmount: number
}

/** Every closed record that is not left out, as far as it can be doubted, oldest first. */
export async function doubtRecords(scope: Scope): Promise<NamedDoubtRecord[]> {
  const where = whereOf(scope, {})
  const rows = await scope.database.sequelize.query<DoubtRow>(
    `SELECT fabrications.id AS id, CAST(fabrications.date AS CHAR) AS day,
       COALESCE(fabrications.item_id, fabrications.item) AS item,
       COALESCE(fabrications.style_id, fabrications.style) AS style,
       COALESCE(fabrications.cook_id, fabrications.cook) AS cook,
       ${NAME.item} AS itemName, ${NAME.style} AS styleName, ${NAME.cook} AS cookName,
       figures.ap AS ap, figures.portion_yield AS portionYield, figures.minutes_per_unit AS minutesPerUnit,
       figures.balance AS balance, fabrications.confirmed AS isSettled,
       fabrications.price_from AS priceFrom, fabrications.price_per AS pricePer,
       fabrications.price_amount AS priceAmount
     FROM ${FROM_RECORDS} WHERE ${where.sql} AND fabrications.left_out IS NULL
     ORDER BY fabrications.date, fabrications.id`,
    { type: QueryTypes.SELECT, replacements: where.values, ...within(scope) },
  )
  return rows.map(({ isSettled, priceFrom, pricePer, priceAmount, ...row }) => ({
    ...row,
    isSettled: Boolean(isSettled),
    pricePerKg:
      priceFrom === 'none'
        ? null
        : pricePer === 'kg'
          ? priceAmount
          : pricePer === 'lb'
            ? pricePerKg(priceAmount, 'imperial')
            : null,
  }))
}

/** A chart of more points says no more. */
const MAX_POINTS = 5_000

/** Counted records of an item and style, in the order of their days. */
export async function seriesOf(scope: Scope, query: ChartQuery): Promise<LogbookSeries['points']> {
  const where = whereOf(scope, query)
  const rows = await scope.database.sequelize.query<LogbookSeries['points'][number]>(
    `SELECT fabrications.id AS id, CAST(fabrications.date AS CHAR) AS day, figures.portion_yield AS value,
       JSON_LENGTH(fabrications.causes) AS causes
     FROM ${FROM_RECORDS} WHERE ${where.sql} AND figures.is_counted
     ORDER BY fabrications.date DESC, fabrications.id DESC LIMIT ${MAX_POINTS}`,
    { type: QueryTypes.SELECT, replacements: where.values, ...within(scope) },
  )
  return rows.reverse()
}

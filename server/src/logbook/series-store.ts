import type { ChartQuery } from '@fleam/contract/logbook/schemas'
import { addDays, type Day } from '@fleam/core/calendar'
import type { ChangeRecord, ChartPoint, SharedPile } from '@fleam/core/logbook'
import { QueryTypes } from 'sequelize'
import { type Scope, within } from '../scope/index.ts'
import { whereOf } from './where.ts'

/** Sixteen weeks: what is looked at for changes. */
const CHANGE_DAYS = 112

/** Counted records of the last sixteen weeks, as far as they say whether something changed. */
export function changeRecords(scope: Scope, today: Day): Promise<ChangeRecord[]> {
  const where = whereOf(scope, { from: addDays(today, 1 - CHANGE_DAYS), to: today })
  return scope.database.sequelize.query<ChangeRecord>(
    `SELECT CAST(figures.date AS CHAR) AS day, figures.item_key AS item, figures.style_key AS style,
       figures.cook_key AS cook, figures.supplier_key AS supplier,
       figures.ap AS ap, figures.primary_weight AS primaryWeight, figures.portion_yield AS portionYield,
       figures.minutes_per_unit AS minutesPerUnit, figures.spent AS spent
     FROM fabrication_figures AS figures WHERE ${where.sql} AND figures.is_counted`,
    { type: QueryTypes.SELECT, replacements: where.values, ...within(scope) },
  )
}

export interface SeriesPoint extends ChartPoint {
  causes: number
  isNewBaseline: boolean
}

/** Counted records of an item and style, in the order of their days. */
export async function seriesOf(scope: Scope, query: ChartQuery): Promise<SeriesPoint[]> {
  const where = whereOf(scope, query)
  return scope.database.sequelize.query<SeriesPoint>(
    `SELECT figures.fabrication_id AS id, CAST(figures.date AS CHAR) AS day, figures.portion_yield AS value,
       figures.causes AS causes, figures.is_baseline AS isNewBaseline
     FROM fabrication_figures AS figures WHERE ${where.sql} AND figures.is_counted
     ORDER BY figures.date, figures.fabrication_id`,
    { type: QueryTypes.SELECT, replacements: where.values, ...within(scope) },
  )
}

/** Shares of the piles of some records. */
export async function pileShares(scope: Scope, ids: readonly string[]): Promise<(SharedPile & { id: string })[]> {
  if (ids.length === 0) return []
  return scope.database.sequelize.query<SharedPile & { id: string }>(
    `SELECT fabrication_id AS id, pile_key AS \`key\`, name, share FROM fabrication_pile_figures
     WHERE kitchen_id = :kitchenId AND fabrication_id IN (:ids) ORDER BY fabrication_id, position`,
    { type: QueryTypes.SELECT, replacements: { kitchenId: scope.kitchen.id, ids }, ...within(scope) },
  )
}

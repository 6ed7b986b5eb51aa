import type { LogbookTurns } from '@fleam/contract/logbook/findings'
import type { LogbookFilters } from '@fleam/contract/logbook/schemas'
import { mondayOfWeek } from '@fleam/core/calendar'
import { type ComparedRecord, oddWeeks, summariseLogbook, turnsOf } from '@fleam/core/logbook'
import { QueryTypes } from 'sequelize'
import { type Scope, within } from '../scope/index.ts'
import { refuseFilters } from './filters.ts'
import { namesOf, namesOfStyle } from './names.ts'
import { sumsOf } from './summary-store.ts'
import { whereOf } from './where.ts'

/** Counted records that were compared with an offer, oldest first. */
function comparedRecords(scope: Scope, filters: LogbookFilters): Promise<ComparedRecord[]> {
  const where = whereOf(scope, filters)
  return scope.database.sequelize.query<ComparedRecord>(
    `SELECT figures.fabrication_id AS id, CAST(figures.date AS CHAR) AS day, figures.item_key AS item,
       figures.style_key AS style, figures.cost_per_portion AS costPerPortion,
       figures.saving_per_portion AS savingPerPortion
     FROM fabrication_figures AS figures
     WHERE ${where.sql} AND figures.is_counted AND figures.saving_per_portion IS NOT NULL
       AND figures.cost_per_portion IS NOT NULL
     ORDER BY figures.date, figures.fabrication_id`,
    { type: QueryTypes.SELECT, replacements: where.values, ...within(scope) },
  )
}

/** When the cheaper way was another, and weeks that lost far more than others: of all records, whatever span is looked at. */
export async function turns(scope: Scope, { from: _from, to: _to, ...filters }: LogbookFilters): Promise<LogbookTurns> {
  await refuseFilters(scope, filters)
  const [records, { sums }, names] = await Promise.all([
    comparedRecords(scope, filters),
    sumsOf(scope, filters, 'week', null),
    namesOf(scope),
  ])
  const weeks = summariseLogbook(sums, []).groups.flatMap(({ key, records: count, money }) =>
    key === null ? [] : [{ week: key, records: count, money }],
  )
  return {
    turns: turnsOf(records).map((turn) => ({ ...turn, ...namesOfStyle(names, turn) })),
    weeks: oddWeeks(weeks).map((odd) => ({ ...odd, monday: mondayOfWeek(odd.week) })),
  }
}

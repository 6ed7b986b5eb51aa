import { setImmediate as nextTurn } from 'node:timers/promises'
import type { LogbookSeasons } from '@fleam/contract/logbook/findings'
import type { LogbookFilters } from '@fleam/contract/logbook/schemas'
import { type SeasonShare, seasonsOf } from '@fleam/core/logbook'
import { QueryTypes } from 'sequelize'
import { type Scope, within } from '../scope/index.ts'
import { refuseFilters } from './filters.ts'
import { namesOf, namesOfStyle } from './names.ts'
import { whereOf } from './where.ts'

/** Shares of every pile of the counted records that filters let through. */
function seasonShares(scope: Scope, filters: LogbookFilters): Promise<SeasonShare[]> {
  const where = whereOf(scope, filters)
  return scope.database.sequelize.query<SeasonShare>(
    `SELECT figures.item_key AS item, figures.style_key AS style, piles.pile_key AS pile, piles.name AS name,
       CAST(figures.date AS CHAR) AS day, AVG(piles.share) AS share
     FROM fabrication_figures AS figures JOIN fabrication_pile_figures AS piles
       ON piles.kitchen_id = figures.kitchen_id AND piles.fabrication_id = figures.fabrication_id
     WHERE ${where.sql} AND figures.is_counted
     GROUP BY figures.item_no, figures.style_no, piles.pile_key, figures.date`,
    { type: QueryTypes.SELECT, replacements: where.values, ...within(scope) },
  )
}

/** Piles that go up and down with the year: of all records, whatever span is looked at. */
export async function seasons(
  scope: Scope,
  { from: _from, to: _to, ...filters }: LogbookFilters,
): Promise<LogbookSeasons> {
  await refuseFilters(scope, filters)
  const [shares, names] = await Promise.all([seasonShares(scope, filters), namesOf(scope)])
  await nextTurn()
  return { seasons: seasonsOf(shares).map((season) => ({ ...season, ...namesOfStyle(names, season) })) }
}

import type { LogbookFilters, SummaryQuery } from '@fleam/contract'
import { type LogbookGroup, MONEY_VIEWS, type RecordMoney, type SummaryCell } from '@fleam/core'
import { QueryTypes } from 'sequelize'
import { type Scope, within } from '../scope/index.ts'
import { FROM_RECORDS, NAME, whereOf } from './where.ts'

/** What a member of a group is told by, and how it is called; a key of its own where nobody has to name it. */
const MEMBERS: Readonly<Record<LogbookGroup | 'none', { key: string; name: string }>> = {
  item: {
    key: 'COALESCE(fabrications.item_id, fabrications.item)',
    name: `MAX(${NAME.item})`,
  },
  style: {
    key: 'COALESCE(fabrications.style_id, fabrications.style)',
    name: `MAX(${NAME.style})`,
  },
  cook: {
    key: 'COALESCE(fabrications.cook_id, fabrications.cook)',
    name: `MAX(${NAME.cook})`,
  },
  supplier: {
    key: 'COALESCE(fabrications.supplier_id, fabrications.supplier)',
    name: `MAX(${NAME.supplier})`,
  },
  month: { key: "DATE_FORMAT(fabrications.date, '%Y-%m')", name: "DATE_FORMAT(MIN(fabrications.date), '%Y-%m')" },
  week: { key: "DATE_FORMAT(fabrications.date, '%x-W%v')", name: "DATE_FORMAT(MIN(fabrications.date), '%x-W%v')" },
  season: {
    key: "ELT(MOD(MONTH(fabrications.date), 12) DIV 3 + 1, 'winter', 'spring', 'summer', 'autumn')",
    name: "MAX(ELT(MOD(MONTH(fabrications.date), 12) DIV 3 + 1, 'winter', 'spring', 'summer', 'autumn'))",
  },
  size: { key: 'CAST(figures.size_from AS CHAR)', name: 'CAST(MAX(figures.size_from) AS CHAR)' },
  stiffness: { key: 'CAST(CAST(rigor.value AS INT) AS CHAR)', name: 'CAST(CAST(MAX(rigor.value) AS INT) AS CHAR)' },
  none: { key: 'NULL', name: 'NULL' },
}

/** How stiff the fish was, as it was found at the door. */
const RIGOR_JOIN = `LEFT JOIN lot_checks AS rigor
  ON rigor.kitchen_id = fabrications.kitchen_id AND rigor.lot_id = fabrications.lot_id
  AND rigor.check_id = 'stiffness'`

const COLUMN_OF: Readonly<Record<keyof RecordMoney, string>> = {
  spent: 'spent',
  saved: 'saved',
  givenAway: 'given_away',
  waste: 'waste',
  unused: 'unused',
  demoted: 'demoted',
  unaccounted: 'unaccounted',
}

export interface NamedCell extends SummaryCell {
  name: string | null
}

interface CellRow extends Record<keyof RecordMoney, number> {
  member: string | null
  name: string | null
  item: string
  style: string
  records: number
  units: string | number
  ap: number
  primaryWeight: number
  yieldMean: number
  yieldVariance: number
  minutesCount: number
  minutesMean: number | null
  minutesVariance: number | null
}

/** Records that count, summed by the database: one row for each member, item and style. */
export async function cellsOf(
  scope: Scope,
  filters: LogbookFilters,
  group: SummaryQuery['group'],
): Promise<NamedCell[]> {
  const { key, name } = MEMBERS[group]
  const where = whereOf(scope, filters)
  const rows = await scope.database.sequelize.query<CellRow>(
    `SELECT ${key} AS member, ${name} AS name,
       COALESCE(fabrications.item_id, fabrications.item) AS item,
       COALESCE(fabrications.style_id, fabrications.style) AS style,
       COUNT(*) AS records, COALESCE(SUM(figures.units), 0) AS units,
       SUM(figures.ap) AS ap, SUM(figures.primary_weight) AS primaryWeight,
       AVG(figures.portion_yield) AS yieldMean, VAR_POP(figures.portion_yield) AS yieldVariance,
       COUNT(figures.minutes_per_unit) AS minutesCount,
       AVG(figures.minutes_per_unit) AS minutesMean, VAR_POP(figures.minutes_per_unit) AS minutesVariance,
       ${MONEY_VIEWS.map((view) => `SUM(figures.${COLUMN_OF[view]}) AS ${view}`).join(', ')}
     FROM ${FROM_RECORDS} ${group === 'stiffness' ? RIGOR_JOIN : ''}
     WHERE ${where.sql} AND figures.is_counted
     GROUP BY 1, item, style`,
    { type: QueryTypes.SELECT, replacements: where.values, ...within(scope) },
  )
  return rows.map(cellOfRow)
}

function cellOfRow(row: CellRow): NamedCell {
  const { member, name, item, style, records, units, ap, primaryWeight } = row
  return {
    member,
    name,
    comparable: JSON.stringify([item, style]),
    records,
    units: Number(units),
    ap,
    primaryWeight,
    portionYield: { n: records, mean: row.yieldMean, squares: row.yieldVariance * records },
    minutesPerUnit: {
      n: row.minutesCount,
      mean: row.minutesMean ?? 0,
      squares: (row.minutesVariance ?? 0) * row.minutesCount,
    },
    money: Object.fromEntries(MONEY_VIEWS.map((view) => [view, row[view]])) as Record<keyof RecordMoney, number>,
  }
}

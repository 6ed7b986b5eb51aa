import type { LogbookFilters, SummaryQuery } from '@fleam/contract/logbook/schemas'
import {
  type LogbookGroup,
  type MemberSums,
  type MemberYields,
  MONEY_VIEWS,
  type RecordMoney,
} from '@fleam/core/logbook'
import { QueryTypes } from 'sequelize'
import { type Scope, within } from '../scope/index.ts'
import { keysOfNumbers, type Names, nameOf, namesOf } from './names.ts'
import { KEY, type NamedKind, NUMBER, whereOf } from './where.ts'

/** What a member of a group is told by in a row of figures: whole numbers where a key takes long to write. */
const MEMBERS: Readonly<Record<LogbookGroup | 'none', string>> = {
  ...NUMBER,
  month: 'EXTRACT(YEAR_MONTH FROM figures.date)',
  week: 'YEARWEEK(figures.date, 3)',
  season: 'MOD(MONTH(figures.date), 12) DIV 3',
  size: 'figures.size_from',
  stiffness: 'CAST(rigor.value AS INT)',
  none: 'NULL',
}

const SEASONS = ['winter', 'spring', 'summer', 'autumn'] as const

/** Whether the groups are of something that has a name. */
export const isNamed = (group: SummaryQuery['group']): group is NamedKind => group in KEY

/** How the key that the database told a member by is told outside: `2026-11`, `2026-W48`, `winter`. */
function keyOf(group: SummaryQuery['group'], told: Told): string | null {
  if (told === null) return null
  const text = String(told)
  if (group === 'month') return `${text.slice(0, 4)}-${text.slice(4)}`
  if (group === 'week') return `${text.slice(0, 4)}-W${text.slice(4)}`
  return group === 'season' ? (SEASONS[Number(told)] ?? null) : text
}
type Told = string | number | null

/** How stiff the fish was, as it was found at the door. */
const RIGOR_JOIN = `LEFT JOIN fabrications ON fabrications.kitchen_id = figures.kitchen_id
    AND fabrications.id = figures.fabrication_id
  LEFT JOIN lot_checks AS rigor
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

interface SumsRow extends Record<keyof RecordMoney, number> {
  member: Told
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

interface YieldsRow {
  member: Told
  item: number
  style: number
  n: number
  mean: number
  variance: number
}

/** Records that count, summed by the database: by member, and their yields by member, item and style. */
export async function sumsOf(
  scope: Scope,
  filters: LogbookFilters,
  group: SummaryQuery['group'],
  names: Names | null,
): Promise<{ sums: MemberSums[]; yields: MemberYields[] }> {
  const where = whereOf(scope, filters)
  const from = `fabrication_figures AS figures ${group === 'stiffness' ? RIGOR_JOIN : ''}
     WHERE ${where.sql} AND figures.is_counted`
  const options = { type: QueryTypes.SELECT as const, replacements: where.values, ...within(scope) }
  const { sequelize } = scope.database
  const [sums, yields] = await Promise.all([
    sequelize.query<SumsRow>(
      `SELECT ${MEMBERS[group]} AS member, COUNT(*) AS records, COALESCE(SUM(figures.units), 0) AS units,
         SUM(figures.ap) AS ap, SUM(figures.primary_weight) AS primaryWeight,
         AVG(figures.portion_yield) AS yieldMean, VAR_POP(figures.portion_yield) AS yieldVariance,
         COUNT(figures.minutes_per_unit) AS minutesCount,
         AVG(figures.minutes_per_unit) AS minutesMean, VAR_POP(figures.minutes_per_unit) AS minutesVariance,
         ${MONEY_VIEWS.map((view) => `SUM(figures.${COLUMN_OF[view]}) AS ${view}`).join(', ')}
       FROM ${from} GROUP BY 1`,
      options,
    ),
    // Nobody is compared with others where there is but one member.
    group === 'none'
      ? []
      : sequelize.query<YieldsRow>(
          `SELECT ${MEMBERS[group]} AS member, figures.item_no AS item, figures.style_no AS style, COUNT(*) AS n,
             AVG(figures.portion_yield) AS mean, VAR_POP(figures.portion_yield) AS variance
           FROM ${from} GROUP BY 1, 2, 3`,
          options,
        ),
  ])
  const numbers = sums.flatMap(({ member }) => (member === null ? [] : [Number(member)]))
  const keys = names && isNamed(group) ? await keysOfNumbers(scope, group, names, numbers) : null
  const memberOf = (told: Told) => (told !== null && keys ? (keys.get(Number(told)) ?? null) : keyOf(group, told))
  return {
    sums: sums.map((row) => ({ ...sumsOfRow(row), member: memberOf(row.member) })),
    yields: yields.map(({ member, item, style, n, mean, variance }) => ({
      member: memberOf(member),
      comparable: `${item} ${style}`,
      portionYield: { n, mean, squares: variance * n },
    })),
  }
}

function sumsOfRow({
  member: _member,
  units,
  records,
  ap,
  primaryWeight,
  ...row
}: SumsRow): Omit<MemberSums, 'member'> {
  return {
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

/** Counted records of one supplier, item and style, summed. Grams and money. */
export interface StyleSums {
  supplier: string | null
  item: string
  style: string
  itemName: string
  styleName: string
  records: number
  ap: number
  primaryWeight: number
  spent: number
  portionYield: number | null
}

/** Records that count, summed by supplier, item and style: of another mix of styles a kilo costs another price. */
export async function styleSums(scope: Scope, filters: LogbookFilters): Promise<StyleSums[]> {
  const where = whereOf(scope, filters)
  const [rows, names] = await Promise.all([
    scope.database.sequelize.query<Omit<StyleSums, 'itemName' | 'styleName'>>(
      `SELECT MIN(figures.supplier_key) AS supplier, MIN(figures.item_key) AS item, MIN(figures.style_key) AS style,
         COUNT(*) AS records, SUM(figures.ap) AS ap, SUM(figures.primary_weight) AS primaryWeight,
         SUM(figures.spent) AS spent, AVG(figures.portion_yield) AS portionYield
       FROM fabrication_figures AS figures WHERE ${where.sql} AND figures.is_counted
       GROUP BY figures.supplier_no, figures.item_no, figures.style_no`,
      { type: QueryTypes.SELECT, replacements: where.values, ...within(scope) },
    ),
    namesOf(scope, ['item', 'style']),
  ])
  return rows.map((row) => ({
    ...row,
    itemName: nameOf(names, 'item', row.item),
    styleName: nameOf(names, 'style', row.style),
  }))
}

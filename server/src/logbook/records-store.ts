import type {
  LogbookExportQuery,
  LogbookPage,
  LogbookRecord,
  LogbookSort,
  RecordsQuery,
} from '@fleam/contract/logbook/schemas'
import { QueryTypes } from 'sequelize'
import { parsedJsonOf } from '../database/index.ts'
import { type Scope, within } from '../scope/index.ts'
import { idsNamed, joinedNames, type Names, nameOf, namesOf } from './names.ts'
import { KEY, type NamedKind, readable, type Where, whereOf } from './where.ts'

/** By what records are put in order: never null, so that each has its place. What is not known comes last or first. */
const SORTED_BY: Readonly<Record<Exclude<LogbookSort, NamedKind>, string>> = {
  date: 'figures.date',
  units: 'COALESCE(figures.units, -1)',
  portionYield: 'figures.portion_yield',
  utilisation: 'figures.utilisation',
  costPerPortion: 'COALESCE(figures.cost_per_portion, -1e300)',
  saved: 'figures.saved',
  givenAway: 'figures.given_away',
  waste: 'figures.waste',
  minutesPerUnit: 'COALESCE(figures.minutes_per_unit, -1)',
}

const isName = (sort: LogbookSort): sort is NamedKind => sort in KEY
const placeOf = (sort: LogbookSort) =>
  isName(sort) ? `COALESCE(${readable('named.name')}, ${readable(KEY[sort])}, '')` : SORTED_BY[sort]

/** A number to its last digit: the driver reads one that arrives as a number a digit off. */
const toLastDigit = (column: string) => `CAST(${column} AS CHAR)`

/** Where a page ends: the next one begins behind it, however many there are before. */
export interface PageEnd {
  /** What it is sorted by, to its last digit. */
  value: string
  id: string
}

const EXACT = {
  ap: 'ap',
  portionYield: 'portion_yield',
  utilisation: 'utilisation',
  costPerPortion: 'cost_per_portion',
  savingPerPortion: 'saving_per_portion',
  minutesPerUnit: 'minutes_per_unit',
  spent: 'spent',
  saved: 'saved',
  givenAway: 'given_away',
  waste: 'waste',
  unused: 'unused',
  demoted: 'demoted',
  unaccounted: 'unaccounted',
} as const

type RecordRow = Omit<
  LogbookRecord,
  'money' | 'planned' | 'item' | 'style' | 'cook' | 'supplier' | keyof typeof EXACT
> &
  PlannedRow &
  Record<NamedKind, string> &
  Record<keyof typeof EXACT, string | null>

/** What its plan had for a record: all of it, or nothing. */
interface PlannedRow {
  planId: string | null
  plan: string | null
  plannedUnits: number | null
  plannedMinutes: string | null
}

/** Ids of the records that filters let through, newest first; one more than `most` where there are more. */
export async function idsOf(scope: Scope, query: LogbookExportQuery, most: number): Promise<string[]> {
  const where = await whereFound(scope, query)
  const rows = await scope.database.sequelize.query<{ id: string }>(
    `SELECT figures.fabrication_id AS id FROM fabrication_figures AS figures WHERE ${where.sql}
     ORDER BY figures.date DESC, figures.fabrication_id DESC LIMIT :limit`,
    { type: QueryTypes.SELECT, replacements: { ...where.values, limit: most + 1 }, ...within(scope) },
  )
  return rows.map(({ id }) => id)
}

/** One page of records that filters let through, behind where the page before ended. */
export async function recordsPage(
  scope: Scope,
  query: RecordsQuery,
  after: PageEnd | null,
): Promise<Pick<LogbookPage, 'rows' | 'total'> & { end: PageEnd | null }> {
  const where = await whereFound(scope, query)
  const [places, total, names] = await Promise.all([
    placesOf(scope, query, where, after),
    totalOf(scope, where),
    namesOf(scope),
  ])
  const shown = places.slice(0, query.limit)
  const last = places.length > query.limit ? shown.at(-1) : undefined
  const rows = await wholeRecords(
    scope,
    shown.map(({ id }) => id),
    names,
  )
  return { rows, total, end: last ? { value: last.place, id: last.id } : null }
}

/** The narrow rows of a page, in their order: what is wide is read for these alone. */
function placesOf(scope: Scope, query: RecordsQuery, where: Where, after: PageEnd | null) {
  const place = placeOf(query.sort)
  const [sign, direction] = query.order === 'ascending' ? ['>', 'ASC'] : ['<', 'DESC']
  const isText = isName(query.sort) || query.sort === 'date'
  const before = isText ? ':place' : 'CAST(:place AS DOUBLE)'
  // The first part alone lets an index begin where the page before ended.
  const behind =
    after === null
      ? ''
      : `AND ${place} ${sign}= ${before} AND (${place} ${sign} ${before} OR figures.fabrication_id ${sign} :id)`
  return scope.database.sequelize.query<{ id: string; place: string }>(
    `SELECT figures.fabrication_id AS id, ${toLastDigit(place)} AS place
     FROM fabrication_figures AS figures ${isName(query.sort) ? joinedNames(query.sort) : ''}
     WHERE ${where.sql} ${behind}
     ORDER BY ${place} ${direction}, figures.fabrication_id ${direction} LIMIT :limit`,
    {
      type: QueryTypes.SELECT,
      replacements: { ...where.values, limit: query.limit + 1, place: after?.value ?? null, id: after?.id ?? null },
      ...within(scope),
    },
  )
}

async function totalOf(scope: Scope, where: Where): Promise<number> {
  const [row] = await scope.database.sequelize.query<{ total: number }>(
    `SELECT COUNT(*) AS total FROM fabrication_figures AS figures WHERE ${where.sql}`,
    { type: QueryTypes.SELECT, replacements: where.values, ...within(scope) },
  )
  return row?.total ?? 0
}

/** Records with all that is shown of them, in the order of their ids. */
async function wholeRecords(scope: Scope, ids: readonly string[], names: Names): Promise<LogbookRecord[]> {
  if (ids.length === 0) return []
  const rows = await scope.database.sequelize.query<RecordRow>(
    `SELECT figures.fabrication_id AS id, CAST(figures.date AS CHAR) AS date,
       figures.item_key AS item, figures.style_key AS style, figures.cook_key AS cook, figures.supplier_key AS supplier,
       fabrications.item_id AS itemId, fabrications.style_id AS styleId, fabrications.cook_id AS cookId,
       fabrications.supplier_id AS supplierId, fabrications.lot_id AS lotId, fabrications.lot AS lot,
       fabrications.currency AS currency, fabrications.left_out AS leftOut, figures.is_counted AS isCounted,
       figures.balance AS balance, figures.causes AS causes, figures.units AS units, beams.beam AS beam,
       planned.plan_id AS planId, plans.name AS plan, planned.units AS plannedUnits,
       ${toLastDigit('planned.minutes')} AS plannedMinutes,
       ${Object.entries(EXACT)
         .map(([name, column]) => `${toLastDigit(`figures.${column}`)} AS ${name}`)
         .join(', ')}
     FROM fabrication_figures AS figures
     JOIN fabrications ON fabrications.kitchen_id = figures.kitchen_id AND fabrications.id = figures.fabrication_id
     JOIN fabrication_beams AS beams
       ON beams.kitchen_id = figures.kitchen_id AND beams.fabrication_id = figures.fabrication_id
     LEFT JOIN planned_fabrications AS planned
       ON planned.kitchen_id = figures.kitchen_id AND planned.fabrication_id = figures.fabrication_id
     LEFT JOIN order_plans AS plans ON plans.kitchen_id = planned.kitchen_id AND plans.id = planned.plan_id
     WHERE figures.kitchen_id = :kitchenId AND figures.fabrication_id IN (:ids)`,
    { type: QueryTypes.SELECT, replacements: { kitchenId: scope.kitchen.id, ids }, ...within(scope) },
  )
  const byId = new Map(rows.map((row) => [row.id, recordOfRow(row, names)]))
  return ids.flatMap((id) => byId.get(id) ?? [])
}

/** By what records are found: every word has to stand somewhere in the names or in what was written. */
async function whereFound(scope: Scope, query: LogbookExportQuery): Promise<Where> {
  const where = whereOf(scope, query)
  const sought = query.words.split(/\s+/).filter((word) => word !== '')
  const conditions = query.counted === 'all' ? [] : [`AND figures.is_counted = ${query.counted === 'yes' ? 1 : 0}`]
  const values = { ...where.values }
  if (query.id) {
    conditions.push('AND figures.fabrication_id IN (:ids)')
    values.ids = [query.id].flat()
  }
  for (const [at, ids] of (sought.length > 0 ? await idsNamed(scope, sought) : []).entries()) {
    const found = [`figures.written LIKE :word${at}`]
    values[`word${at}`] = `%${(sought[at] as string).replace(/[\\%_]/g, (sign) => `\\${sign}`)}%`
    for (const [kind, amount] of Object.entries(ids)) {
      if (amount.length === 0) continue
      found.push(`${KEY[kind as NamedKind]} IN (:${kind}${at})`)
      values[`${kind}${at}`] = amount
    }
    conditions.push(`AND (${found.join(' OR ')})`)
  }
  return { sql: [where.sql, ...conditions].join(' '), values }
}

function recordOfRow({ planId, plan, plannedUnits, plannedMinutes, ...row }: RecordRow, names: Names): LogbookRecord {
  const exact = (name: keyof typeof EXACT) => Number(row[name])
  const maybe = (name: keyof typeof EXACT) => (row[name] === null ? null : exact(name))
  const { spent, saved, givenAway, waste, unused, demoted, unaccounted, ...record } = row
  return {
    ...record,
    item: nameOf(names, 'item', row.item),
    style: nameOf(names, 'style', row.style),
    cook: nameOf(names, 'cook', row.cook),
    supplier: nameOf(names, 'supplier', row.supplier),
    beam: parsedJsonOf(row.beam),
    planned:
      planId === null || plan === null
        ? null
        : { planId, plan, units: Number(plannedUnits), minutes: Number(plannedMinutes) },
    ap: exact('ap'),
    portionYield: exact('portionYield'),
    utilisation: exact('utilisation'),
    costPerPortion: maybe('costPerPortion'),
    savingPerPortion: maybe('savingPerPortion'),
    minutesPerUnit: maybe('minutesPerUnit'),
    money: {
      spent: Number(spent),
      saved: Number(saved),
      givenAway: Number(givenAway),
      waste: Number(waste),
      unused: Number(unused),
      demoted: Number(demoted),
      unaccounted: Number(unaccounted),
    },
  }
}

import type { LogbookExportQuery, LogbookPage, LogbookRecord, LogbookSort, RecordsQuery } from '@fleam/contract'
import { QueryTypes } from 'sequelize'
import { parsedJsonOf } from '../database/index.ts'
import { type Scope, within } from '../scope/index.ts'
import { FROM_RECORDS, NAME, readable, type Where, whereOf } from './where.ts'

/** By what records are put in order: never null, so that each has its place. What is not known comes last or first. */
const SORTED_BY: Readonly<Record<LogbookSort, string>> = {
  date: 'CAST(fabrications.date AS CHAR)',
  item: NAME.item,
  style: NAME.style,
  cook: `COALESCE(${NAME.cook}, '')`,
  supplier: `COALESCE(${NAME.supplier}, '')`,
  units: 'COALESCE(figures.units, -1)',
  portionYield: 'figures.portion_yield',
  utilisation: 'figures.utilisation',
  costPerPortion: 'COALESCE(figures.cost_per_portion, -1e300)',
  saved: 'figures.saved',
  givenAway: 'figures.given_away',
  waste: 'figures.waste',
  minutesPerUnit: 'COALESCE(figures.minutes_per_unit, -1)',
}

const TEXT_SORTS: ReadonlySet<LogbookSort> = new Set(['date', 'item', 'style', 'cook', 'supplier'])

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

type RecordRow = Omit<LogbookRecord, 'money' | 'isCounted' | keyof typeof EXACT> & {
  isCounted: number
  place: string
} & Record<keyof typeof EXACT, string | null>

/** Ids of the records that filters let through, newest first; one more than `most` where there are more. */
export async function idsOf(scope: Scope, query: LogbookExportQuery, most: number): Promise<string[]> {
  const where = wordsWhere(whereOf(scope, query), query)
  const rows = await scope.database.sequelize.query<{ id: string }>(
    `SELECT fabrications.id AS id FROM ${FROM_RECORDS} WHERE ${where.sql}
     ORDER BY fabrications.date DESC, fabrications.id DESC LIMIT :limit`,
    { type: QueryTypes.SELECT, replacements: { ...where.values, limit: most + 1 }, ...within(scope) },
  )
  return rows.map(({ id }) => id)
}

type Wanted = Pick<RecordsQuery, 'words' | 'counted'>

/** One page of records that filters let through, behind where the page before ended. */
export async function recordsPage(
  scope: Scope,
  query: RecordsQuery,
  after: PageEnd | null,
): Promise<Pick<LogbookPage, 'rows' | 'total'> & { end: PageEnd | null }> {
  const where = wordsWhere(whereOf(scope, query), query)
  const place = SORTED_BY[query.sort]
  const [sign, direction] = query.order === 'ascending' ? ['>', 'ASC'] : ['<', 'DESC']
  const before = TEXT_SORTS.has(query.sort) ? ':place' : 'CAST(:place AS DOUBLE)'
  const behind =
    after === null ? '' : `AND (${place} ${sign} ${before} OR (${place} = ${before} AND fabrications.id ${sign} :id))`
  const options = { type: QueryTypes.SELECT as const, ...within(scope) }
  const { sequelize } = scope.database
  const [rows, counts] = await Promise.all([
    sequelize.query<RecordRow>(
      `SELECT ${toLastDigit(place)} AS place, fabrications.id AS id, CAST(fabrications.date AS CHAR) AS date,
         ${NAME.item} AS item, ${NAME.style} AS style, ${NAME.cook} AS cook, ${NAME.supplier} AS supplier,
         fabrications.item_id AS itemId, fabrications.style_id AS styleId, fabrications.cook_id AS cookId,
         fabrications.supplier_id AS supplierId, fabrications.lot_id AS lotId, fabrications.lot AS lot,
         fabrications.currency AS currency, fabrications.left_out AS leftOut, figures.is_counted AS isCounted,
         figures.balance AS balance, JSON_LENGTH(fabrications.causes) AS causes, figures.units AS units, figures.beam AS beam,
         ${Object.entries(EXACT)
           .map(([name, column]) => `${toLastDigit(`figures.${column}`)} AS ${name}`)
           .join(', ')}
       FROM ${FROM_RECORDS} WHERE ${where.sql} ${behind}
       ORDER BY ${place} ${direction}, fabrications.id ${direction} LIMIT :limit`,
      {
        ...options,
        replacements: { ...where.values, limit: query.limit + 1, place: after?.value ?? null, id: after?.id ?? null },
      },
    ),
    sequelize.query<{ total: number }>(`SELECT COUNT(*) AS total FROM ${FROM_RECORDS} WHERE ${where.sql}`, {
      ...options,
      replacements: where.values,
    }),
  ])
  const shown = rows.slice(0, query.limit)
  const last = rows.length > query.limit ? shown.at(-1) : undefined
  return {
    rows: shown.map(recordOfRow),
    total: counts[0]?.total ?? 0,
    end: last ? { value: last.place, id: last.id } : null,
  }
}

/** Every word has to stand somewhere in the names or notes. */
function wordsWhere(where: Where, { words, counted }: Wanted): Where {
  const sought = words.split(/\s+/).filter((word) => word !== '')
  const texts = [...Object.values(NAME), readable('fabrications.lot'), readable('fabrications.notes')]
  const text = `CONCAT_WS(' ', ${texts.join(', ')})`
  const conditions = sought.map((_, at) => `AND ${text} LIKE :word${at}`)
  if (counted !== 'all') conditions.push(`AND figures.is_counted = ${counted === 'yes' ? 1 : 0}`)
  const escaped = (word: string) => `%${word.replace(/[\\%_]/g, (sign) => `\\${sign}`)}%`
  return {
    sql: [where.sql, ...conditions].join(' '),
    values: { ...where.values, ...Object.fromEntries(sought.map((word, at) => [`word${at}`, escaped(word)])) },
  }
}

function recordOfRow({ place: _place, isCounted, ...row }: RecordRow): LogbookRecord {
  const exact = (name: keyof typeof EXACT) => Number(row[name])
  const maybe = (name: keyof typeof EXACT) => (row[name] === null ? null : exact(name))
  const { spent, saved, givenAway, waste, unused, demoted, unaccounted, ...record } = row
  return {
    ...record,
    isCounted: Boolean(isCounted),
    beam: parsedJsonOf(row.beam),
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

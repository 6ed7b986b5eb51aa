import type { CurveQuery, LogbookCurve, LogbookLearning } from '@fleam/contract/logbook/findings'
import type { LogbookFilters } from '@fleam/contract/logbook/schemas'
import type { Day } from '@fleam/core/calendar'
import { improvementsOf, learningCurve, type PracticeRecord, practiceOf } from '@fleam/core/logbook'
import { QueryTypes } from 'sequelize'
import { dayOf, type Scope, within } from '../scope/index.ts'
import { refuseFilters } from './filters.ts'
import { nameOf, namesOf, namesOfStyle } from './names.ts'
import { KEY, whereOf } from './where.ts'

/** Counted records, oldest first, as far as they say what cooks learn. */
function practiceRecords(scope: Scope, filters: LogbookFilters): Promise<PracticeRecord[]> {
  const where = whereOf(scope, filters)
  return scope.database.sequelize.query<PracticeRecord>(
    `SELECT figures.fabrication_id AS id, CAST(figures.date AS CHAR) AS day, figures.item_key AS item,
       figures.style_key AS style, figures.cook_key AS cook, figures.supplier_key AS supplier,
       figures.units AS units, figures.ap AS ap, figures.primary_weight AS primaryWeight,
       figures.portion_yield AS portionYield, figures.minutes_per_unit AS minutesPerUnit, figures.spent AS spent
     FROM fabrication_figures AS figures WHERE ${where.sql} AND figures.is_counted AND figures.cook_key IS NOT NULL
     ORDER BY figures.date, figures.fabrication_id`,
    { type: QueryTypes.SELECT, replacements: where.values, ...within(scope) },
  )
}

interface PileMean {
  cook: string
  item: string
  style: string
  pile: string
  name: string
  records: number
  mean: number
}

/** Mean shares of the piles that are no portions, by cook, item and style. */
function pileMeans(scope: Scope, filters: LogbookFilters): Promise<PileMean[]> {
  const where = whereOf(scope, filters)
  return scope.database.sequelize.query<PileMean>(
    `SELECT ${KEY.cook} AS cook, ${KEY.item} AS item, ${KEY.style} AS style, piles.pile_key AS pile,
       MAX(piles.name) AS name, COUNT(*) AS records, AVG(piles.share) AS mean
     FROM fabrication_figures AS figures JOIN fabrication_pile_figures AS piles
       ON piles.kitchen_id = figures.kitchen_id AND piles.fabrication_id = figures.fabrication_id
     WHERE ${where.sql} AND figures.is_counted AND figures.cook_key IS NOT NULL AND piles.class <> 'primary'
     GROUP BY figures.cook_no, figures.item_no, figures.style_no, piles.pile_key`,
    { type: QueryTypes.SELECT, replacements: where.values, ...within(scope) },
  )
}

/** Where more practice would pay, at which pile, and who is improving. */
export async function learning(scope: Scope, filters: LogbookFilters): Promise<LogbookLearning> {
  await refuseFilters(scope, filters)
  const [records, means, names] = await Promise.all([
    practiceRecords(scope, filters),
    pileMeans(scope, filters),
    namesOf(scope),
  ])
  const to: Day = filters.to ?? dayOf(scope)
  const from: Day = filters.from ?? records[0]?.day ?? to
  const named = <T extends { cook: string; item: string; style: string }>(entry: T) => ({
    ...entry,
    ...namesOfStyle(names, entry),
    cookName: nameOf(names, 'cook', entry.cook),
  })
  return {
    practice: practiceOf(records, from, to).map((practice) => named({ ...practice, pile: mostMore(means, practice) })),
    improving: improvementsOf(records).map(named),
  }
}

/** The pile that a cook has most more of than the others at the same item and style. */
function mostMore(means: readonly PileMean[], { cook, item, style }: Pick<PileMean, 'cook' | 'item' | 'style'>) {
  const ofStyle = means.filter((mean) => mean.item === item && mean.style === style)
  const differences = ofStyle.flatMap((mine) => {
    if (mine.cook !== cook) return []
    const others = ofStyle.filter((row) => row.cook !== cook && row.pile === mine.pile)
    const records = others.reduce((sum, other) => sum + other.records, 0)
    if (records === 0) return []
    const mean = others.reduce((sum, other) => sum + other.mean * other.records, 0) / records
    return [{ name: mine.name, difference: mine.mean - mean }]
  })
  const [most] = differences.sort((a, b) => b.difference - a.difference)
  return most && most.difference > 0 ? most : null
}

/** A cook's records of one item and style by her own repetition number: of all she ever cut of it. */
export async function curve(scope: Scope, query: CurveQuery): Promise<LogbookCurve> {
  await refuseFilters(scope, query)
  const records = await practiceRecords(scope, query)
  return { yields: learningCurve(records, 'portion-yield'), minutes: learningCurve(records, 'minutes') }
}

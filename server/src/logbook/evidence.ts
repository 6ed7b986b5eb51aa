import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import { appraise } from '@fleam/core/appraisal'
import { documentOf, type LabourSource } from '@fleam/core/fabrication'
import { standingMarks } from '@fleam/core/facts'
import { QueryTypes } from 'sequelize'
import { statesByIds } from '../fabrication/index.ts'
import { dayOf, type Scope, within } from '../scope/index.ts'

/** So many of the latest records of a style speak for it. */
const RECORDS_THAT_SPEAK = 20

/** What one of the kitchen's own records says of a style: shares of its piles, minutes and bags for one unit. */
export interface StyleTest {
  date: string
  supplierId: string | null
  cookId: string | null
  units: number
  /** Grams of one unit as purchased. */
  unitWeight: number
  /** Ids of the steps that were said done; null where nobody said any. */
  stepsDone: string[] | null
  /** Share of AP by the id of the style's pile. */
  shares: ReadonlyMap<string, number>
  /** Minutes for one unit; null where nobody measured them. */
  minutes: number | null
  consumables: number
}

/**
 * What a kitchen's own records say of some styles, newest first, by the style's id: the latest of those that count. Yields,
 * minutes, used shares and spreads of forecasts, true costs, styles side by side and the worth of steps all rest on it.
 */
export async function styleTests(scope: Scope, styleIds: readonly string[]): Promise<Map<string, StyleTest[]>> {
  const tests = new Map<string, StyleTest[]>(styleIds.map((id) => [id, []]))
  for (const state of await statesByIds(scope, await countedIds(scope, styleIds))) {
    tests.get(state.record.styleId as string)?.push(testOf(state))
  }
  return tests
}

/** Ids of the latest records of each style that count. */
async function countedIds(scope: Scope, styleIds: readonly string[]): Promise<string[]> {
  if (styleIds.length === 0) return []
  // A window: one query a style took nine for one comparison.
  const rows = await scope.database.sequelize.query<{ id: string }>(
    `SELECT id FROM (
       SELECT fabrication_id AS id,
         ROW_NUMBER() OVER (PARTITION BY style_no ORDER BY date DESC, fabrication_id DESC) AS place
       FROM fabrication_figures
       WHERE kitchen_id = :kitchenId AND is_counted AND style_key IN (:styleIds)
     ) AS ranked WHERE place <= :most`,
    {
      type: QueryTypes.SELECT,
      replacements: { kitchenId: scope.kitchen.id, most: RECORDS_THAT_SPEAK, styleIds: [...styleIds] },
      ...within(scope),
    },
  )
  return rows.map(({ id }) => id)
}

/** So many weeks are looked back on for what a kitchen cuts in one, and records of fewer say nothing. */
const WEEKS_BACK = 8
const FEWEST_WEEKS = 3
const DAYS_PER_WEEK = 7

/** Grams that were cut in each style in the busiest of the last weeks; without those of which too few weeks tell. */
export async function mostPerWeek(scope: Scope, styleIds: readonly string[]): Promise<Map<string, number>> {
  if (styleIds.length === 0) return new Map()
  const rows = await scope.database.sequelize.query<{ styleId: string; weeks: number; most: number }>(
    `SELECT style_key AS styleId, COUNT(*) AS weeks, MAX(grams) AS most FROM (
       SELECT style_key, FLOOR(DATEDIFF(:today, date) / ${DAYS_PER_WEEK}) AS week, SUM(ap) AS grams
       FROM fabrication_figures
       WHERE kitchen_id = :kitchenId AND is_counted AND style_key IN (:styleIds)
         AND date <= :today AND DATEDIFF(:today, date) < ${WEEKS_BACK * DAYS_PER_WEEK}
       GROUP BY style_key, week
     ) AS by_week GROUP BY style_key HAVING weeks >= ${FEWEST_WEEKS}`,
    {
      type: QueryTypes.SELECT,
      replacements: { kitchenId: scope.kitchen.id, today: dayOf(scope), styleIds: [...styleIds] },
      ...within(scope),
    },
  )
  return new Map(rows.map(({ styleId, most }) => [styleId, Number(most)]))
}

/** What a style assumed, or a cook let stand, tells nothing new. */
const isMeasured = (from: LabourSource) => from === 'timed' || from === 'typed'

function testOf({ record, facts }: FabricationState): StyleTest {
  const { date, supplierId, cookId, units, labour, labourFrom } = record
  const { weights, piles, cost } = appraise(documentOf(record, facts))
  const done = standingMarks(facts).flatMap(({ mark, step }) => (mark === 'step-done' && step !== null ? [step] : []))
  return {
    date,
    supplierId,
    cookId,
    units,
    unitWeight: weights.ap / units,
    stepsDone: done.length > 0 ? [...new Set(done)] : null,
    shares: new Map(
      record.piles.flatMap(({ stylePileId }, index) => (stylePileId ? [[stylePileId, piles[index]?.share ?? 0]] : [])),
    ),
    minutes: isMeasured(labourFrom) ? labour.reduce((sum, entry) => sum + entry.minutes, 0) / units : null,
    consumables: cost.consumables / units,
  }
}

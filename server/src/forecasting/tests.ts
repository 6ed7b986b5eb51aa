import { appraise, documentOf, type Mark } from '@fleam/core'
import type { Sequelize } from 'sequelize'
import * as fabrications from '../fabrication/store.ts'

/** So many of the latest records of a style speak for it. */
const RECORDS_THAT_SPEAK = 20

/** What one of the kitchen's own records says of a style: shares of its piles, minutes and bags for one unit. */
export interface StyleTest {
  date: string
  supplier: string | null
  cook: string | null
  units: number
  /** Grams of one unit as purchased. */
  unitWeight: number
  /** Ids of the steps that were said done; null where nobody said any. */
  stepsDone: string[] | null
  shares: ReadonlyMap<string, number>
  minutes: number
  consumables: number
}

/** The latest records of a style whose weights add up, newest first. */
export async function styleTests(database: Sequelize, kitchenId: string, styleId: string): Promise<StyleTest[]> {
  const states = await fabrications.closedOfStyle(database, kitchenId, styleId, RECORDS_THAT_SPEAK)
  return states.flatMap((state) => {
    const { date, supplier, cook, units, labour } = state.record
    const { weights, piles, cost } = appraise(documentOf(state.record, state))
    // A record whose weights do not add up says nothing of a yield.
    if (weights.balance !== 'ok') return []
    return [
      {
        date,
        supplier,
        cook,
        units,
        unitWeight: weights.ap / units,
        stepsDone: stepsDone(state.marks),
        shares: new Map(piles.map((pile) => [pile.name, pile.share])),
        minutes: labour.reduce((sum, entry) => sum + entry.minutes, 0) / units,
        consumables: cost.consumables / units,
      },
    ]
  })
}

function stepsDone(marks: readonly Mark[]): string[] | null {
  const done = marks.flatMap((mark) => (mark.kind === 'step-done' && mark.step !== null ? [mark.step] : []))
  return done.length > 0 ? [...new Set(done)] : null
}

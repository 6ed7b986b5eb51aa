import type { FabricationState } from '@fleam/contract'
import { appraise, documentOf, type LabourSource, standingMarks } from '@fleam/core'
import type { Scope } from '../scope/index.ts'
import { closedOfStyles } from './store.ts'

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

/** The latest records of each of some styles whose weights add up, newest first, by the style's id. */
export async function styleTests(scope: Scope, styleIds: readonly string[]): Promise<Map<string, StyleTest[]>> {
  const tests = new Map<string, StyleTest[]>(styleIds.map((id) => [id, []]))
  for (const state of await closedOfStyles(scope, styleIds, RECORDS_THAT_SPEAK)) {
    const test = testOf(state)
    if (test) tests.get(state.record.styleId as string)?.push(test)
  }
  return tests
}

/** What a style assumed, or a cook let stand, tells nothing new. */
const isMeasured = (from: LabourSource) => from === 'timed' || from === 'typed'

function testOf({ record, facts }: FabricationState): StyleTest | null {
  const { date, supplierId, cookId, units, labour, labourFrom } = record
  const { weights, piles, cost } = appraise(documentOf(record, facts))
  // A record whose weights do not add up says nothing of a yield.
  if (weights.balance !== 'ok') return null
  const done = standingMarks(facts).flatMap(({ mark, step }) => (mark === 'step-done' && step !== null ? [step] : []))
  return {
    date,
    supplierId,
    cookId,
    units,
    unitWeight: weights.ap / units,
    stepsDone: done.length > 0 ? [...new Set(done)] : null,
    shares: new Map(
      record.piles.flatMap(({ stylePileId }, at) => (stylePileId ? [[stylePileId, piles[at]?.share ?? 0]] : [])),
    ),
    minutes: isMeasured(labourFrom) ? labour.reduce((sum, entry) => sum + entry.minutes, 0) / units : null,
    consumables: cost.consumables / units,
  }
}

import { addDays, minutesSince } from '../calendar/index.ts'
import { type MadePortions, type PlanDraft, type PlanLines, restOfPlan } from '../planning/index.ts'
import { MINUTES_OF_A_DAY } from '../scheduling/index.ts'
import type { ExpectedLine, Plan, PlannedFabrication } from './plan.ts'

type Accepted = NonNullable<Plan['accepted']>

/** Nothing has come of it, and nobody said what did. */
export const isOnItsWay = ({ arrived, lots }: Pick<ExpectedLine, 'arrived' | 'lots'>): boolean =>
  arrived === null && lots.length === 0

/** It waits to be cut. */
export const isWaiting = ({ fabricationId, isDropped }: Pick<PlannedFabrication, 'fabricationId' | 'isDropped'>) =>
  fabricationId === null && !isDropped

/**
 * Portions that an accepted plan has brought by now: what was really cut, what is on the board as it was planned, and what
 * came ready.
 */
export function madeOfPlan({ draft, planned, expected, goods }: Accepted, timeZone: string): MadePortions[] {
  const dayOf = (instant: string) =>
    addDays(draft.from, Math.floor(minutesSince(draft.from, timeZone, new Date(instant)) / MINUTES_OF_A_DAY))
  const cut = planned.flatMap(({ real, portions }) => {
    if (!real) return []
    const day = dayOf(real.startedAt)
    const cutPortions = real.isClosed ? real.portions : portions
    return cutPortions.map(({ productId, quantity }) => ({ productId, day, quantity }))
  })
  const ready = expected.flatMap(({ kind, articleId, day, arrived, packs, units }) => {
    const productId = goods.ready.find(({ id }) => id === articleId)?.productId
    if (kind !== 'ready' || productId === undefined || !arrived) return []
    return [{ productId, day, quantity: (units * arrived) / packs }]
  })
  return [...cut, ...ready]
}

/** What is left of an accepted plan from a day on, as a plan of its own. */
export const draftOfRest = (
  { id, accepted }: { id: string; accepted: Accepted },
  { today, timeZone }: { today: string; timeZone: string },
): PlanDraft =>
  restOfPlan({ id, draft: accepted.draft, goods: accepted.goods, made: madeOfPlan(accepted, timeZone) }, today)

/** Units of a style on a day, as they were planned before and are now. */
export interface CuttingBeside {
  day: string
  styleId: string
  name: string
  before: number
  after: number
}

/** What waited to be cut of a plan beside what is cut now, by day and style. */
export function cuttingBeside(
  planned: readonly PlannedFabrication[],
  after: Pick<PlanLines, 'cutting'>,
): CuttingBeside[] {
  const rows = new Map<string, CuttingBeside>()
  const add = (cut: Pick<CuttingBeside, 'day' | 'styleId' | 'name'>, side: 'before' | 'after', units: number) => {
    const key = `${cut.day} ${cut.styleId}`
    const row = rows.get(key) ?? { ...cut, before: 0, after: 0 }
    row[side] += units
    rows.set(key, row)
  }
  for (const row of planned.filter(isWaiting)) {
    add({ day: row.day, styleId: row.styleId, name: `${row.item}: ${row.style.toLowerCase()}` }, 'before', row.units)
  }
  for (const { day, styleId, name, units } of after.cutting) add({ day, styleId, name }, 'after', units)
  return [...rows.values()].sort((a, b) => a.day.localeCompare(b.day) || a.name.localeCompare(b.name))
}

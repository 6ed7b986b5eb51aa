import type { Lot } from '@fleam/contract/receiving/schemas'
import { addDays } from '@fleam/core/calendar'
import { type HeldByPlans, kilosByDay } from '@fleam/core/planning'
import { dayOf, type Scope } from '../scope/index.ts'
import { acceptedPlans, plannedWhere } from './store.ts'

/** Work of accepted plans that has not begun yet. */
export interface WaitingWork {
  day: string
  units: number
  minutes: number
  lotId: string | null
  expectedLineId: string | null
}

/**
 * What accepted plans hold: their hours and their cold from today on, and the work that waits for lots. The plan of which
 * what is left is planned anew holds nothing, and one that was planned anew so holds nothing any more.
 */
export async function heldByPlans(
  scope: Scope,
  without: string | null,
): Promise<{ held: HeldByPlans; waiting: WaitingWork[] }> {
  const today = dayOf(scope)
  const accepted = await acceptedPlans(scope)
  const replaced = new Set([without, ...accepted.map(({ draft }) => draft.replaces)])
  const plans = accepted.filter(({ id, draft }) => !replaced.has(id) && addDays(draft.from, draft.days) > today)
  const planned = await plannedWhere(scope, { fabricationId: null, isDropped: false })
  const waiting = planned.filter(({ planId }) => plans.some(({ id }) => id === planId))
  const busy = new Set(waiting.map(({ planId }) => planId))
  return {
    waiting,
    held: {
      plans: plans.flatMap(({ id, name }) => (busy.has(id) ? [name] : [])),
      minutes: waiting.flatMap(({ day, minutes }) => (day >= today ? [{ day, minutes }] : [])),
      kilos: plans.flatMap((plan) => kilosByDay(plan)).filter(({ day }) => day >= today),
    },
  }
}

/**
 * Units of lots that waiting work cuts, by the ids of the lots: work that names its lot, and work that waits for a line of
 * an order, from the lots that it came as, one after the other.
 */
export function unitsHeld(
  waiting: readonly WaitingWork[],
  lots: readonly { lot: Pick<Lot, 'id' | 'expectedLineId'>; units: number }[],
): Map<string, number> {
  const held = new Map<string, number>()
  for (const { units, lotId, expectedLineId } of waiting) {
    let left = units
    for (const { lot, units: there } of lots) {
      const isItsOwn =
        lotId === null ? expectedLineId !== null && lot.expectedLineId === expectedLineId : lot.id === lotId
      if (!isItsOwn) continue
      const taken = Math.min(left, there - (held.get(lot.id) ?? 0))
      if (taken > 0) held.set(lot.id, (held.get(lot.id) ?? 0) + taken)
      left -= Math.max(0, taken)
    }
  }
  return held
}

import type { Day } from '../../calendar/index.ts'
import type { OrderPlan } from '../order-plan.ts'
import type { PlanDraft } from './plan-draft.ts'

/** Of a day that is too full so much is planned again: packing and cleaning take the rest. */
const SHARE_OF_A_DAY = 0.85
const MINUTES_PER_HOUR = 60
const QUARTERS = 4

/** Hours as they are said, and on one day fewer than are planned on it now, in whole quarters of an hour. */
export function lessOn(
  hours: PlanDraft['hours'],
  day: Day,
  { cutting }: Pick<OrderPlan, 'cutting'>,
): PlanDraft['hours'] {
  const minutes = cutting.reduce((sum, line) => sum + (line.day === day ? line.minutes : 0), 0)
  const fewer = Math.floor(((minutes * SHARE_OF_A_DAY) / MINUTES_PER_HOUR) * QUARTERS) / QUARTERS
  return [...hours.filter((hour) => hour.day !== day), { day, hours: fewer }]
}

import { addDays, daysBetween } from '@fleam/core/calendar'
import { draftLater, type PlanDraft } from '@fleam/core/planning'
import type { PlanRow } from '@fleam/core/plans'

const WEEK = 7

/** The same plan again, whole weeks later, on the first day of its kind that is not before `from`. */
export function againFrom(draft: PlanDraft, from: string): PlanDraft {
  const weeks = Math.max(1, Math.ceil(daysBetween(draft.from, from) / WEEK))
  return draftLater(draft, addDays(draft.from, weeks * WEEK), weeks * WEEK)
}

/** The first day that no plan covers, at the earliest tomorrow. */
export function nextFrom(rows: readonly Pick<PlanRow, 'from' | 'days' | 'acceptedAt'>[], today: string): string {
  const tomorrow = addDays(today, 1)
  const until = rows.flatMap(({ from, days, acceptedAt }) => (acceptedAt === null ? [] : [addDays(from, days)]))
  return [tomorrow, ...until].sort().at(-1) as string
}

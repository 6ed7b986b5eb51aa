import type { Cook } from '@fleam/contract/kitchen/schemas'
import { minutesSince } from '@fleam/core/calendar'
import type { KeptSchedule, Plan, StylesWork } from '@fleam/core/plans'
import { markedTasks, planJobs, workCooks } from '@fleam/core/plans'
import { followTasks, type PlannedJob, placedAsBegun, withBegun, workPlan } from '@fleam/core/scheduling'
import type { Item } from '@fleam/core/style'
import { useMemo } from 'react'
import { useKitchen } from '../../../data/kitchen-context.ts'
import { useNow } from '../../../parts/use-now.ts'

export interface WorkProps {
  plan: Plan
  accepted: NonNullable<Plan['accepted']>
  items: readonly Item[]
  cooks: readonly Cook[]
  works: StylesWork
}

interface WorkState {
  schedule: KeptSchedule
  /** Ids of cooks who are not there. */
  away: readonly string[]
  /** Ids of jobs that are left out. */
  leftOut: readonly string[]
}

/** The work of a plan as tasks, with what has begun where it is, and the tasks as the bench and the hands brought them. */
export function useWork({ plan, accepted, items, cooks, works }: WorkProps, { schedule, away, leftOut }: WorkState) {
  const { timeZone } = useKitchen()
  const { told } = plan
  const { from, days } = accepted.draft
  const now = minutesSince(from, timeZone, useNow())
  const all = useMemo(
    () => planJobs(accepted, { items, works, schedule, timeZone }),
    [accepted, items, works, schedule, timeZone],
  )
  const jobs = useMemo(() => all.filter(({ id }) => !leftOut.includes(id)), [all, leftOut])
  const workOf = useMemo(
    () => (some: readonly PlannedJob[], earliest: number) => {
      const working = workCooks(cooks, { away, days: schedule.days })
      const planned = workPlan(some, { from, days, cooks: working, settings: schedule.settings, now: earliest })
      const marked = markedTasks(schedule, { told, from, timeZone })
      const isPlaced = new Set(marked.map(({ jobId }) => jobId))
      const begun = some.filter(({ id }) => !isPlaced.has(id))
      const progressOf = (jobId: string) => some.find(({ id }) => id === jobId)?.progress ?? null
      const followed = followTasks([...marked, ...placedAsBegun(planned, begun)], progressOf, now)
      return { work: withBegun(planned, followed), followed }
    },
    [from, days, cooks, away, schedule, told, timeZone, now],
  )
  return { now, all, jobs, workOf, ...useMemo(() => workOf(jobs, 0), [workOf, jobs]) }
}

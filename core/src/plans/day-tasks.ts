import { daysBetween, minutesSince } from '../calendar/index.ts'
import { cookIdOf, followTasks, MINUTES_OF_A_DAY } from '../scheduling/index.ts'
import { jobProgress, markedTasks } from './jobs.ts'
import type { DayTask, KeptSchedule } from './kept-schedule.ts'
import type { Plan, PlannedFabrication } from './plan.ts'

/** What the tasks of a day come from: the schedule of an accepted plan, what hands told of it, and what is cut of it. */
export interface ScheduledPlan {
  id: string
  name: string
  /** First day of the plan. */
  from: string
  schedule: Pick<KeptSchedule, 'tasks'>
  told: Plan['told']
  planned: readonly Pick<PlannedFabrication, 'id' | 'isDropped' | 'fabricationId' | 'real'>[]
}

/**
 * Tasks of one day of a plan, where the bench and the hands have brought them by `now`; minutes from the day's midnight by
 * the kitchen's clock. What was dropped is no work.
 */
export function dayTasks(
  { id: planId, name: plan, from, schedule, told, planned }: ScheduledPlan,
  { day, now, timeZone }: { day: string; now: Date; timeZone: string },
): DayTask[] {
  const jobs = new Map(planned.map((job) => [job.id, job]))
  const keptOf = new Map(schedule.tasks.map((task) => [task.id, task]))
  const markOf = new Map(told.map((mark) => [mark.taskId, mark]))
  const progressOf = (jobId: string) => {
    const job = jobs.get(jobId)
    return job ? jobProgress(job, from, timeZone) : null
  }
  const tasks = schedule.tasks.filter(({ jobId }) => !jobs.get(jobId)?.isDropped)
  const marked = markedTasks({ tasks }, { told, from, timeZone })
  const midnight = daysBetween(from, day) * MINUTES_OF_A_DAY
  return followTasks(marked, progressOf, minutesSince(from, timeZone, now)).flatMap((task): DayTask[] => {
    const { id, jobId, kind, state, cook, station } = task
    const [start, end] = [task.start - midnight, task.end - midnight]
    if (end <= 0 || start >= MINUTES_OF_A_DAY) return []
    const { begunAt = null, doneAt = null } = markOf.get(id) ?? {}
    const fabricationId = jobs.get(jobId)?.fabricationId ?? null
    const what = keptOf.get(id)?.what ?? ''
    return [
      {
        id,
        planId,
        plan,
        jobId,
        fabricationId,
        what,
        kind,
        state,
        start,
        end,
        cookId: cookIdOf(cook),
        station,
        begunAt,
        doneAt,
      },
    ]
  })
}

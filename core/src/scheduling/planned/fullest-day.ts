import type { Day } from '../../calendar/index.ts'
import type { PlacedTask } from '../schedule.ts'
import type { PlannedJob, WorkPlan } from './work.ts'

/** Late by less in all is in time, minutes. */
const IN_TIME = 0.5

/** The day on which most of what is late was to be cut; null where nothing is late. */
export function fullestDay(
  jobs: readonly Pick<PlannedJob, 'id' | 'day'>[],
  { request, tasks }: Pick<WorkPlan, 'request' | 'tasks'>,
  placed: readonly PlacedTask[],
): Day | null {
  const dueOf = new Map(request.tasks.map(({ id, due }) => [id, due]))
  const jobOf = new Map(tasks.map(({ id, jobId }) => [id, jobId]))
  const dayOf = new Map(jobs.map(({ id, day }) => [id, day]))
  const lateOn = new Map<Day, number>()
  for (const { id, end } of placed) {
    const due = dueOf.get(id) ?? null
    const day = dayOf.get(jobOf.get(id) ?? '')
    if (due !== null && day !== undefined && end > due) lateOn.set(day, (lateOn.get(day) ?? 0) + end - due)
  }
  const [fullest] = [...lateOn].sort(([, one], [, other]) => other - one)
  return fullest && fullest[1] > IN_TIME ? fullest[0] : null
}

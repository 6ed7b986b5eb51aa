import type { PlacedTask } from '../schedule.ts'
import type { KeptTask } from './follow.ts'
import type { WorkPlan } from './work.ts'

export type OrderedTask = Omit<KeptTask, 'begun' | 'done'>

/**
 * Tasks as they were placed, to be kept: loads of a job that are alike come in the order of their numbers, because it makes
 * no difference which is which, and each says how many units are cut when it ends. What is held keeps its number.
 */
export function placedInOrder(plan: WorkPlan, placed: readonly PlacedTask[]): OrderedTask[] {
  const workOf = new Map(plan.tasks.map((task) => [task.id, task]))
  const askedOf = new Map(plan.request.tasks.map((task) => [task.id, task]))
  const isHeld = new Set(plan.held.map(({ id }) => id))
  const alike = new Map<string, PlacedTask[]>()
  for (const each of placed) {
    const [task, asked] = [workOf.get(each.id), askedOf.get(each.id)]
    if (!task || !asked || task.kind !== 'cut' || task.part !== null || isHeld.has(each.id)) continue
    // Whichever comes first is laid out with it; loads that were tempered each by itself are not the same.
    const key = JSON.stringify([task.jobId, task.units, asked.skill, asked.after])
    alike.set(key, [...(alike.get(key) ?? []), each])
  }
  const renamed = new Map<PlacedTask, string>()
  for (const group of alike.values()) {
    const ids = group.map(({ id }) => id).sort((a, b) => (workOf.get(a)?.load ?? 0) - (workOf.get(b)?.load ?? 0))
    const inTime = [...group].sort((a, b) => a.start - b.start || a.id.localeCompare(b.id))
    inTime.forEach((each, at) => {
      renamed.set(each, ids[at] as string)
    })
  }
  const ordered = placed.flatMap((each): OrderedTask[] => {
    const task = workOf.get(renamed.get(each) ?? each.id)
    if (!task) return []
    const { start, end, cook, station } = each
    return [{ id: task.id, jobId: task.jobId, kind: task.kind, upTo: task.upTo, start, end, cook, station }]
  })
  return ordered.map((each) => (each.kind === 'cut' ? { ...each, upTo: unitsUntil(each, ordered, workOf) } : each))
}

/** Units of the job whose last part is over by the end of a task. */
function unitsUntil(
  own: OrderedTask,
  tasks: readonly OrderedTask[],
  workOf: ReadonlyMap<string, WorkPlan['tasks'][number]>,
) {
  return tasks.reduce((sum, other) => {
    const task = workOf.get(other.id)
    if (!task || other.kind !== 'cut' || other.jobId !== own.jobId) return sum
    const part = workOf.get(own.id)?.part?.number ?? null
    const isSamePart = (task.part?.number ?? null) === part
    const isBefore = other.end < own.end || (other.end === own.end && other.id <= own.id)
    return isSamePart && isBefore ? sum + task.units : sum
  }, 0)
}

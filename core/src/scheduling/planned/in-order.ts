import type { PlacedTask } from '../schedule.ts'
import { isAtBoard } from './kinds.ts'
import { type KeptTask, keptTaskOf, type WorkTask } from './task.ts'
import type { WorkPlan } from './work.ts'

/** What a task is in the words of a screen, by its id. */
type NameOf = (id: string) => string

/**
 * Tasks as they were placed, to be kept: loads of a job that are alike come in the order of their numbers, because it makes
 * no difference which is which, and each says how many units are cut when it ends. What is held keeps its number.
 */
export const placedInOrder = (plan: WorkPlan, placed: readonly PlacedTask[], nameOf: NameOf): KeptTask[] =>
  asKept(plan, placed, { nameOf, idOf: renumbered(plan, placed) })

/** The same where a hand moved one: each keeps its number, or another bar would be under the finger. */
export const placedAsTheyAre = (plan: WorkPlan, placed: readonly PlacedTask[], nameOf: NameOf): KeptTask[] =>
  asKept(plan, placed, { nameOf, idOf: new Map() })

function asKept(
  plan: WorkPlan,
  placed: readonly PlacedTask[],
  { nameOf, idOf }: { nameOf: NameOf; idOf: ReadonlyMap<string, string> },
): KeptTask[] {
  const workOf = new Map(plan.tasks.map((task) => [task.id, task]))
  const kept = placed.flatMap((place): KeptTask[] => {
    const task = workOf.get(idOf.get(place.id) ?? place.id)
    return task ? [keptTaskOf(task, place, nameOf(task.id))] : []
  })
  return kept.map((task) => (isAtBoard(task.kind) ? { ...task, upTo: unitsUntil(task, kept, workOf) } : task))
}

/** Ids of loads that are alike, by the ids they were placed under: first come, first number. */
function renumbered(plan: WorkPlan, placed: readonly PlacedTask[]): Map<string, string> {
  const startOf = new Map(placed.map(({ id, start }) => [id, start]))
  const askedOf = new Map(plan.request.tasks.map((task) => [task.id, task]))
  const isHeld = new Set(plan.held.map(({ id }) => id))
  const loads = new Map<string, WorkTask[]>()
  for (const task of plan.tasks) {
    if (!isAtBoard(task.kind) || !startOf.has(task.id)) continue
    const key = `${task.jobId} ${task.load}`
    loads.set(key, [...(loads.get(key) ?? []), task])
  }
  const alike = new Map<string, WorkTask[][]>()
  for (const parts of loads.values()) {
    const [first] = parts
    const asked = first && askedOf.get(first.id)
    if (!first || !asked || parts.some(({ id }) => isHeld.has(id))) continue
    // Whichever comes first is laid out with it; loads that were tempered each by itself are not the same.
    const key = JSON.stringify([first.jobId, first.units, asked.skill, asked.after, parts.length])
    alike.set(key, [...(alike.get(key) ?? []), parts])
  }
  const idOf = new Map<string, string>()
  const begins = ([first]: readonly WorkTask[]) => startOf.get(first?.id ?? '') ?? 0
  for (const group of alike.values()) {
    const inTime = [...group].sort((a, b) => begins(a) - begins(b) || (a[0]?.load ?? 0) - (b[0]?.load ?? 0))
    inTime.forEach((parts, index) => {
      parts.forEach(({ id }, part) => {
        idOf.set(id, group[index]?.[part]?.id ?? id)
      })
    })
  }
  return idOf
}

/** Units of the job whose last part is over by the end of a task. */
function unitsUntil(task: KeptTask, tasks: readonly KeptTask[], workOf: ReadonlyMap<string, WorkTask>): number {
  const partOf = (id: string) => workOf.get(id)?.part?.number ?? null
  return tasks
    .filter(({ kind, jobId, id }) => kind === task.kind && jobId === task.jobId && partOf(id) === partOf(task.id))
    .filter(({ id, end }) => end < task.end || (end === task.end && id <= task.id))
    .reduce((sum, { id }) => sum + (workOf.get(id)?.units ?? 0), 0)
}

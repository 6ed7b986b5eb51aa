import type { HeldTask, PlacedTask, ScheduleRequest } from '../schedule.ts'

export type FaultRule =
  | 'outside-shift'
  | 'wrong-cook'
  | 'cook-busy'
  | 'station-busy'
  | 'not-cleaned'
  | 'too-early'
  | 'before-another'
  | 'too-late-after'
  | 'late'
  | 'beyond-the-horizon'

/** A rule that a task breaks where it stands, and the task that it meets. */
export interface ScheduleFault {
  task: string
  rule: FaultRule
  with: string | null
}

const NEAR = 1e-6

/**
 * Every rule that places break, as they are moved by hand: told, not forbidden. Late minutes are told too. What has begun
 * is where it is, whatever it breaks by itself.
 */
export function scheduleFaults(
  request: ScheduleRequest,
  placed: readonly PlacedTask[],
  held: readonly HeldTask[] = [],
): ScheduleFault[] {
  const hasBegun = new Set(held.map(({ id }) => id))
  const taskOf = new Map(request.tasks.map((task) => [task.id, task]))
  const placeOf = new Map(placed.map((task) => [task.id, task]))
  const faults: ScheduleFault[] = []
  const tell = (task: string, rule: FaultRule, other: string | null = null) => faults.push({ task, rule, with: other })
  for (const own of placed) {
    const task = taskOf.get(own.id)
    if (!task || hasBegun.has(own.id)) continue
    if (own.start < task.notBefore - NEAR) tell(own.id, 'too-early')
    if (own.end > request.horizon + NEAR || own.start < 0) tell(own.id, 'beyond-the-horizon')
    if (task.due !== null && own.end > task.due + NEAR) tell(own.id, 'late')
    if (task.needs === 'cook') {
      const cook = request.cooks.find(({ name }) => name === own.cook)
      if (!cook || (task.skill !== null && !cook.skills.includes(task.skill))) tell(own.id, 'wrong-cook')
      else if (!cook.shifts.some(([from, until]) => own.start >= from - NEAR && own.end <= until + NEAR)) {
        tell(own.id, 'outside-shift')
      }
    }
    for (const { task: id, lag, within } of task.after) {
      const before = placeOf.get(id)
      if (!before) continue
      if (own.start < before.end + lag - NEAR) tell(own.id, 'before-another', id)
      if (within !== null && own.start > before.end + lag + within + NEAR) tell(own.id, 'too-late-after', id)
    }
  }
  // Of two that have begun nothing can be changed; of one, it is told of the other.
  const changeable = [...meetings(placed), ...notCleaned(request, placed)].flatMap((fault): ScheduleFault[] => {
    if (!hasBegun.has(fault.task)) return [fault]
    if (fault.with === null || hasBegun.has(fault.with)) return []
    return [{ ...fault, task: fault.with, with: fault.task }]
  })
  return [...faults, ...changeable]
}

/** Two things at once of one cook, or on one unit. */
function meetings(placed: readonly PlacedTask[]): ScheduleFault[] {
  return placed.flatMap((task, index) =>
    placed.slice(index + 1).flatMap((other): ScheduleFault[] => {
      if (task.start >= other.end - NEAR || other.start >= task.end - NEAR) return []
      const isSameUnit = task.station?.name === other.station?.name && task.station?.number === other.station?.number
      return [
        ...(task.cook !== null && task.cook === other.cook
          ? [{ task: task.id, rule: 'cook-busy', with: other.id } as const]
          : []),
        ...(task.station !== null && isSameUnit
          ? [{ task: task.id, rule: 'station-busy', with: other.id } as const]
          : []),
      ]
    }),
  )
}

/** Too little time on a unit to clean it where the species changes. */
function notCleaned({ species, tasks }: ScheduleRequest, placed: readonly PlacedTask[]): ScheduleFault[] {
  const speciesOf = new Map(tasks.map((task) => [task.id, task.needs === 'nobody' ? null : task.species]))
  const units = new Map<string, PlacedTask[]>()
  for (const task of placed) {
    if (task.station === null || !speciesOf.get(task.id)) continue
    const key = `${task.station.name} ${task.station.number}`
    units.set(key, [...(units.get(key) ?? []), task])
  }
  return [...units.values()].flatMap((list) => {
    const order = list.sort((a, b) => a.start - b.start)
    return order.flatMap((task, index): ScheduleFault[] => {
      const before = order[index - 1]
      const [was, is] = [speciesOf.get(before?.id ?? ''), speciesOf.get(task.id)]
      if (!before || !was || !is || was === is) return []
      if (species.cleanAt.some((time) => time >= before.end - NEAR && time <= task.start + NEAR)) return []
      const minutes = species.order.indexOf(was) < species.order.indexOf(is) ? species.cleanDown : species.against
      return task.start - before.end < minutes - NEAR ? [{ task: task.id, rule: 'not-cleaned', with: before.id }] : []
    })
  })
}

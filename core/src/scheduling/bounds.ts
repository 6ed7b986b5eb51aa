import type { Impossible, Schedule } from './schedule.ts'
import type { Shop } from './shop.ts'

/** The earliest end of each task if nothing but what it follows, its cooks' shifts and its time held it up. */
export function earliestEnds({ tasks, shifts, horizon }: Shop): Float64Array {
  const ends = new Float64Array(tasks.length).fill(Number.NaN)
  const endOf = (at: number): number => {
    const known = ends[at] as number
    if (!Number.isNaN(known)) return known
    const task = tasks[at]
    if (!task) return 0
    let start = task.notBefore
    for (const { task: before, lag } of task.after) start = Math.max(start, endOf(before) + lag)
    if (task.held) start = task.held.start
    else if (task.needsCook) {
      const open = task.cooks.flatMap((cook) =>
        (shifts[cook] ?? []).flatMap(([from, until]) => {
          const begin = Math.max(from, start)
          return begin + task.minutes <= until ? [begin] : []
        }),
      )
      start = open.length > 0 ? Math.min(...open) : horizon
    }
    const end = start + task.minutes
    ends[at] = end
    return end
  }
  for (let at = 0; at < tasks.length; at++) endOf(at)
  return ends
}

/** Minutes that are late whatever is done. */
export const lateBound = ({ tasks }: Shop, ends: Float64Array): number =>
  tasks.reduce((sum, { due }, at) => sum + Math.max(0, (ends[at] as number) - due), 0)

/**
 * Minutes of cleaning that cannot be saved where nothing is clean by itself: a station with more species than units
 * changes at least that often.
 */
export function cleanBound({ tasks, units, request, cleanAt }: Shop): number {
  if (cleanAt.length > 0) return 0
  const least = Math.min(request.species.cleanDown, request.species.against)
  return units.reduce((sum, count, station) => {
    const species = new Set(tasks.flatMap((task) => (task.station === station ? (task.species ?? []) : [])))
    return sum + Math.max(0, species.size - count) * least
  }, 0)
}

/** Tasks that cannot be done whatever is done with the others, and why. */
export function impossibleTasks(shop: Shop, ends: Float64Array): Schedule['impossible'] {
  const { tasks, request, shifts, horizon } = shop
  return tasks.flatMap((task, index) => {
    const say = (why: Impossible) => [{ task: request.tasks[index]?.id ?? '', why }]
    if (task.held) return []
    if (task.needsCook && task.cooks.length === 0) return say('no-such-skill')
    const longest = Math.max(
      0,
      ...task.cooks.flatMap((cook) => (shifts[cook] ?? []).map(([from, until]) => until - from)),
    )
    if (task.needsCook && longest < task.minutes) return say('longer-than-any-shift')
    return (ends[index] as number) > horizon ? say('beyond-the-horizon') : []
  })
}

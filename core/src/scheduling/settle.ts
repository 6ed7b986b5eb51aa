import type { Placing } from './place.ts'
import type { Shop } from './shop.ts'

/** What comes next after a task on its unit and of its cook, by the starts; -1 for nothing. */
export interface Sequences {
  nextOnUnit: Int16Array
  nextOfCook: Int16Array
}

/** Which task follows each task on its unit of a station and for its cook; -1 where none does. */
export function sequencesOf({ tasks }: Shop, { starts, units, cooks }: Placing): Sequences {
  const order = tasks.map((_, index) => index).sort((a, b) => (starts[a] as number) - (starts[b] as number) || a - b)
  const [nextOnUnit, nextOfCook] = [new Int16Array(tasks.length).fill(-1), new Int16Array(tasks.length).fill(-1)]
  const [lastOnUnit, lastOfCook] = [new Map<number, number>(), new Map<number, number>()]
  for (const at of order) {
    const station = tasks[at]?.station ?? null
    if (station !== null) {
      const key = station * 1000 + (units[at] as number)
      const before = lastOnUnit.get(key)
      if (before !== undefined) nextOnUnit[before] = at
      lastOnUnit.set(key, at)
    }
    const cook = cooks[at] as number
    if (cook >= 0) {
      const before = lastOfCook.get(cook)
      if (before !== undefined) nextOfCook[before] = at
      lastOfCook.set(cook, at)
    }
  }
  return { nextOnUnit, nextOfCook }
}

/** The shift in which a task of a cook stands. */
export const shiftOf = ({ shifts }: Shop, cook: number, start: number) =>
  (shifts[cook] ?? []).find(([from, until]) => start >= from && start < until) ?? [0, Number.POSITIVE_INFINITY]

const PASSES = 3

/**
 * Moves what waits to as late as it may stand, from the last to the first: nothing gets late by it, no order changes, no
 * clean-down comes or goes. Food that waits less is better; what stands equally well either way goes later, so that what
 * comes before it can.
 */
export function settled(shop: Shop, placing: Placing): Placing {
  const { tasks, cleanAt, horizon } = shop
  const starts = Float64Array.from(placing.starts)
  const { nextOnUnit, nextOfCook } = sequencesOf(shop, placing)
  const order = tasks.map((_, index) => index).sort((a, b) => (starts[b] as number) - (starts[a] as number) || b - a)
  for (let pass = 0; pass < PASSES; pass++) {
    for (const at of order) {
      const task = tasks[at]
      const start = starts[at] as number
      if (!task || task.held || !Number.isFinite(start)) continue
      const isDue = Number.isFinite(task.due)
      const pull = task.after.length - task.followers.length - (isDue ? 1 : 0)
      if (pull > 0) continue
      let latest = horizon - task.minutes
      if (isDue) latest = Math.min(latest, Math.max(start, task.due - task.slack - task.minutes))
      for (const { task: follower, lag } of task.followers) {
        latest = Math.min(latest, (starts[follower] as number) - lag - task.minutes)
      }
      for (const { task: before, lag, within } of task.after) {
        latest = Math.min(latest, (starts[before] as number) + (tasks[before]?.minutes ?? 0) + lag + within)
      }
      for (const next of [nextOnUnit[at] as number, nextOfCook[at] as number]) {
        if (next >= 0)
          latest = Math.min(latest, (starts[next] as number) - (placing.cleans[next] as number) - task.minutes)
      }
      if ((placing.cooks[at] as number) >= 0) {
        latest = Math.min(latest, shiftOf(shop, placing.cooks[at] as number, start)[1] - task.minutes)
      }
      // A clean unit at the close of a day is counted on by whatever comes next.
      const close = cleanAt.find((time) => time >= start + task.minutes)
      if (close !== undefined && task.species !== null) latest = Math.min(latest, close - task.minutes)
      if (latest > start) starts[at] = latest
    }
  }
  return { ...placing, starts }
}

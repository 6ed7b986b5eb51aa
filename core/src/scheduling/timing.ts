import { Programme, type SolveProgramme } from '../solving/index.ts'
import type { Placing } from './place.ts'
import { sequencesOf, shiftOf } from './settle.ts'
import type { Shop } from './shop.ts'

const NONE = Number.POSITIVE_INFINITY
/** A late minute counts so far above one that food is held, that none is ever given for it. */
const LATE = 10_000
const SECONDS = 2

/**
 * The best times of an order: who does what where, and what comes before what, stays; late minutes stay the fewest, and
 * food is held the least. A linear programme over starts. Null where it is not solved, or something has no place.
 */
export function bestTimes(shop: Shop, placing: Placing, solve: SolveProgramme): Placing | null {
  const { tasks, horizon, cleanAt } = shop
  if (!placing.starts.every(Number.isFinite)) return null
  const programme = new Programme()
  const costs: number[] = []
  const column = (upper: number, cost: number) => {
    costs.push(cost)
    return programme.column({ upper })
  }
  const starts = tasks.map((task) => column(horizon - task.minutes, 0))
  const { nextOnUnit, nextOfCook } = sequencesOf(shop, placing)
  const startsAtLeast = (at: number, after: number, minutes: number, most = NONE) =>
    programme.row(
      [
        [starts[at] as number, 1],
        [starts[after] as number, -1],
      ],
      minutes,
      most,
    )
  const between = (at: number, low: number, high: number) => programme.row([[starts[at] as number, 1]], low, high)
  tasks.forEach((task, index) => {
    const placed = placing.starts[index] as number
    const clean = placing.cleans[index] as number
    if (task.held) between(index, placed, placed)
    else between(index, task.notBefore, horizon - task.minutes)
    for (const { task: before, lag, within } of task.after) {
      const minutes = (tasks[before]?.minutes ?? 0) + lag
      if (!task.held) startsAtLeast(index, before, minutes, minutes + within)
      costs[starts[index] as number] = (costs[starts[index] as number] as number) + 1
      costs[starts[before] as number] = (costs[starts[before] as number] as number) - 1
    }
    for (const next of [nextOnUnit[index] as number, nextOfCook[index] as number]) {
      if (next >= 0 && !tasks[next]?.held) startsAtLeast(next, index, task.minutes + (placing.cleans[next] as number))
    }
    if ((placing.cooks[index] as number) >= 0 && !task.held) {
      const [from, until] = shiftOf(shop, placing.cooks[index] as number, placed)
      between(index, from + clean, until - task.minutes)
    }
    if (task.station !== null && task.species !== null && !task.held) {
      // Between two closes of the day it stays: units are clean at each.
      const close = cleanAt.find((time) => time >= placed + task.minutes)
      const open = cleanAt.findLast((time) => time <= placed)
      between(index, open ?? 0, (close ?? NONE) - task.minutes)
    }
    if (Number.isFinite(task.due)) {
      // It starts no later than it must, but for what is late; and when it is best, but for what is early or after that.
      const [late, early, after] = [column(NONE, LATE), column(NONE, 1), column(NONE, 1)]
      const due = task.due - task.minutes
      const start = [starts[index] as number, 1] as const
      programme.row([start, [late, -1]], Number.NEGATIVE_INFINITY, due)
      programme.row([start, [after, -1], [early, 1]], due - task.slack, due - task.slack)
    }
  })
  const { values } = solve(programme, { seconds: SECONDS, costs })
  if (!values) return null
  const moved = Float64Array.from(starts, (at) => Math.round((values[at] as number) * 1e6) / 1e6)
  return { ...placing, starts: moved }
}

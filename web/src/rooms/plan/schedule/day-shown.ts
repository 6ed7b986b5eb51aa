import { type FollowedTask, MINUTES_OF_A_DAY, ON_DUTY } from '@fleam/core/scheduling'
import { isIn, type Lane } from './moved.ts'

const HOUR = 60
/** Where nothing is drawn a day ends in the evening. */
const EVENING = 18 * HOUR

const isOn = ({ start, end }: FollowedTask, day: number) =>
  start < (day + 1) * MINUTES_OF_A_DAY && end > day * MINUTES_OF_A_DAY

/** Days of a plan, from 0, on which something lies. */
export const daysWithWork = (placed: readonly FollowedTask[], days: number): number[] =>
  Array.from({ length: days + 1 }, (_, index) => index).filter((at) => placed.some((task) => isOn(task, at)))

/** The day to look at first: today, else the next one with work. */
export function firstShown(busy: readonly number[], now: number): number {
  const today = Math.floor(now / MINUTES_OF_A_DAY)
  return busy.includes(today) ? today : (busy.find((at) => at >= today) ?? busy[0] ?? 0)
}

/** What lies on a day. */
export const tasksOn = (placed: readonly FollowedTask[], day: number): FollowedTask[] =>
  placed.filter((task) => isOn(task, day))

/** Rows of the stoves, and of whoever is on duty at them: they last the day, and have hours of their own. */
const isAtStove = (lane: Lane) => (lane.kind === 'cook' ? lane.name === ON_DUTY : lane.station === 'stove')

/** The rows of a day as they are drawn: those at the board, and those at the stoves where something stands there. */
export function rowsOf(lanes: readonly Lane[], tasks: readonly FollowedTask[]): { board: Lane[]; stove: Lane[] } {
  const stove = lanes.filter(isAtStove)
  const isUsed = stove.some((lane) => tasks.some((task) => isIn(lane, task)))
  return { board: lanes.filter((lane) => !isAtStove(lane)), stove: isUsed ? stove : [] }
}

/** The whole hours of a day from and until which some rows are drawn. */
export function hoursShown(tasks: readonly FollowedTask[], day: number, lanes: readonly Lane[]) {
  const drawn = tasks.filter((task) => lanes.some((lane) => isIn(lane, task)))
  const begin = day * MINUTES_OF_A_DAY
  const earliest = Math.min(...drawn.map((task) => task.start), begin + EVENING)
  const first = Math.max(begin, Math.floor(earliest / HOUR) * HOUR)
  const latest = Math.max(...drawn.map((task) => task.end), first + HOUR)
  const last = Math.min(begin + MINUTES_OF_A_DAY, Math.ceil(latest / HOUR) * HOUR)
  return { first, last, hours: Array.from({ length: (last - first) / HOUR + 1 }, (_, index) => first + index * HOUR) }
}

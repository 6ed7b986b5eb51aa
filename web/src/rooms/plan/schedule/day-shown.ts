import { type FollowedTask, MINUTES_OF_A_DAY } from '@fleam/core'
import type { Lane } from './moved.ts'

const HOUR = 60
/** Where nothing is drawn a day ends in the evening. */
const EVENING = 18 * HOUR

const isOn = ({ start, end }: FollowedTask, day: number) =>
  start < (day + 1) * MINUTES_OF_A_DAY && end > day * MINUTES_OF_A_DAY

/** Days of a plan, from 0, on which something lies. */
export const daysWithWork = (placed: readonly FollowedTask[], days: number): number[] =>
  Array.from({ length: days + 1 }, (_, at) => at).filter((at) => placed.some((task) => isOn(task, at)))

/** The day to look at first: today, else the next one with work. */
export function firstShown(busy: readonly number[], now: number): number {
  const today = Math.floor(now / MINUTES_OF_A_DAY)
  return busy.includes(today) ? today : (busy.find((at) => at >= today) ?? busy[0] ?? 0)
}

/** What lies on a day, and the whole hours from and until which it is drawn. */
export function dayShown(placed: readonly FollowedTask[], day: number, by: Lane['kind']) {
  const own = placed.filter((task) => isOn(task, day))
  // A pot that stands all day would leave the cooks no room: it has its own rows, by station.
  const ofCooks = own.filter(({ cook }) => cook !== null)
  const drawn = by === 'cook' && ofCooks.length > 0 ? ofCooks : own
  const begin = day * MINUTES_OF_A_DAY
  const earliest = Math.min(...drawn.map((task) => task.start), begin + EVENING)
  const first = Math.max(begin, Math.floor(earliest / HOUR) * HOUR)
  const latest = Math.max(...drawn.map((task) => task.end), first + HOUR)
  const last = Math.min(begin + MINUTES_OF_A_DAY, Math.ceil(latest / HOUR) * HOUR)
  return { own, first, last, hours: Array.from({ length: (last - first) / HOUR + 1 }, (_, at) => first + at * HOUR) }
}

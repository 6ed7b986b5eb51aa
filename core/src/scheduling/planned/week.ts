import { type Explanation, plus, value } from '../../explanation/index.ts'
import { MINUTES_OF_A_DAY } from './settings.ts'
import type { CookShift } from './work-shapes.ts'

const DAYS = [1, 2, 3, 4, 5, 6, 7] as const
const ASSUMED_MINUTES = 8 * 60

/** Stretches of one day of the week, in order; those that meet are one. */
export function shiftsOn(day: number, week: readonly CookShift[]): [from: number, until: number][] {
  const shifts = week.filter((entry) => entry.day === day && entry.until > entry.from).sort((a, b) => a.from - b.from)
  const joined: [number, number][] = []
  for (const { from, until } of shifts) {
    const last = joined.at(-1)
    if (last && from <= last[1]) last[1] = Math.max(last[1], until)
    else joined.push([from, until])
  }
  return joined
}

/** Hours at the board on each day, Monday first. */
export const hoursOfWeek = (week: readonly CookShift[]): number[] =>
  DAYS.map((day) => shiftsOn(day, week).reduce((sum, [from, until]) => sum + (until - from) / 60, 0))

/** A cook with their week, by name; null where nobody said any. */
interface WeekOf {
  name: string
  week: readonly CookShift[] | null
}

const minutesLeft = ({ week }: WeekOf, day: number, minute: number): number =>
  shiftsOn(day, week ?? []).reduce((sum, [from, until]) => sum + Math.max(0, until - Math.max(from, minute)), 0)

/** Hours that cooks are at the board from a minute of a day of the week on, together; of those who are there. */
export const hoursLeft = (cooks: readonly WeekOf[], day: number, minute: number): number =>
  cooks.reduce((sum, cook) => sum + minutesLeft(cook, day, minute), 0) / 60

/** The formula of it, in minutes by cook; null where nobody has any left. */
export function explainHoursLeft(cooks: readonly WeekOf[], day: number, minute: number): Explanation | null {
  const terms = cooks.flatMap((cook) => {
    const minutes = minutesLeft(cook, day, minute)
    return minutes > 0 ? [value(cook.name, minutes, 'minutes')] : []
  })
  return terms.length === 0
    ? null
    : { title: 'Left at the board today', quantity: 'minutes', expression: plus(...terms) }
}

/** Every day from when the day begins, eight hours: where nobody said any. */
export const usualWeek = (begins: number): CookShift[] =>
  DAYS.map((day) => ({ day, from: begins, until: Math.min(MINUTES_OF_A_DAY, begins + ASSUMED_MINUTES) }))

/** Shifts fall on these minutes. */
const GRID = 30

/** A stretch of a day moved or made longer by some minutes: on the half hour, within the day, never shorter than that. */
export function shiftBy(
  { from, until }: Pick<CookShift, 'from' | 'until'>,
  part: 'whole' | 'from' | 'until',
  minutes: number,
): Pick<CookShift, 'from' | 'until'> {
  const by = Math.round(minutes / GRID) * GRID
  if (part === 'from') return { from: Math.max(0, Math.min(from + by, until - GRID)), until }
  if (part === 'until') return { from, until: Math.min(MINUTES_OF_A_DAY, Math.max(until + by, from + GRID)) }
  const within = Math.max(-from, Math.min(by, MINUTES_OF_A_DAY - until))
  return { from: from + within, until: until + within }
}

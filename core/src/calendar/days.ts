import {
  addDays as add,
  addMonths as addWholeMonths,
  differenceInCalendarDays,
  formatISO,
  getISODay,
  isValid,
  parse,
  parseISO,
} from 'date-fns'

/** A calendar day of the kitchen, `2026-11-24`. */
export type Day = string

const dayOf = (date: Date): Day => formatISO(date, { representation: 'date' })

/** A calendar day some days later, or earlier where `days` is negative. */
export const addDays = (day: Day, days: number): Day => dayOf(add(parseISO(day), days))

/** A calendar day some months later; the last of the month where that day is not in it. */
export const addMonths = (day: Day, months: number): Day => dayOf(addWholeMonths(parseISO(day), months))

/** Days from one calendar day to another; negative where the second is earlier. */
export const daysBetween = (from: Day, to: Day): number => differenceInCalendarDays(parseISO(to), parseISO(from))

/** How people and price lists write a day. A day with slashes is not read: half the world puts the month first. */
const WRITTEN = ['yyyy-MM-dd', 'd.M.yyyy', 'd MMM yyyy']

/** Reads a day as people write it; null where it is none, or could be two. */
export function parseDay(text: string): Day | null {
  for (const format of WRITTEN) {
    const date = parse(text.trim(), format, new Date(2000, 0, 1))
    if (isValid(date) && date.getFullYear() >= 1900 && date.getFullYear() < 10_000) return dayOf(date)
  }
  return null
}

/** The Monday of a calendar week, `2026-W48`. */
export const mondayOfWeek = (week: string): Day => dayOf(parseISO(`${week}-1`))

/** The day of the week of a calendar day: 1 for Monday to 7 for Sunday. */
export const weekdayOf = (day: Day): number => getISODay(parseISO(day))

import { addDays as add, addMonths as addWholeMonths, differenceInCalendarDays, formatISO, parseISO } from 'date-fns'

/** A calendar day of the kitchen, `2026-11-24`. */
export type Day = string

const dayOf = (date: Date): Day => formatISO(date, { representation: 'date' })

/** A calendar day some days later, or earlier where `days` is negative. */
export const addDays = (day: Day, days: number): Day => dayOf(add(parseISO(day), days))

/** A calendar day some months later; the last of the month where that day is not in it. */
export const addMonths = (day: Day, months: number): Day => dayOf(addWholeMonths(parseISO(day), months))

/** Days from one calendar day to another; negative where the second is earlier. */
export const daysBetween = (from: Day, to: Day): number => differenceInCalendarDays(parseISO(to), parseISO(from))

import type { Kitchen } from '@fleam/contract/kitchen/schemas'

/** How days are written: as the kitchen's country does, by the weights that it works in. */
let locale = 'en-GB'

/** Told once the kitchen is known, and again where another one is chosen. */
export function writeDatesAs(units: Kitchen['units']): void {
  locale = units === 'imperial' ? 'en-US' : 'en-GB'
}

/** `Tue 24 Nov` of a calendar day, `Tue, Nov 24` where pounds are weighed; with its year where it is not this one. */
export function dayWords(day: string, thisYear = String(new Date().getFullYear())): string {
  const year = day.startsWith(thisYear) ? {} : ({ year: 'numeric' } as const)
  return new Intl.DateTimeFormat(locale, {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    timeZone: 'UTC',
    ...year,
  }).format(new Date(`${day}T12:00:00Z`))
}

/** `24 Nov 2026` of a calendar day, where the year matters. */
export function dateWords(day: string): string {
  return new Intl.DateTimeFormat(locale, { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' }).format(
    new Date(`${day}T12:00:00Z`),
  )
}

/** `Nov 2026` of a month, `2026-11`. */
export const monthWords = (month: string): string =>
  new Intl.DateTimeFormat(locale, { month: 'short', year: 'numeric', timeZone: 'UTC' }).format(
    new Date(`${month}-01T12:00:00Z`),
  )

/** `January` of a month of the year, 1 to 12. */
export const monthOfYearWords = (month: number): string =>
  new Intl.DateTimeFormat(locale, { month: 'long', timeZone: 'UTC' }).format(new Date(Date.UTC(2026, month - 1, 15)))

/** `Tuesday 24 November` of now, in the kitchen's zone. */
export function todayWords(timeZone: string, now: Date): string {
  return new Intl.DateTimeFormat(locale, { weekday: 'long', day: 'numeric', month: 'long', timeZone }).format(now)
}

/** `24 Nov 2026, 14:05` of an instant, by the clock of the device. */
export function instantWords(instant: string): string {
  return new Intl.DateTimeFormat(locale, { dateStyle: 'medium', timeStyle: 'short' }).format(new Date(instant))
}

const MINUTE_MS = 60_000

/** Whole minutes between two instants. */
export const minutesBetween = (from: string, now: number) =>
  Math.max(0, Math.floor((now - Date.parse(from)) / MINUTE_MS))

/** Days of the week in the order in which they are counted, Monday first. */
export const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const

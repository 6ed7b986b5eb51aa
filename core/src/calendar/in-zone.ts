import { TZDate } from '@date-fns/tz'
import { formatISO } from 'date-fns'
import { type Day, daysBetween } from './days.ts'

const MINUTES_OF_AN_HOUR = 60
export const MINUTES_OF_A_DAY = 24 * MINUTES_OF_AN_HOUR

/** The calendar day at an instant by the clock of a time zone (`Europe/Vienna`), `2026-11-24`. */
export const dayIn = (timeZone: string, instant: Date): Day =>
  formatISO(new TZDate(instant, timeZone), { representation: 'date' })

/** Minutes between midnight of a day and an instant, by the clock of a time zone; negative before. */
export function minutesSince(day: Day, timeZone: string, instant: Date): number {
  const local = new TZDate(instant, timeZone)
  const minutes = local.getHours() * MINUTES_OF_AN_HOUR + local.getMinutes()
  return daysBetween(day, dayIn(timeZone, instant)) * MINUTES_OF_A_DAY + minutes
}

import type { Day } from './days.ts'

const MINUTE_MS = 60_000

/** Minutes between midnight of a day, by the clock of a time zone (`Europe/Vienna`), and an instant; negative before. */
export function minutesSince(day: Day, timeZone: string, instant: Date): number {
  const parts = Object.fromEntries(
    new Intl.DateTimeFormat('en-CA', {
      timeZone,
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
      hour: '2-digit',
      minute: '2-digit',
      hourCycle: 'h23',
    })
      .formatToParts(instant)
      .map(({ type, value }) => [type, value]),
  )
  const local = Date.parse(`${parts.year}-${parts.month}-${parts.day}T${parts.hour}:${parts.minute}:00Z`)
  return Math.round((local - Date.parse(`${day}T00:00:00Z`)) / MINUTE_MS)
}

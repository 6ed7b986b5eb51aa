import { TZDate } from '@date-fns/tz'
import { addDays, type Day, MINUTES_OF_A_DAY, type PlacedTask } from '@fleam/core'
import ical from 'ical-generator'

interface CalendarOptions {
  /** Whose tasks; null for those of everybody. */
  cook: string | null
  from: Day
  timeZone: string
  nameOf: (id: string) => string
}

/** The tasks of one cook, or of all, as a calendar that any calendar opens (RFC 5545), at the kitchen's own hours. */
export function calendarOf(tasks: readonly PlacedTask[], { cook, from, timeZone, nameOf }: CalendarOptions): string {
  const calendar = ical({ name: cook ?? 'All cooks', prodId: { company: 'Fleam', product: 'Schedule' } })
  const instant = (minutes: number) => {
    const [year, month, day] = addDays(from, Math.floor(minutes / MINUTES_OF_A_DAY))
      .split('-')
      .map(Number)
    const ofDay = minutes % MINUTES_OF_A_DAY
    const at = new TZDate(year as number, (month as number) - 1, day as number, 0, 0, timeZone)
    at.setHours(Math.floor(ofDay / 60), Math.round(ofDay % 60))
    return new Date(at.getTime())
  }
  for (const task of tasks) {
    if (task.cook === null || (cook !== null && task.cook !== cook)) continue
    calendar.createEvent({
      id: `${from} ${task.id}`,
      start: instant(task.start),
      end: instant(task.end),
      summary: cook === null ? `${task.cook}: ${nameOf(task.id)}` : nameOf(task.id),
      ...(task.station ? { location: `${task.station.name} ${task.station.number}` } : {}),
    })
  }
  return calendar.toString()
}

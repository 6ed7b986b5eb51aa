import { TZDate } from '@date-fns/tz'
import ical from 'ical-generator'
import { addDays, type Day } from '../calendar/index.ts'
import { isOnDuty, MINUTES_OF_A_DAY } from '../scheduling/index.ts'
import type { KeptSchedule } from './kept-schedule.ts'

interface CalendarOptions {
  /** Whose tasks; null for those of everybody. */
  cookId: string | null
  /** What cooks are called, by their ids. */
  nameOf: ReadonlyMap<string, string>
  /** First day of the plan. */
  from: Day
  timeZone: string
}

/** The tasks of one cook, or of all, as a calendar that any calendar opens (RFC 5545), at the kitchen's own hours. */
export function scheduleCalendar(
  tasks: KeptSchedule['tasks'],
  { cookId, nameOf, from, timeZone }: CalendarOptions,
): string {
  const calendar = ical({
    name: (cookId === null ? null : nameOf.get(cookId)) ?? 'All cooks',
    prodId: { company: 'Fleam', product: 'Schedule' },
  })
  const instant = (minutes: number) => {
    const [year, month, day] = addDays(from, Math.floor(minutes / MINUTES_OF_A_DAY))
      .split('-')
      .map(Number)
    const ofDay = minutes % MINUTES_OF_A_DAY
    // Eight is eight by the kitchen's clock, also on a day when the clocks change.
    const at = new TZDate(year as number, (month as number) - 1, day as number, 0, 0, timeZone)
    at.setHours(Math.floor(ofDay / 60), Math.round(ofDay % 60))
    return new Date(at.getTime())
  }
  for (const task of tasks) {
    // What falls to whoever is on duty stands in everybody's calendar.
    const isForAll = isOnDuty(task.kind)
    if (!isForAll && (task.cookId === null || (cookId !== null && task.cookId !== cookId))) continue
    const name = task.cookId === null ? 'Whoever is on duty' : (nameOf.get(task.cookId) ?? '')
    calendar.createEvent({
      id: `${from} ${task.id}`,
      start: instant(task.start),
      end: instant(task.end),
      summary: cookId === null || isForAll ? `${name}: ${task.what}` : task.what,
      ...(task.station ? { location: `${task.station.name} ${task.station.number}` } : {}),
    })
  }
  return calendar.toString()
}

export type { Day } from './days.ts'
export { addDays, addMonths, daysBetween, mondayOfWeek, parseDay, weekdayOf } from './days.ts'
export { dayIn, minutesSince } from './in-zone.ts'

export type { Day } from './days.ts'
export { addDays, addMonths, daysBetween, mondayOfWeek, parseDay, weekdayOf } from './days.ts'
export { dayIn, MINUTES_OF_A_DAY, minutesSince } from './in-zone.ts'

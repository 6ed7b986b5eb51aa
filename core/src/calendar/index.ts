export type { Day } from './days.ts'
export { addDays, addMonths, daysBetween, mondayOfWeek, parseDay, weekdayOf } from './days.ts'
export { minutesSince } from './minutes-since.ts'

export type { Day } from './days.ts'
export { addDays, addMonths, daysBetween, parseDay } from './days.ts'

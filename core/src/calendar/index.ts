export type { Day } from './days.ts'
export { addDays, addMonths, daysBetween } from './days.ts'

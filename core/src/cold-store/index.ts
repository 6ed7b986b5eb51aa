export type { KeepingEvent, LastDayRequest } from './last-day.ts'
export { earliest, KEEPING_REFUSALS, lastDay } from './last-day.ts'
export type { LotDays, LotLastDay } from './lot-last-day.ts'
export { lotLastDay } from './lot-last-day.ts'

export type { Summary } from './summary.ts'
export { summarise } from './summary.ts'
export { CONFIDENCE, normalHalfWidth, tHalfWidth } from './t-interval.ts'

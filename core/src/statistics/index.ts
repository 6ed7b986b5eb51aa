export { summarise } from './summary.ts'
export { normalHalfWidth, tHalfWidth } from './t-interval.ts'

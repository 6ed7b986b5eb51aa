export { lineFit } from './line-fit.ts'
export { summarise } from './summary.ts'
export type { MeanDifference } from './t-interval.ts'
export { meanDifference, normalHalfWidth, normalShare, tHalfWidth } from './t-interval.ts'

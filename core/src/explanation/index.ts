export type { AssumptionChange } from './assumption-changes.ts'
export { assumptionChanges } from './assumption-changes.ts'
export { explain } from './explain.ts'
export type { Expression, Quantity } from './expression.ts'
export {
  constant,
  evaluate,
  HUNDRED_GRAMS,
  inPounds,
  KILO,
  minus,
  over,
  plus,
  root,
  times,
  value,
  word,
} from './expression.ts'
export { reachFigure } from './factor-figures.ts'
export type { Explanation, FigureRef } from './figure-ref.ts'
export { moneyPartFigure } from './money-part-figure.ts'
export { explainPieceMean } from './piece-mean.ts'

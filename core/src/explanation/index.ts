export type {
  ComparisonFigureName,
  CostFigureName,
  Explanation,
  FigureRef,
  PileFigureName,
  WeightFigureName,
} from './explain.ts'
export { explain } from './explain.ts'
export type { Expression, Quantity } from './expression.ts'
export { evaluate, word } from './expression.ts'

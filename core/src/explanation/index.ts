export { explain } from './explain.ts'
export type { Expression, Quantity } from './expression.ts'
export { constant, evaluate, minus, over, plus, times, value, word } from './expression.ts'
export type { Explanation, FigureRef } from './figure-ref.ts'

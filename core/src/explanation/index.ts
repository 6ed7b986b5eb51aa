export { explain } from './explain.ts'
export type { Expression, Quantity } from './expression.ts'
export { evaluate, word } from './expression.ts'
export type { Explanation, FigureRef } from './figure-ref.ts'

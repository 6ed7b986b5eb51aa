import { type Expression, evaluate } from '../explanation/index.ts'
import type { Format } from './format.ts'

/** More decimals than usual that a number in a formula may get. */
const MAX_MORE = 2

/** The expression with every named value as it is shown with so many more decimals than usual. */
function asShown(expression: Expression, format: Format, more: number): Expression {
  const inner = (expression: Expression) => asShown(expression, format, more)
  switch (expression.kind) {
    case 'value':
      return { ...expression, value: format.shownInFormula(expression.value, expression.quantity, more) }
    case 'constant':
    case 'priced-weight':
      return expression
    case 'sum':
      return { ...expression, terms: expression.terms.map(inner) }
    case 'difference':
      return { ...expression, from: inner(expression.from), less: expression.less.map(inner) }
    case 'product':
      return { ...expression, factors: expression.factors.map(inner) }
    case 'quotient':
      return { ...expression, over: inner(expression.over), under: inner(expression.under) }
    case 'root':
      return { ...expression, of: inner(expression.of) }
  }
}

/**
 * Decimals beyond the usual with which the numbers of a formula give, to who works it out by hand, the result that
 * stands below it: `5.66 − 5.38 = 0.29` is `5.664 − 5.376`. 0 to 2; 0 where even those do not.
 */
export function moreDigits(expression: Expression, shown: (result: number) => string, format: Format): number {
  const result = shown(evaluate(expression))
  for (let more = 0; more <= MAX_MORE; more++) {
    if (shown(evaluate(asShown(expression, format, more))) === result) return more
  }
  return 0
}

/** What a number counts, so that each screen can word it in the kitchen's own units. */
export type Quantity =
  | 'weight'
  | 'money'
  | 'money-per-kg'
  /** Money for a hundred grams, said for an ounce where pounds are weighed. */
  | 'money-per-100g'
  /** What a price a kilo is multiplied by; another number for a price a pound. */
  | 'factor-per-kg'
  | 'money-per-hour'
  | 'share'
  | 'count'
  | 'minutes'
  | 'factor'
  | 'length'
  | 'area'
  | 'volume'

/** A formula with its numbers in it: it can be worded with names, worded with values, and worked out again. */
export type Expression =
  | { kind: 'value'; name: string; value: number; quantity: Quantity }
  | { kind: 'constant'; value: number }
  /** The grams of what a price counts, a kilo or a hundred grams. Prices by the pound need none: see `inPounds`. */
  | { kind: 'priced-weight'; grams: 1000 | 100 }
  | { kind: 'sum'; terms: readonly Expression[] }
  | { kind: 'difference'; from: Expression; less: readonly Expression[] }
  | { kind: 'product'; factors: readonly Expression[] }
  | { kind: 'quotient'; over: Expression; under: Expression }
  | { kind: 'root'; of: Expression }

type Leaf = Extract<Expression, { kind: 'value' }>

/** A named value of a formula, in the unit of its quantity: grams, money, minutes. */
export const value = (name: string, amount: number, quantity: Quantity): Expression => ({
  kind: 'value',
  name,
  value: amount,
  quantity,
})
/** A number of a formula that has no name and no unit. */
export const constant = (amount: number): Expression => ({ kind: 'constant', value: amount })
/** Grams in the kilo that a price counts. */
export const KILO: Expression = { kind: 'priced-weight', grams: 1000 }
/** Grams in the hundred that a price counts. */
export const HUNDRED_GRAMS: Expression = { kind: 'priced-weight', grams: 100 }
/** The sum of terms. */
export const plus = (...terms: Expression[]): Expression => ({ kind: 'sum', terms })
/** What is left of the first after all others are taken off. */
export const minus = (from: Expression, ...less: Expression[]): Expression => ({ kind: 'difference', from, less })
/** The product of factors. */
export const times = (...factors: Expression[]): Expression => ({ kind: 'product', factors })
/** A quotient; it evaluates to infinity or NaN where the divisor is zero, as the arithmetic does. */
export const over = (top: Expression, under: Expression): Expression => ({ kind: 'quotient', over: top, under })
/** The square root of something that is not below zero. */
export const root = (of: Expression): Expression => ({ kind: 'root', of })

/** Works the expression out; an empty sum is zero. */
export function evaluate(expression: Expression): number {
  switch (expression.kind) {
    case 'value':
    case 'constant':
      return expression.value
    case 'priced-weight':
      return expression.grams
    case 'sum':
      return expression.terms.reduce((sum, term) => sum + evaluate(term), 0)
    case 'difference':
      return expression.less.reduce((rest, term) => rest - evaluate(term), evaluate(expression.from))
    case 'product':
      return expression.factors.reduce((product, factor) => product * evaluate(factor), 1)
    case 'quotient':
      return evaluate(expression.over) / evaluate(expression.under)
    case 'root':
      return Math.sqrt(evaluate(expression.of))
  }
}

const isSum = (expression: Expression) =>
  expression.kind === 'difference' || (expression.kind === 'sum' && expression.terms.length > 1)

/**
 * Words an expression on one line; `leaf` words each named value, `mark` each bare number. Sums inside products get
 * brackets.
 */
export function word(
  expression: Expression,
  leaf: (value: Leaf) => string,
  mark: (value: number) => string = String,
): string {
  const inner = (expression: Expression) => word(expression, leaf, mark)
  const grouped = (expression: Expression) => (isSum(expression) ? `(${inner(expression)})` : inner(expression))
  switch (expression.kind) {
    case 'value':
      return leaf(expression)
    case 'constant':
      return mark(expression.value)
    case 'priced-weight':
      return mark(expression.grams)
    case 'sum':
      return expression.terms.length === 0 ? '0' : expression.terms.map(inner).join(' + ')
    case 'difference':
      return [inner(expression.from), ...expression.less.map(grouped)].join(' \u2212 ')
    case 'product':
      return expression.factors.map(grouped).join(' \u00d7 ')
    case 'quotient': {
      const under =
        isSum(expression.under) || expression.under.kind === 'product' || expression.under.kind === 'quotient'
      return `${grouped(expression.over)} \u00f7 ${under ? `(${inner(expression.under)})` : inner(expression.under)}`
    }
    case 'root':
      return `√(${inner(expression.of)})`
  }
}

const OUNCES_PER_POUND = 16
const ONE: Expression = { kind: 'constant', value: 1 }
const isOne = (expression: Expression) => expression.kind === 'constant' && expression.value === 1

/**
 * The same formula for a kitchen that weighs pounds and pays by the pound: weights in decimal pounds times prices a
 * pound need no thousand, and a price an ounce is a sixteenth. Values stay as they are; who words them says them in
 * pounds (core/wording).
 */
export function inPounds(expression: Expression): Expression {
  switch (expression.kind) {
    case 'value':
    case 'constant':
      return expression
    case 'priced-weight':
      return expression.grams === 1000 ? ONE : over(ONE, constant(OUNCES_PER_POUND))
    case 'sum':
      return plus(...expression.terms.map(inPounds))
    case 'difference':
      return minus(inPounds(expression.from), ...expression.less.map(inPounds))
    case 'product': {
      const factors = expression.factors.map(inPounds).filter((expression) => !isOne(expression))
      return factors.length === 1 ? (factors[0] as Expression) : times(...factors)
    }
    case 'quotient': {
      const under = inPounds(expression.under)
      return isOne(under) ? inPounds(expression.over) : over(inPounds(expression.over), under)
    }
    case 'root':
      return root(inPounds(expression.of))
  }
}

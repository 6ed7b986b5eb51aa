import type { Expression, Quantity } from '../src/explanation/index.ts'

const POUND = 453.59237
const INCH = 25.4

/** What a number of each kind is in a kitchen of pounds and inches, with prices a pound and an ounce. */
const IN_POUNDS: Partial<Record<Quantity, (value: number) => number>> = {
  weight: (grams) => grams / POUND,
  'money-per-kg': (perKg) => (perKg / 1000) * POUND,
  'money-per-100g': (per100g) => (per100g / 100) * (POUND / 16),
  'factor-per-kg': (perKg) => (perKg * 1000) / POUND,
  length: (mm) => mm / INCH,
  area: (mm2) => mm2 / INCH ** 2,
  volume: (mm3) => mm3 / INCH ** 3,
}

export const inPoundsOf = (value: number, quantity: Quantity): number => IN_POUNDS[quantity]?.(value) ?? value

/** The same formula with every value in pounds and inches, as it is read there. */
export function valuesInPounds(expression: Expression): Expression {
  switch (expression.kind) {
    case 'value':
      return { ...expression, value: inPoundsOf(expression.value, expression.quantity) }
    case 'constant':
    case 'priced-weight':
      return expression
    case 'sum':
      return { ...expression, terms: expression.terms.map(valuesInPounds) }
    case 'difference':
      return { ...expression, from: valuesInPounds(expression.from), less: expression.less.map(valuesInPounds) }
    case 'product':
      return { ...expression, factors: expression.factors.map(valuesInPounds) }
    case 'quotient':
      return { ...expression, over: valuesInPounds(expression.over), under: valuesInPounds(expression.under) }
    case 'root':
      return { ...expression, of: valuesInPounds(expression.of) }
  }
}

import fc from 'fast-check'
import { evaluate, minus, over, plus, type Quantity, times, value, word } from '../explanation/index.ts'
import { formatFor, moreDigits } from './index.ts'

const euro = formatFor('EUR', 'metric')
const dollar = formatFor('USD', 'imperial')
const money = (amount: number) => value('x', amount, 'money')
const told = (expression: ReturnType<typeof minus>, format = euro) =>
  word(expression, (entry) =>
    format.formula(entry.value, entry.quantity, moreDigits(expression, format.money, format)),
  ).replaceAll('\u00a0', ' ')

test('two decimals do where they give the result that is shown; else as many as do', () => {
  expect(told(minus(money(5.66), money(5.38)))).toBe('€5.66 − €5.38')
  // Shown as 0.29.
  expect(told(minus(money(5.664), money(5.376)))).toBe('€5.664 − €5.376')
  expect(told(plus(money(1.004), money(1.004), money(1.004)))).toBe('€1.004 + €1.004 + €1.004')
  expect(told(times(value('weight', 280.4, 'weight'), value('price', 0.0131, 'money')))).toBe('280.4 g × €0.0131')
  expect(told(over(money(1), value('pieces', 3, 'count')))).toBe('€1.00 ÷ 3')
})

test('whole numbers stay whole, and pounds are as exact as grams', () => {
  expect(told(minus(value('a', 453.59237, 'weight'), value('b', 100, 'weight')), dollar)).toMatch(
    /^1 lb − 0\.22\d* lb$/,
  )
  expect(told(over(money(10.004), value('portions', 12, 'count')), dollar)).toBe('$10.00 ÷ 12')
})

test('what a number in a formula is read as is what it stands for, to half its last digit', () => {
  const kinds: Quantity[] = ['weight', 'money', 'money-per-kg', 'share', 'minutes', 'count', 'factor', 'length']
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 50_000, noNaN: true }),
      fc.constantFrom(...kinds),
      fc.integer({ min: 0, max: 2 }),
      fc.constantFrom(euro, dollar),
      (amount, kind, more, format) => {
        const read = format.shownInFormula(amount, kind, more)
        // Read and shown anew it is the same number, and never far from what it stands for.
        expect(format.shownInFormula(read, kind, more)).toBeCloseTo(read, 6)
        const step = Math.abs(format.shownInFormula(amount, kind, more + 4) - read)
        expect(step).toBeLessThan(kind === 'weight' ? 3 : 0.6)
      },
    ),
    { seed: 16, numRuns: 500 },
  )
})

test('with the decimals that are chosen the result comes out as it is shown, or nothing is changed', () => {
  const amount = fc.double({ min: 0.01, max: 500, noNaN: true })
  fc.assert(
    fc.property(amount, amount, amount, (a, b, c) => {
      const expression = plus(money(a), minus(money(b), money(c)))
      const more = moreDigits(expression, euro.money, euro)
      const read = (x: number) => euro.shownInFormula(x, 'money', more)
      if (more > 0) expect(euro.money(read(a) + read(b) - read(c))).toBe(euro.money(evaluate(expression)))
    }),
    { seed: 17, numRuns: 500 },
  )
})

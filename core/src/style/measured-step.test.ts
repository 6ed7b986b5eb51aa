import { type MeasuredStep, measuredStep, stepWorth } from './index.ts'

const money = { valuePerKg: 13.2, wagePerHour: 21.4 }
const test_ = (isDone: boolean, grams: number, seconds: number) => ({ isDone, grams, seconds })

test('the worth is the difference of the means, in grams, seconds and money', () => {
  const tests = [test_(true, 540, 580), test_(true, 548, 570), test_(false, 530, 545), test_(false, 534, 549)]
  const measured = measuredStep(tests, money) as MeasuredStep
  expect(measured.grams.difference).toBeCloseTo(12, 9)
  expect(measured.seconds.difference).toBeCloseTo(28, 9)
  const { worth } = stepWorth({ grams: 12, seconds: 28, ...money })
  expect(measured.worth.difference).toBeCloseTo(worth, 9)
  expect(measured.worth.halfWidth).toBeGreaterThan(0)
})

test('two equal samples of two have the interval that any table gives', () => {
  // Equal spreads: Welch is the pooled t with two degrees of freedom, 2.919986 × √(8 ÷ 2 + 8 ÷ 2).
  const tests = [test_(true, 4, 0), test_(true, 8, 0), test_(false, 0, 0), test_(false, 4, 0)]
  expect((measuredStep(tests, money) as MeasuredStep).grams.halfWidth).toBeCloseTo(2.919986 * Math.sqrt(8), 4)
})

test('one record without it measures nothing', () => {
  expect(measuredStep([test_(true, 4, 1), test_(true, 8, 1), test_(false, 4, 1)], money)).toBeNull()
})

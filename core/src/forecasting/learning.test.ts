import { evaluate } from '../explanation/index.ts'
import { type Learning, learningFrom } from './index.ts'

/** Records that follow a learning curve exactly, each seen at the middle of its units. */
function curve(first: number, rate: number, batches: readonly number[]) {
  let done = 0
  return batches.map((units) => {
    const middle = done + (units + 1) / 2
    done += units
    return { units, minutesPerUnit: first * middle ** Math.log2(rate) }
  })
}

test('finds the rate that the records follow', () => {
  const learning = learningFrom(curve(12, 0.8, [2, 4, 6, 6, 8])) as Learning
  expect(learning.rate).toBeCloseTo(0.8, 9)
  expect(learning.units).toBe(26)
  expect(learning.nextMinutes).toBeCloseTo(12 * 27 ** Math.log2(0.8), 9)
  expect(learning.isSure).toBe(true)
  expect(evaluate(learning.explanation.expression)).toBeCloseTo(learning.nextMinutes, 9)
})

test('records that only scatter teach nothing for sure', () => {
  const minutes = [9, 10, 8.8, 10.2, 9.1, 9.9]
  const learning = learningFrom(minutes.map((minutesPerUnit) => ({ units: 6, minutesPerUnit }))) as Learning
  expect(learning.isSure).toBe(false)
})

test('three records are too few, and one without time says nothing', () => {
  expect(learningFrom(curve(12, 0.8, [6, 6, 6]))).toBeNull()
  expect(learningFrom([...curve(12, 0.8, [6, 6, 6]), { units: 6, minutesPerUnit: 0 }])).toBeNull()
})

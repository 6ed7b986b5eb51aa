import fc from 'fast-check'
import { lineParts, unitsOfCooks } from '../index.ts'

const steps = (count: number) => Array.from({ length: count }, (_, at) => `step ${at + 1}`)
const cooks = (count: number) => Array.from({ length: count }, (_, at) => `cook ${at + 1}`)

test('a line has every step once, in their order, and no part is longer than another by more than one', () => {
  const counts = fc.tuple(fc.integer({ min: 1, max: 30 }), fc.integer({ min: 1, max: 12 }))
  fc.assert(
    fc.property(counts, ([count, hands]) => {
      const parts = lineParts(steps(count), cooks(hands))
      expect(parts.flatMap((part) => part.steps)).toEqual(steps(count))
      expect(parts.map(({ cookId }) => cookId)).toEqual(cooks(Math.min(count, hands)))
      const lengths = parts.map((part) => part.steps.length)
      expect(Math.max(...lengths) - Math.min(...lengths)).toBeLessThanOrEqual(1)
    }),
  )
})

test('every bird is somebody’s, and nobody has more than one bird more', () => {
  expect(unitsOfCooks(12, 3)).toEqual([4, 4, 4])
  expect(unitsOfCooks(7, 3)).toEqual([3, 2, 2])
  expect(unitsOfCooks(2, 3)).toEqual([1, 1, 0])
})

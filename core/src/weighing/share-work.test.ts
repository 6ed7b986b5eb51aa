import fc from 'fast-check'
import { lineParts, unitsOfCooks } from './index.ts'

const steps = (minutes: readonly number[]) => minutes.map((own, index) => ({ id: `step ${index + 1}`, minutes: own }))
const cooks = (count: number) => Array.from({ length: count }, (_, index) => `cook ${index + 1}`)
const sum = (list: readonly number[]) => list.reduce((whole, own) => whole + own, 0)

/** The longest part of every way to cut a row into so many runs, none of them empty: the shortest of them. */
function shortestLongest(minutes: readonly number[], runs: number): number {
  if (runs === 1) return sum(minutes)
  const ways = Array.from({ length: minutes.length - runs + 1 }, (_, index) =>
    Math.max(sum(minutes.slice(0, index + 1)), shortestLongest(minutes.slice(index + 1), runs - 1)),
  )
  return Math.min(...ways)
}

test('a line has every step once, in their order, and no other has a shorter longest part', () => {
  const minutes = fc.array(fc.integer({ min: 0, max: 40 }), { minLength: 1, maxLength: 9 })
  fc.assert(
    fc.property(minutes, fc.integer({ min: 1, max: 6 }), (own, hands) => {
      const parts = lineParts(steps(own), cooks(hands))
      expect(parts.flatMap((part) => part.steps)).toEqual(steps(own).map(({ id }) => id))
      expect(parts.map(({ cookId }) => cookId)).toEqual(cooks(Math.min(own.length, hands)))
      expect(Math.max(...parts.map((part) => part.minutes))).toBe(shortestLongest(own, parts.length))
    }),
  )
})

test('of steps that are equally long no part has more than one more than another, the first cooks the more', () => {
  const lengths = (count: number, hands: number) =>
    lineParts(steps(Array.from({ length: count }, () => 2)), cooks(hands)).map((part) => part.steps.length)
  expect(lengths(8, 3)).toEqual([3, 3, 2])
  expect(lengths(7, 3)).toEqual([3, 2, 2])
  expect(lengths(2, 5)).toEqual([1, 1])
})

test('a long step is a part of its own', () => {
  const parts = lineParts(steps([1, 1, 1, 6, 1]), cooks(3))
  expect(parts.map((part) => [part.steps.length, part.minutes])).toEqual([
    [3, 3],
    [1, 6],
    [1, 1],
  ])
})

test('every bird is somebody’s, and nobody has more than one bird more', () => {
  expect(unitsOfCooks(12, 3)).toEqual([4, 4, 4])
  expect(unitsOfCooks(7, 3)).toEqual([3, 2, 2])
  expect(unitsOfCooks(2, 3)).toEqual([1, 1, 0])
})

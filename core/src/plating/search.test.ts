import { leastDeviation, mostPlates } from './bounds.ts'
import { piecesOnPlate, platingOf, slotsOf } from './plate.ts'
import type { PlatingRequest } from './plate-request.ts'
import { possibleSets } from './programme.ts'
import { PlatingSearch } from './search.ts'

const pieces = (weights: readonly number[], kinds: readonly string[] = []) =>
  weights.map((weight, index) => ({
    id: `p${index}`,
    weight,
    kind: kinds[index % Math.max(1, kinds.length)] ?? 'any kind',
  }))
const request = (
  weights: readonly number[],
  changes: Partial<PlatingRequest['plate']> = {},
  kinds: readonly string[] = [],
): PlatingRequest => ({
  pieces: pieces(weights, kinds),
  plate: { low: 190, target: 200, high: 210, needs: [{ kind: 'any', count: 2 }], ...changes },
})

describe('bounds', () => {
  test('no more plates than pieces, or than pieces of a kind', () => {
    expect(mostPlates(request([1, 2, 3, 4, 5]))).toBe(2)
    const needs = [
      { kind: 'dark', count: 2 },
      { kind: 'any', count: 1 },
    ]
    expect(mostPlates(request([1, 2, 3, 4, 5, 6], { needs }, ['dark', 'white']))).toBe(1)
    expect(mostPlates(request([]))).toBe(0)
  })

  test('what all pieces weigh together bounds the distance from below', () => {
    // Four pieces of 105 make two plates of 210: twenty grams off in all, whoever deals them out.
    expect(leastDeviation(request([105, 105, 105, 105]), 2)).toBe(20)
    expect(leastDeviation(request([90, 90, 90, 90]), 2)).toBe(40)
    // With a light one to spare the bound cannot tell.
    expect(leastDeviation(request([105, 105, 105, 105, 80]), 2)).toBe(0)
  })
})

describe('the search', () => {
  const weights = [92, 108, 95, 105, 99, 101, 88, 112]

  test('finds plates that nothing beats, and knows it', () => {
    const search = new PlatingSearch(request(weights), 0.3)
    search.step(20_000)
    expect([search.sets.length, search.deviation, search.isProven]).toEqual([4, 0, true])
  })

  test('the same seed finds the same plates', () => {
    const [one, other] = [new PlatingSearch(request(weights), 0.7), new PlatingSearch(request(weights), 0.7)]
    for (const search of [one, other]) search.step(500)
    expect(one.sets).toEqual(other.sets)
  })

  test('named kinds take their seats and no others', () => {
    const needs = [
      { kind: 'any', count: 1 },
      { kind: 'dark', count: 1 },
    ]
    const kinds = ['dark', 'white']
    const asked = request(weights, { needs }, kinds)
    const search = new PlatingSearch(asked, 0.2)
    search.step(20_000)
    for (const set of search.sets) expect(set.some((at) => asked.pieces[at]?.kind === 'dark')).toBe(true)
    expect(slotsOf(asked.plate)).toEqual(['dark', 'any'])
    expect(piecesOnPlate(asked.plate)).toBe(2)
  })

  test('nothing to exchange is put up with', () => {
    const search = new PlatingSearch(request([100]), 0.5)
    search.step(100)
    expect([search.most, search.sets]).toEqual([0, []])
  })
})

describe('possible plates', () => {
  test('are all pairs within bounds, once each', () => {
    const sets = possibleSets(request([100, 95, 100, 150]), Number.POSITIVE_INFINITY)
    expect(sets).toEqual([
      [0, 1],
      [0, 2],
      [1, 2],
    ])
  })

  test('a reach leaves out what is further off', () => {
    expect(possibleSets(request([100, 95, 100]), 3)).toEqual([[0, 2]])
  })

  test('too many to write down are none', () => {
    const many = request(
      Array.from({ length: 120 }, () => 66.6),
      { needs: [{ kind: 'any', count: 3 }] },
    )
    expect(possibleSets(many, Number.POSITIVE_INFINITY)).toBeNull()
  })
})

test('an answer without plates has no mean, spread or fairness', () => {
  expect(platingOf(request([1]), [], 0)).toMatchObject({ mean: null, spread: null, fairness: null, left: ['p0'] })
})

import fc from 'fast-check'
import type { Pile } from '../fabrication/index.ts'
import { CREDIT_POLICIES } from '../fabrication/index.ts'
import { allocate } from './allocation.ts'
import { creditByPolicy, creditOf } from './credit.ts'
import { ratio } from './pile-cost.ts'
import { boundOf, pieceStatistics, portionsOf, servedPieces } from './portions.ts'

const bones: Pile = {
  name: 'bones',
  class: 'by-product',
  weight: 2000,
  valuePerKg: 1.5,
  usedShare: 0.5,
  processingPerKg: 2,
}
const bin: Pile = { name: 'bin', class: 'waste', weight: 1000, valuePerKg: -0.2 }
const steaks: Pile = { name: 'steaks', class: 'primary', weight: 1000, valuePerKg: 30, portions: 5 }
const roast: Pile = { name: 'roast', class: 'primary', weight: 3000, valuePerKg: 10, portions: 5 }

describe('credit', () => {
  test('of a by-product follows the policy', () => {
    const credit = (policy: 'none' | 'book' | 'used' | 'net') => creditOf(bones, 2000, policy)
    expect([credit('none'), credit('book'), credit('used'), credit('net')]).toEqual([0, 3, 1.5, -0.5])
  })

  test('counts haulage in full under all policies but none', () => {
    const policies = ['none', 'book', 'used', 'net'] as const
    expect(policies.map((policy) => creditOf(bin, 1000, policy))).toEqual([0, -0.2, -0.2, -0.2])
  })

  test('is never given for what the item was bought for', () => {
    expect(creditOf(steaks, 1000, 'book')).toBe(0)
  })

  test('counts what has no value for nothing, and all of it as used unless said otherwise', () => {
    expect(creditOf({ name: 'x', class: 'by-product', weight: 1 }, 1000, 'book')).toBe(0)
    expect(creditOf({ ...bones, usedShare: undefined }, 2000, 'used')).toBe(3)
  })

  test('sums under each policy agree with pile by pile', () => {
    const sums = creditByPolicy([steaks, bones, bin], [1000, 2000, 1000])
    expect(sums).toEqual({ none: 0, book: 2.8, used: 1.3, net: -0.7 })
  })

  test('summed up in one pass is the sum of each pile’s, under every policy', () => {
    const pile = fc.record({
      name: fc.constant('p'),
      class: fc.constantFrom('primary', 'by-product', 'waste'),
      valuePerKg: fc.double({ min: -5, max: 50, noNaN: true }),
      usedShare: fc.double({ min: 0, max: 1, noNaN: true }),
      processingPerKg: fc.double({ min: 0, max: 5, noNaN: true }),
    }) as fc.Arbitrary<Pile>
    const weighed = fc.tuple(pile, fc.double({ min: 0, max: 50_000, noNaN: true }))
    fc.assert(
      fc.property(fc.array(weighed, { maxLength: 20 }), (piles) => {
        const sums = creditByPolicy(
          piles.map(([each]) => each),
          piles.map(([, grams]) => grams),
        )
        for (const policy of CREDIT_POLICIES) {
          const one = piles.reduce((sum, [each, grams]) => sum + creditOf(each, grams, policy), 0)
          expect(sums[policy]).toBeCloseTo(one, 6)
        }
      }),
    )
  })
})

describe('allocation', () => {
  const piles = [steaks, bones, roast]
  const shares = (rule: 'weight' | 'value' | 'portion') => allocate(piles, [1000, 2000, 3000], [5, null, 5], rule)

  test('spreads by weight, by value, or by portions, over primaries alone', () => {
    expect(shares('weight').shares).toEqual([0.25, null, 0.75])
    expect(shares('value').shares).toEqual([0.5, null, 0.5])
    expect(shares('portion').shares).toEqual([0.5, null, 0.5])
  })

  test('by value falls back to weight where one primary has none', () => {
    const result = allocate([steaks, { ...roast, valuePerKg: 0 }], [1000, 3000], [5, 5], 'value')
    expect(result).toEqual({ allocation: 'weight', shares: [0.25, 0.75], fellBack: true })
  })

  test('by portion falls back to weight where nothing was counted', () => {
    expect(allocate([steaks, roast], [1000, 3000], [0, null], 'portion').allocation).toBe('weight')
  })

  test('has nothing to go by while nothing primary is weighed', () => {
    expect(allocate(piles, [0, 2000, 0], [null, null, null], 'weight').shares).toEqual([null, null, null])
  })
})

describe('portions', () => {
  const pieces: Pile = { name: 'p', class: 'primary', pieces: [90, 100, 110, 121], target: 100, low: 95, high: 120 }

  test('are the pieces served, the count given, or weight over target', () => {
    expect(portionsOf(pieces, 421, pieceStatistics(pieces, 421))).toBe(3)
    expect(portionsOf(steaks, 1000, null)).toBe(5)
    expect(portionsOf({ name: 'p', class: 'primary', weight: 999, target: 250 }, 999, null)).toBe(3)
    expect(portionsOf({ name: 'p', class: 'primary', weight: 999 }, 999, null)).toBeNull()
  })

  test('each piece is below, within or above, and the bounds themselves are within', () => {
    const statistics = pieceStatistics({ ...pieces, pieces: [94, 95, 120, 121] }, 430)
    expect(statistics).toMatchObject({ served: 3, below: 1, within: 2, above: 1 })
  })

  test('one piece is judged by the same rule as all of them', () => {
    const { below, within, above } = pieceStatistics({ ...pieces, pieces: [94, 95, 120, 121] }, 430)
    const bounds = [94, 95, 120, 121].map((piece) => boundOf(piece, 95, 120))
    expect(bounds).toEqual(['below', 'within', 'within', 'above'])
    expect({ below, within, above }).toEqual({ below: 1, within: 2, above: 1 })
    expect(boundOf(1, null, null)).toBe('within')
  })

  test('a piece too heavy is served and its excess given away; one too light is not', () => {
    expect(pieceStatistics(pieces, 421).overweight).toBe(31)
    expect(servedPieces(pieces)).toEqual([100, 110, 121])
  })

  test('without bounds every piece is served, without a target nothing is given away', () => {
    const free: Pile = { name: 'p', class: 'primary', pieces: [1, 2, 3] }
    expect(pieceStatistics(free, 6)).toEqual({
      served: 3,
      below: 0,
      within: 3,
      above: 0,
      mean: 2,
      sd: 1,
      overweight: null,
    })
    expect(servedPieces(free)).toEqual([1, 2, 3])
  })

  test('one piece has no spread, none has no mean', () => {
    expect(pieceStatistics({ ...pieces, pieces: [100] }, 100)).toMatchObject({ mean: 100, sd: null })
    expect(pieceStatistics({ ...pieces, pieces: [] }, 0)).toMatchObject({ mean: null, sd: null, overweight: 0 })
  })
})

test('a ratio with nothing in it or under it is null', () => {
  expect([ratio(6, 3), ratio(null, 3), ratio(6, null), ratio(6, 0)]).toEqual([2, null, null, null])
})

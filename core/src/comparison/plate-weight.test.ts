import fc from 'fast-check'
import { sixChickens } from '../../test/documents.ts'
import { appraise } from '../appraisal/index.ts'
import { evaluate, explain } from '../explanation/index.ts'
import type { Pile } from '../fabrication/index.ts'
import { plateYield } from './index.ts'
import { plateWeight, servedOfBought } from './plate-weight.ts'

const pile = (changes: Partial<Pile>): Pile => ({ name: 'supremes', class: 'primary', ...changes })

describe('what a plate carries', () => {
  test('is cut off at the target piece by piece, and a piece that is not served carries nothing', () => {
    const pieces = [250, 281, 290, 300]
    expect(plateWeight(pile({ pieces, target: 280, low: 260 }), { portions: 3, weight: 1121 })).toBe(280)
    expect(plateWeight(pile({ pieces, target: 290, low: 260 }), { portions: 3, weight: 1121 })).toBe((281 + 580) / 3)
  })

  test('of a pile weighed together is its mean, up to the target', () => {
    expect(plateWeight(pile({ target: 140 }), { portions: 12, weight: 1640 })).toBeCloseTo(1640 / 12, 12)
    expect(plateWeight(pile({ target: 130 }), { portions: 12, weight: 1640 })).toBe(130)
    expect(plateWeight(pile({}), { portions: 12, weight: 1800 })).toBe(150)
  })

  test('is nothing without portions, or where they weigh nothing', () => {
    expect(plateWeight(pile({ target: 140 }), { portions: 0, weight: 0 })).toBeNull()
    expect(plateWeight(pile({ target: 140 }), { portions: null, weight: 100 })).toBeNull()
    expect(plateWeight(pile({ target: 140 }), { portions: 3, weight: 0 })).toBeNull()
    expect(plateYield(3, null, 1000)).toBeNull()
  })
})

test('a bought piece gives a plate no more than the plate asks for', () => {
  expect(servedOfBought({ pieceWeight: 280 }, 250)).toBe(250)
  expect(servedOfBought({ pieceWeight: 200 }, 250)).toBe(200)
  expect(servedOfBought({ pieceWeight: 200 }, undefined)).toBe(200)
})

test('what is given away never makes a bought plate dearer to compare with', () => {
  const weights = fc.array(fc.integer({ min: 200, max: 400 }), { minLength: 1, maxLength: 20 })
  fc.assert(
    fc.property(weights, fc.integer({ min: 0, max: 100 }), (pieces, more) => {
      const plate = (list: number[]) =>
        plateWeight(pile({ pieces: list, target: 280 }), { portions: list.length, weight: 1 }) as number
      const heavier = pieces.map((piece) => (piece >= 280 ? piece + more : piece))
      expect(plate(heavier)).toBeCloseTo(plate(pieces), 9)
    }),
    { seed: 9, numRuns: 100 },
  )
})

test('today’s yield on the plates opens to its formula', () => {
  const document = sixChickens()
  const appraisal = appraise(document)
  const [comparison] = appraisal.comparisons
  const portions = appraisal.piles[0]?.portions ?? null
  const now = plateYield(portions, comparison?.plateWeight ?? null, appraisal.weights.ap) as number
  const explanation = explain(document, appraisal, { group: 'comparison', at: 0, figure: 'plateYieldNow' })
  expect(evaluate(explanation?.expression as never)).toBeCloseTo(now, 12)
  // Portions turn it at the same ratio as the yield: both speak of the same plates.
  const { breakEven } = comparison as NonNullable<typeof comparison>
  expect((breakEven.pileYield as number) / now).toBeCloseTo((breakEven.portions as number) / (portions as number), 12)
})

import fc from 'fast-check'
import { reading } from '../../test/facts.ts'
import { planned, SIX_BIRDS } from '../../test/planned.ts'
import { appraise } from '../appraisal/index.ts'
import { type FabricationPlan, type PlannedPile, pilesFromReadings } from '../fabrication/index.ts'
import { expectedDocument, expectedWeights, type FinishInput, type SoFar } from './expected-ending.ts'
import type { Rhythm } from './index.ts'
import { countsOf } from './sequence.ts'

const CAME = 12_600
const steps = SIX_BIRDS.steps.map(({ pileIds }, index) => ({ id: `step ${index}`, pileIds }))
const values: Readonly<Record<string, number>> = { supremes: 13.2, thighs: 9.4, drumsticks: 4.2, bones: 1.3 }
const piles = SIX_BIRDS.piles.map((pile) => ({ ...pile, valuePerKg: values[pile.id] ?? null }))

const recordOf = (changes: Partial<FinishInput> = {}): FabricationPlan & FinishInput => ({
  ...{ id: 'r', currency: 'EUR', item: 'Chicken', style: 'supremes' },
  purchase: { price: { amount: 3.1, per: 'kg' }, invoiceWeight: CAME, extras: 3 },
  labour: [{ task: 'break down', minutes: 54, ratePerHour: 21.4 }],
  labourFrom: 'assumed',
  consumables: [{ name: 'bags', cost: 1.8 }],
  offers: [{ name: 'Supremes', pileId: 'supremes', price: { amount: 76, per: 'case' }, pieces: 20, pieceWeight: 280 }],
  ...{ creditPolicy: 'used', allocation: 'value', confirmed: false },
  ...{ date: '2026-12-01', cook: null, supplier: null, lot: null, notes: null },
  ...{ status: 'open', piles, steps, units: 6, rhythm: 'unit', ...changes },
})

type Weighed = readonly { pileId: string; grams: number; pieces?: number }[]

/** The record as it would end, with its costs. */
function ending(record: ReturnType<typeof recordOf>, weighed: Weighed, marks: SoFar['marks'] = []) {
  const readings = weighed.map(({ pileId, grams, pieces }, index) =>
    reading(String(index), pileId, grams, pieces === undefined ? {} : { pieces }),
  )
  const document = {
    ...{ format: 'fleam/fabrication' as const, version: 1 as const, currency: 'EUR', item: 'Chicken', style: 'x' },
    ...{ purchase: record.purchase, labour: record.labour, consumables: record.consumables },
    ...{ creditPolicy: record.creditPolicy, allocation: record.allocation },
    offers: record.offers.map(({ pileId, articleId: _none, ...offer }) => ({ ...offer, pile: pileId })),
    piles: pilesFromReadings(record.piles, readings),
  }
  const expected = expectedDocument(record, document, { marks, counts: countsOf(record.piles, readings) })
  return { document: expected, appraisal: appraise(expected) }
}
const costOf = (...parameters: Parameters<typeof ending>) => ending(...parameters).appraisal.piles[0]?.costPerPortion

/** Weighings that are exactly what is expected: pieces one by one, what is weighed whole bird by bird. */
const asExpected = (of: readonly PlannedPile[], units: number, cameIn = CAME): { pileId: string; grams: number }[] => {
  const shares = of.reduce((sum, pile) => sum + (pile.expectedShare ?? 0), 0)
  return of.flatMap((pile) => {
    const times = pile.weighing === 'pieces' ? (pile.portions as number) : units
    const grams = ((pile.expectedShare as number) * CAME * Math.min(1, cameIn / (shares * CAME))) / times
    return Array.from({ length: times }, () => ({ pileId: pile.id, grams }))
  })
}

const isDone = (step: string) => ({ mark: 'step-done' as const, step })

describe('the rest as expected', () => {
  test('stays where it was after one normal bird', () => {
    const before = costOf(recordOf(), [])
    const bird = asExpected(piles, 6).filter(({ pileId }, index, all) => {
      const place = all.slice(0, index).filter((other) => other.pileId === pileId).length
      return place < (pileId === 'supremes' || pileId === 'drumsticks' ? 2 : 1)
    })
    expect(bird).toHaveLength(7)
    expect(costOf(recordOf(), bird)).toBeCloseTo(before as number, 9)
  })

  test.each([
    ['bird by bird', 'unit'],
    ['one step for all', 'step'],
  ] as const)('exactly what is expected never moves it, in any order: %s', (_words, rhythm) => {
    fc.assert(
      fc.property(orders(piles, rhythm), ({ weighed, marks, upTo }) => {
        const record = recordOf({ rhythm })
        const so = weighed.slice(0, upTo)
        const before = costOf(record, []) as number
        expect(Math.abs((costOf(record, so) as number) / before - 1)).toBeLessThan(1e-9)
        // A step may be called done once all of its weighings are taken.
        const left = new Set(weighed.slice(upTo).map(({ pileId }) => pileId))
        const done = marks.filter(
          ({ step }) => !steps.find(({ id }) => id === step)?.pileIds.some((id) => left.has(id)),
        )
        const { appraisal } = ending(record, so, done)
        expect(Math.abs((appraisal.piles[0]?.costPerPortion as number) / before - 1)).toBeLessThan(1e-9)
        const bought = ending(record, []).appraisal.comparisons[0]?.saving as number
        expect(appraisal.comparisons[0]?.saving).toBeCloseTo(bought, 9)
      }),
      { seed: 30, numRuns: 200 },
    )
  })

  test('nor where a style promises more than comes in', () => {
    const generous = piles.map((pile) => ({ ...pile, expectedShare: (pile.expectedShare as number) * 1.4, low: null }))
    fc.assert(
      fc.property(orders(generous, 'unit', CAME), ({ weighed, upTo }) => {
        const record = recordOf({ piles: generous })
        const before = costOf(record, []) as number
        expect(Math.abs((costOf(record, weighed.slice(0, upTo)) as number) / before - 1)).toBeLessThan(1e-9)
      }),
      { seed: 31, numRuns: 100 },
    )
  })

  test('portions are those weighed within bounds and those still to come', () => {
    const weighed = [281, 278, 190, 60, 275].map((grams) => ({ pileId: 'supremes', grams }))
    const { appraisal } = ending(recordOf(), weighed)
    expect(appraisal.piles[0]?.portions).toBe(3 + 7)
    expect(appraisal.piles[0]?.costPerPortion).toBeCloseTo(((costOf(recordOf(), []) as number) * 12) / 10, 9)
  })

  test('what is more in one pile comes out of those that are not finished, and never more than came in', () => {
    const { document } = ending(recordOf(), [{ pileId: 'bones', grams: 7_000 }])
    const weights = document.piles.map((pile) => pile.weight ?? 0)
    expect(weights.reduce((sum, weight) => sum + weight, 0)).toBeCloseTo(CAME, 6)
    expect(weights[3]).toBe(7_000)
    const shares = [0.27, 0.13, 0.135].map((share, index) => (weights[index] as number) / (share * CAME))
    expect(shares[0]).toBeLessThan(1)
    for (const share of shares) expect(share).toBeCloseTo(shares[0] as number, 9)
  })

  test('a pile is finished by its step for the last bird, not by what lies in it', () => {
    const weighed = [{ pileId: 'bones', grams: 500 }]
    const bones = (marks: SoFar['marks'], changes: Partial<FinishInput> = {}) =>
      ending(recordOf(changes), weighed, marks).document.piles[3]?.weight
    expect(bones([])).toBeCloseTo(0.31 * CAME, 6)
    expect(bones(Array.from({ length: 5 }, () => isDone('step 4')))).toBeCloseTo(0.31 * CAME, 6)
    expect(bones(Array.from({ length: 6 }, () => isDone('step 4')))).toBe(500)
    expect(bones([isDone('step 4')], { rhythm: 'step' })).toBe(500)
    expect(bones([], { status: 'closed' })).toBe(500)
  })
})

test('expected weights solve their rule, whatever is weighed', () => {
  const pile = fc.record({
    weighed: fc.integer({ min: 0, max: 4000 }),
    expected: fc.option(fc.integer({ min: 0, max: 4000 })),
    isFinished: fc.boolean(),
  })
  fc.assert(
    fc.property(fc.array(pile, { minLength: 1, maxLength: 8 }), fc.integer({ min: 1, max: 20_000 }), (of, cameIn) => {
      const weights = expectedWeights(of, cameIn)
      const weighed = of.reduce((sum, entry) => sum + entry.weighed, 0)
      const total = weights.reduce((sum, weight) => sum + weight, 0)
      expect(total).toBeLessThanOrEqual(Math.max(cameIn, weighed) + 1e-6)
      weights.forEach((weight, index) => {
        const { weighed: lies, expected, isFinished } = of[index] as (typeof of)[number]
        expect(weight).toBeGreaterThanOrEqual(lies)
        if (isFinished || expected === null) expect(weight).toBe(lies)
        else expect(weight).toBeLessThanOrEqual(Math.max(lies, expected) + 1e-9)
      })
      // Nothing is held back while there is room for it.
      const isHeldBack = weights.some((weight, index) => {
        const { expected, isFinished } = of[index] as (typeof of)[number]
        return !isFinished && expected !== null && weight < expected - 1e-6
      })
      if (isHeldBack && weighed < cameIn) expect(total).toBeCloseTo(cameIn, 4)
    }),
    { seed: 32, numRuns: 500 },
  )
})

test('a pile of which nothing is expected weighs what lies in it', () => {
  expect(expectedWeights([{ weighed: 5, expected: null, isFinished: false }], 100)).toEqual([5])
  expect(planned('x').expectedShare).toBeNull()
})

/** Weighings in any order, cut off anywhere, with every step called done as often as there are birds. */
function orders(of: readonly PlannedPile[], rhythm: Rhythm, cameIn = CAME) {
  const all = asExpected(of, 6, cameIn)
  const rounds = rhythm === 'unit' ? 6 : 1
  const marks = steps.flatMap(({ id }) => Array.from({ length: rounds }, () => isDone(id)))
  return fc.record({
    weighed: fc.shuffledSubarray(all, { minLength: all.length }),
    marks: fc.constant(marks),
    upTo: fc.integer({ min: 0, max: all.length }),
  })
}

import fc from 'fast-check'
import { sixChickens } from '../../test/documents.ts'
import { reading as madeReading } from '../../test/facts.ts'
import { planned, SIX_BIRDS } from '../../test/planned.ts'
import { DEFAULT_LIMITS, type PlannedPile, pilesFromReadings } from '../fabrication/index.ts'
import type { Reading } from '../facts/index.ts'
import {
  likelyCauses,
  looksLike,
  nextPile,
  outsideRange,
  pileBySize,
  pilesInStepOrder,
  type Rhythm,
  unitOnBoard,
  weighingChecks,
  weighingsOf,
} from './index.ts'

const { piles, steps, ap } = SIX_BIRDS
const batch = (counts: Record<string, number>, rhythm: Rhythm = 'unit', units = 6) => ({
  piles,
  steps,
  units,
  rhythm,
  counts: new Map(Object.entries(counts)),
})
const nextName = (counts: Record<string, number>, after: string | null = null, rhythm: Rhythm = 'unit') =>
  nextPile(batch(counts, rhythm), after)?.name

describe('the next pile', () => {
  test('follows the steps, and piles that no step fills come last', () => {
    const order = pilesInStepOrder({ piles: [...piles, planned('extra')], steps })
    expect(order.map((pile) => pile.name)).toEqual(['drumsticks', 'thighs', 'supremes', 'bones', 'bin', 'extra'])
  })

  test('bird by bird: pieces of the bird on the board, and what is weighed whole when all are cut', () => {
    expect(nextName({})).toBe('drumsticks')
    expect(nextName({ drumsticks: 2 }, 'drumsticks')).toBe('supremes')
    expect(nextName({ drumsticks: 2, supremes: 2 }, 'supremes')).toBe('drumsticks')
    expect(unitOnBoard(batch({ drumsticks: 2, supremes: 2 }))).toBe(2)
    expect(nextName({ drumsticks: 12, supremes: 12 }, 'supremes')).toBe('bones')
    expect(nextName({ drumsticks: 12, supremes: 12, bones: 1, bin: 1 }, 'bin')).toBe('thighs')
  })

  test('one step for all birds: a pile is finished before the next one', () => {
    expect(nextName({ drumsticks: 2 }, 'drumsticks', 'step')).toBe('drumsticks')
    expect(nextName({ drumsticks: 12 }, 'drumsticks', 'step')).toBe('thighs')
    expect(unitOnBoard(batch({ drumsticks: 12 }, 'step'))).toBe(1)
  })

  test('of one bird: each pile as it leaves the board', () => {
    const one = (counts: Record<string, number>, after: string | null) => {
      const single = piles.map((pile) => ({ ...pile, portions: pile.portions === null ? null : 2 }))
      return nextPile({ ...batch(counts, 'unit', 1), piles: single }, after)?.name
    }
    expect(one({ drumsticks: 2 }, 'drumsticks')).toBe('thighs')
    expect(one({ drumsticks: 2, thighs: 1 }, 'thighs')).toBe('supremes')
  })

  test('a pile that was passed over comes after what follows', () => {
    expect(nextName({ drumsticks: 12, supremes: 11 }, 'supremes', 'step')).toBe('supremes')
    expect(nextName({ thighs: 1 }, 'thighs', 'step')).toBe('supremes')
  })

  test('every pile gets its weighings, and then there is none', () => {
    fc.assert(
      fc.property(fc.constantFrom<Rhythm>('unit', 'step'), fc.integer({ min: 1, max: 6 }), (rhythm, units) => {
        const counts = new Map<string, number>()
        const own = piles.map((pile) => ({ ...pile, portions: pile.portions === null ? null : 2 * units }))
        const wanted = own.reduce((sum, pile) => sum + weighingsOf(pile), 0)
        let after: string | null = null
        for (let at = 0; at < wanted; at++) {
          const pile: PlannedPile | null = nextPile({ piles: own, steps, units, rhythm, counts }, after)
          expect(pile).not.toBeNull()
          after = (pile as PlannedPile).id
          counts.set(after, (counts.get(after) ?? 0) + 1)
        }
        expect(nextPile({ piles: own, steps, units, rhythm, counts }, after)).toBeNull()
      }),
      { seed: 20 },
    )
  })
})

describe('by size', () => {
  const look = (grams: number, counts: Record<string, number> = {}) =>
    pileBySize({ piles, ap, counts: new Map(Object.entries(counts)) }, () => grams)?.name

  test('a weight looks like the pile it is nearest to, if that is clear', () => {
    expect(look(145)).toBe('drumsticks')
    expect(look(290)).toBe('supremes')
    expect(look(3900)).toBe('bones')
    expect(look(205)).toBeUndefined()
    expect(look(60)).toBeUndefined()
  })

  test('each pile is looked at with its own container taken off', () => {
    const inTub = (pile: { name: string }) => (pile.name === 'supremes' ? 290 : 930)
    expect(pileBySize({ piles, ap, counts: new Map() }, inTub)?.name).toBe('supremes')
  })

  test('a complete pile wants nothing more', () => {
    expect(look(145, { drumsticks: 12 })).toBeUndefined()
  })

  test('what lies within the bounds looks like it, whatever the target', () => {
    const wide = planned('w', { weighing: 'pieces', target: 100, low: 40, high: 300 })
    expect(looksLike(wide, 290, ap)).toBe(true)
    expect(looksLike(piles[0] as PlannedPile, 145, ap)).toBe(false)
    expect(looksLike(planned('unknown'), 5, ap)).toBe(true)
  })
})

describe('checks while weighing', () => {
  let second = 0
  const reading = (pileId: string, grams: number, seconds?: number): Reading => {
    second += 5
    const at = (seconds ?? second) * 1000
    const takenAt = new Date(Date.UTC(2026, 10, 24, 8, 0, 0, at)).toISOString()
    return madeReading(`${pileId}-${at}`, pileId, grams, { takenAt })
  }
  const check = (standing: Reading[], isAllWeighed = false) =>
    weighingChecks({
      piles,
      standing,
      document: sixChickens({
        purchase: { price: { amount: 4, per: 'kg' }, invoiceWeight: ap },
        piles: pilesFromReadings(piles, standing),
      }),
      limits: DEFAULT_LIMITS,
      isAllWeighed,
    })
  const codes = (standing: Reading[], isAllWeighed = false) =>
    check(standing, isAllWeighed).map((weighingCheck) => weighingCheck.code)

  test('ask nothing about what looks right', () => {
    expect(codes([reading('supremes', 281), reading('supremes', 270), reading('bones', 3900)])).toEqual([])
  })

  test('ask about the same weight twice within a second, on the same pile', () => {
    expect(codes([reading('supremes', 281, 100), reading('supremes', 281, 100.6)])).toEqual(['taken-twice'])
    expect(codes([reading('supremes', 281, 100), reading('supremes', 281, 101.6)])).toEqual([])
    expect(codes([reading('supremes', 281, 100), reading('drumsticks', 281, 100.6)])).toEqual([])
  })

  test('ask about pounds for kilos, either way, with the weight and what was expected', () => {
    expect(check([reading('supremes', 617)])[0]).toMatchObject({ code: 'wrong-unit', grams: 617, against: 280 })
    expect(codes([reading('bones', 3906 / 2.2046)])).toEqual(['wrong-unit'])
  })

  test('weights that are ten, a hundred or a thousand times off are asked about', () => {
    for (const slip of [10, 100, 1000]) {
      expect(codes([reading('supremes', 285 / slip)])).toEqual(['decimal-slip'])
      expect(codes([reading('bones', 3700 / slip)])).toEqual(['decimal-slip'])
    }
    expect(codes([reading('supremes', 200)])).toEqual([])
  })

  test('a number of pieces that does not fit their weight is asked about; one that does is not', () => {
    const total = (pieces: number) => codes([{ ...reading('supremes', 1650), pieces }])
    expect([total(6), total(5), total(12)]).toEqual([[], [], ['count-does-not-fit']])
    // Within the bounds of its portion a weight is no question, however near the factor.
    expect(codes([reading('thighs', 1638)])).toEqual([])
  })

  test('ask about a piece that is heavier than the whole, and then nothing else about it', () => {
    expect(codes([reading('supremes', 13_000)])).toEqual(['heavier-than-whole', 'balance-over'])
  })

  test('ask about the invoice alone where its weight cannot be right', () => {
    expect(codes([reading('supremes', 13_000), reading('bones', 9_000)])).toEqual(['invoice-weight'])
    expect(codes([reading('supremes', 281), reading('bones', 2_500)], true)).toContain('invoice-weight')
    expect(codes([reading('supremes', 281), reading('bones', 3_900)])).toEqual([])
  })

  test('ask about a mean that is far from the style’s, from three pieces on', () => {
    expect(codes([reading('supremes', 200), reading('supremes', 205)])).toEqual([])
    expect(check([200, 205, 198].map((grams) => reading('supremes', grams)))[0]).toMatchObject({
      code: 'far-from-expected',
      grams: 201,
      against: 280,
    })
  })

  test('ask about a balance that is over at any time, and lost only when all is weighed', () => {
    expect(codes([reading('bones', 12_700)])).toContain('balance-over')
    expect(codes([reading('bones', 3900)], false)).toEqual([])
    expect(codes([reading('bones', 3900)], true)).toEqual(['balance-lost'])
  })
})

test('piles outside their expected range are named, small ones never', () => {
  const weighed = [
    { name: 'supremes', class: 'primary' as const, pieces: [3000] },
    { name: 'thighs', class: 'primary' as const, weight: 1650 },
    { name: 'drumsticks', class: 'by-product' as const, pieces: [1900] },
    { name: 'bones', class: 'by-product' as const, weight: 3906 },
    { name: 'bin', class: 'waste' as const, weight: 210 },
  ]
  expect(outsideRange(piles, weighed, ap).map(({ pile, side }) => [pile.name, side])).toEqual([
    ['supremes', 'less'],
    ['drumsticks', 'more'],
  ])
})

describe('likely causes', () => {
  const outcome = (name: string, grams: number, side: 'more' | 'less') => {
    const pile = piles.find((pile) => pile.name === name) as PlannedPile
    return { pile, grams, expected: 1000, side }
  }

  test('are those that this kind of animal can have', () => {
    expect(likelyCauses(outcome('supremes', 900, 'less'), 'poultry')).not.toContain('red-on-silverskin')
    expect(likelyCauses(outcome('supremes', 900, 'less'), 'red-meat')).not.toContain('skin-torn')
    expect(likelyCauses(outcome('supremes', 900, 'less'), null)).toEqual(
      expect.arrayContaining(['skin-torn', 'red-on-silverskin']),
    )
  })

  test('begin with the pile that was not weighed where nothing lies on it, and name each cause once', () => {
    const causes = likelyCauses(outcome('bones', 0, 'less'), 'poultry')
    expect(causes[0]).toBe('not-weighed')
    expect(new Set(causes).size).toBe(causes.length)
  })
})

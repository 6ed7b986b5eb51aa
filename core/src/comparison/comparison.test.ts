import type { Offer, PriceUnit } from '../fabrication/index.ts'
import { averageRatePerHour, type BreakEvenInput, breakEven, netCostAtBreakEven, reachable } from './break-even.ts'
import { buyPerPortion, extrasPerPiece, handlingPerPiece, orderedPieces, pricePerPiece } from './buy-price.ts'
import { verdictOf } from './compare.ts'

const offer = (per: PriceUnit, amount: number, changes: Partial<Offer> = {}): Offer => ({
  name: 'ready',
  pile: 'supremes',
  price: { amount, per },
  pieces: 20,
  pieceWeight: 226.796185,
  ...changes,
})

describe('the price of a bought piece', () => {
  for (const [per, amount, expected] of [
    ['kg', 10, 2.26796185],
    ['lb', 10, 5],
    ['piece', 3, 3],
    ['case', 60, 3],
    ['lot', 60, 3],
  ] as const) {
    test(`priced per ${per}`, () => expect(pricePerPiece(offer(per, amount), 12)).toBeCloseTo(expected, 9))
  }

  test('carries its part of the charges', () => {
    expect(extrasPerPiece(offer('piece', 3, { extras: 4 }), 12)).toBe(0.2)
    expect(pricePerPiece(offer('piece', 3, { extras: 4 }), 12)).toBe(3.2)
  })

  test('spreads the charges of an order over the whole cases that the plates take', () => {
    const single = offer('piece', 4.1, { pieces: undefined, extras: 12 })
    expect(pricePerPiece(single, 12)).toBeCloseTo(5.1, 12)
    expect([20, 21, 40, 41].map((portions) => orderedPieces(offer('case', 76), portions))).toEqual([20, 40, 40, 60])
    // One case at least, also before anything is made.
    expect([0, null].map((portions) => orderedPieces(offer('case', 76), portions))).toEqual([20, 20])
    expect(extrasPerPiece(single, null)).toBe(12)
  })

  test('is paid and handled for rejects too', () => {
    const handled = offer('piece', 3, { usableShare: 0.5, handlingMinutesPerPiece: 3, ratePerHour: 20 })
    expect(handlingPerPiece(handled)).toBe(1)
    expect(buyPerPortion(handled, 12)).toBe(8)
    expect(buyPerPortion(offer('piece', 3), 12)).toBe(3)
  })
})

describe('the verdict', () => {
  for (const [saving, expected] of [
    [0.21, 'make'],
    [0.2, 'even'],
    [0, 'even'],
    [-0.2, 'even'],
    [-0.21, 'buy'],
  ] as const) {
    test(`saving ${saving} of 10 is ${expected} within two per cent`, () =>
      expect(verdictOf(saving, 10, 0.02)).toBe(expected))
  }
})

describe('turning points', () => {
  const input: BreakEvenInput = {
    costs: { ap: 60, labour: 20, consumables: 2, in: 82 },
    credit: 12,
    ap: 10_000,
    labourMinutes: 60,
    offer: offer('piece', 8, { pieceWeight: 250 }),
    portions: 10,
    costShare: 1,
    plateWeight: 250,
    boughtWeight: 250,
    costPerPortion: 7,
    buySameWeight: 8,
  }

  test('in closed form', () => {
    expect(netCostAtBreakEven(10, 8, 1)).toBe(80)
    expect(breakEven(input)).toEqual({
      apPricePerKg: 7,
      offerAmount: 7,
      portions: 8.75,
      pileYield: 0.21875,
      labourMinutes: 90,
      creditMultiple: 2 / 12,
    })
  })

  test('without labour no minutes turn it, without credit no multiple does', () => {
    const idle = breakEven({ ...input, costs: { ap: 60, labour: 0, consumables: 2, in: 62 }, labourMinutes: 0 })
    expect(idle.labourMinutes).toBeNull()
    expect(breakEven({ ...input, credit: 0 }).creditMultiple).toBeNull()
    expect(breakEven({ ...input, credit: -1 }).creditMultiple).toBeNull()
  })

  test('what only a negative value would reach is null', () => {
    const dear = breakEven({ ...input, buySameWeight: 0.5 })
    expect(dear).toMatchObject({ apPricePerKg: null, labourMinutes: null })
    expect(reachable(-1e-12)).toBeNull()
    expect(reachable(Number.POSITIVE_INFINITY)).toBeNull()
    expect(reachable(0)).toBe(0)
  })

  test('without portions only the number of portions needed can be said', () => {
    const none = breakEven({ ...input, portions: 0, costPerPortion: null })
    expect(none).toMatchObject({ apPricePerKg: null, offerAmount: null, labourMinutes: null, creditMultiple: null })
    expect(none.portions).toBe(8.75)
  })

  test('the average rate is over all labour', () => {
    expect(averageRatePerHour(20, 60)).toBe(20)
    expect(averageRatePerHour(0, 0)).toBeNull()
  })
})

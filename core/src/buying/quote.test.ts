import { quote } from '../../test/forms.ts'
import type { Quote } from './buying-form.ts'
import { orderFor, pieceWeightOf, quotedPerKg } from './index.ts'

describe('an order', () => {
  test('is whole pieces, at least what is wanted', () => {
    const order = orderFor(quote(4, 'kg', { pieceWeight: 2000 }), 5.2)
    expect(order).toEqual({ pieces: 6, packs: null, weight: 12000, goods: 48, isRaised: false })
  })

  test('is whole packs, and says when that is more than was wanted', () => {
    const deal = quote(30, 'lot', { pieceWeight: 2000, packPieces: 5 })
    expect(orderFor(deal, 5)).toEqual({ pieces: 5, packs: 1, weight: 10000, goods: 30, isRaised: false })
    expect(orderFor(deal, 6)).toMatchObject({ pieces: 10, packs: 2, goods: 60, isRaised: true })
  })

  test('is no less than the least order', () => {
    expect(orderFor(quote(5, 'piece', { pieceWeight: 400, minimumOrder: 50 }), 3)).toMatchObject({
      pieces: 10,
      goods: 50,
      isRaised: true,
    })
  })

  test('of a pack by weight alone has as many pieces as fit', () => {
    expect(orderFor(quote(60, 'case', { packWeight: 5000 }), 10, 280)).toMatchObject({
      pieces: 18,
      packs: 1,
      weight: 5000,
    })
  })

  test('is priced by the pound as by the kilo', () => {
    const pounds = orderFor(quote(2, 'lb', { pieceWeight: 453.59237 }), 3)
    expect(pounds?.goods).toBeCloseTo(6, 12)
  })

  test('cannot be made where nobody says how large a piece or a pack is', () => {
    expect(orderFor(quote(4), 5)).toBeNull()
    expect(orderFor(quote(60, 'case', { pieceWeight: 280 }), 5)).toBeNull()
    expect(orderFor(quote(60, 'case', { packPieces: 20 }), 5)).toBeNull()
  })
})

test('a piece weighs what is said, or its part of the pack', () => {
  expect(pieceWeightOf(quote(1, 'kg', { pieceWeight: 280, packWeight: 5000, packPieces: 10 }))).toBe(280)
  expect(pieceWeightOf(quote(1, 'case', { packWeight: 5000, packPieces: 20 }))).toBe(250)
  expect(pieceWeightOf(quote(1))).toBeNull()
})

test('what a kilo costs as quoted, in whatever it is sold', () => {
  const perKg = (amount: number, per: Quote['price']['per'], changes: Partial<Quote> = {}) =>
    quotedPerKg(quote(amount, per, changes))
  expect(perKg(3, 'kg')).toBe(3)
  expect(perKg(1, 'lb')).toBeCloseTo(2.2046, 4)
  expect(perKg(6, 'piece', { pieceWeight: 2000 })).toBe(3)
  expect(perKg(76, 'case', { pieceWeight: 280, packPieces: 20 })).toBeCloseTo(76 / 5.6, 9)
  expect(perKg(76, 'case', { packWeight: 5000, packPieces: 20 })).toBeCloseTo(15.2, 9)
  expect([perKg(6, 'piece'), perKg(76, 'case'), perKg(76, 'lot', { packPieces: 5 })]).toEqual([null, null, null])
})

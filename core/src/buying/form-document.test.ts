import fc from 'fast-check'
import { estimate, quote, readyForm, TWENTY_PLATES as request, wholeForm } from '../../test/forms.ts'
import { appraise } from '../appraisal/index.ts'
import { documentOfOrder, offerOfForm, orderForPlates } from './form-document.ts'
import type { Order } from './index.ts'

const order: Order = { pieces: 6, packs: null, weight: 12_000, goods: 36, isRaised: false }

describe('the fabrication of an order', () => {
  const document = documentOfOrder(wholeForm({ quote: quote(3, 'kg', { delivery: 9 }) }), order, request, {
    plate: request,
  })

  test('is bought as it is quoted, delivery on it', () => {
    expect(document.purchase).toEqual({
      price: { amount: 3, per: 'kg' },
      invoiceWeight: 12_000,
      pieces: 6,
      cases: 1,
      extras: 9,
    })
  })

  test('is cut at the yields, minutes and bags expected', () => {
    expect(document.piles.map((pile) => pile.weight)).toEqual([3000, 1500, 7200, 240])
    expect(document.labour).toEqual([{ task: 'break down', minutes: 54, ratePerHour: 20 }])
    expect(document.consumables?.[0]?.cost).toBeCloseTo(1.8, 12)
  })

  test('is portioned by the plate, not by the style', () => {
    const other = documentOfOrder(wholeForm(), order, request, { plate: { ...request, plateWeight: 180 } })
    expect(other.piles[0]?.target).toBe(180)
    expect(documentOfOrder(wholeForm(), order, request).piles[0]?.target).toBe(250)
  })

  test('may be asked at another yield', () => {
    expect(documentOfOrder(wholeForm(), order, request, { shares: { supremes: 0.3 } }).piles[0]?.weight).toBe(3600)
  })

  test('of several lots is one lot of all their money', () => {
    const lots: Order = { pieces: 10, packs: 2, weight: 20_000, goods: 60, isRaised: false }
    const lot = documentOfOrder(wholeForm({ quote: quote(30, 'lot', { packPieces: 5 }) }), lots, request)
    expect(appraise(lot).cost.ap).toBe(60)
  })

  test('has no bags where none are used', () => {
    expect(documentOfOrder(wholeForm({ consumablesPerUnit: 0 }), order, request).consumables).toEqual([])
  })
})

test('the order gives the plates that are wanted, whatever the yield', () => {
  const share = fc.double({ min: 0.05, max: 0.9, noNaN: true })
  fc.assert(
    fc.property(share, fc.integer({ min: 1, max: 400 }), (value, plates) => {
      const form = wholeForm()
      const piles = form.piles.map((pile) => (pile.name === 'supremes' ? { ...pile, share: estimate(value) } : pile))
      const ordered = orderForPlates({ ...form, piles }, { ...request, plates }) as Order
      expect(ordered.weight * value).toBeGreaterThanOrEqual(plates * request.plateWeight - 1e-6)
      expect((ordered.weight - 2000) * value).toBeLessThan(plates * request.plateWeight + 1e-6)
    }),
    { seed: 4, numRuns: 80 },
  )
})

describe('what is bought ready as an offer', () => {
  test('carries its part of the delivery', () => {
    const form = readyForm({ quote: quote(76, 'case', { pieceWeight: 280, packPieces: 20, delivery: 12 }) })
    // 19 plates are one case and 58 are three: a delivery is paid once. 60 at 97 % take a
    // fourth, which the plates do not tell, and whose part of the delivery no plate carries.
    expect(offerOfForm(form, { ...request, plates: 19 })?.extras).toBeCloseTo(12, 12)
    expect(offerOfForm(form, { ...request, plates: 58 })?.extras).toBeCloseTo(12, 12)
    expect(offerOfForm(form, { ...request, plates: 60 })?.extras).toBeCloseTo((12 * 3) / 4, 12)
  })

  test('by weight spreads it over the pieces ordered', () => {
    const form = readyForm({ quote: quote(14, 'kg', { pieceWeight: 250, delivery: 10 }), usableShare: 1 })
    expect(offerOfForm(form, request)).toMatchObject({ pieces: 20, pieceWeight: 250, extras: 10 })
  })

  test('of unknown size is none', () => {
    expect(offerOfForm(readyForm({ quote: quote(14) }), request)).toBeNull()
    expect(offerOfForm(readyForm({ quote: quote(76, 'case', { pieceWeight: 280 }) }), request)).toBeNull()
  })
})

import { sixChickens } from '../../test/documents.ts'
import type { PriceUnit, Purchase } from '../fabrication/index.ts'
import { apCost, consumablesCost, costIn, labourCost, labourMinutes, purchasedUnits, shortClaim } from './cost-in.ts'
import { invoicePrice } from './invoice-price.ts'

const purchase = (per: PriceUnit, changes: Partial<Purchase> = {}): Purchase => ({
  price: { amount: 2, per },
  invoiceWeight: 4535.9237,
  pieces: 6,
  cases: 3,
  ...changes,
})

describe('what the price counts', () => {
  for (const [per, units] of [
    ['kg', 4.5359237],
    ['lb', 10],
    ['piece', 6],
    ['case', 3],
    ['lot', 1],
  ] as const) {
    test(`per ${per}`, () => {
      expect(purchasedUnits(purchase(per))).toBeCloseTo(units, 9)
      expect(apCost(purchase(per))).toBeCloseTo(2 * units, 9)
    })
  }

  test('charges come once on top, whatever the unit', () => {
    expect(apCost(purchase('lot', { extras: 3.5 }))).toBe(5.5)
  })
})

describe('a short delivery', () => {
  test('is claimed at the price by weight, without the charges', () => {
    expect(shortClaim(purchase('kg', { extras: 9 }), 500)).toBe(1)
    expect(shortClaim(purchase('lb'), 453.59237)).toBeCloseTo(2, 9)
  })

  for (const per of ['piece', 'case', 'lot'] as const) {
    test(`cannot be claimed by weight where the price is per ${per}`, () => {
      expect(shortClaim(purchase(per), 500)).toBe(0)
    })
  }
})

test('labour adds up over tasks with their own wages', () => {
  const labour = [
    { task: 'break down', minutes: 30, ratePerHour: 20 },
    { task: 'pack', minutes: 15, ratePerHour: 28 },
  ]
  expect(labourCost(labour)).toBe(17)
  expect(labourMinutes(labour)).toBe(45)
  expect(labourCost()).toBe(0)
  expect(labourMinutes()).toBe(0)
})

test('everything spent is purchase, labour and consumables', () => {
  const document = sixChickens({
    consumables: [
      { name: 'bags', cost: 1.8 },
      { name: 'labels', cost: 0.7 },
    ],
  })
  expect(consumablesCost(document.consumables)).toBe(2.5)
  const costs = costIn(document)
  expect(costs.in).toBeCloseTo(costs.ap + costs.labour + costs.consumables, 12)
  expect(costs.ap).toBeCloseTo(12.6 * 4.35 + 3, 9)
})

describe('the price on the invoice', () => {
  const purchase = {
    price: { amount: 5.11, per: 'kg' as const },
    invoiceWeight: 12_600,
    pieces: 6,
    cases: 1,
    extras: 3,
  }
  const withCharges = (apCost(purchase) / 12_600) * 1000

  test('leaves out charges, in the unit in which it was bought', () => {
    expect(invoicePrice(purchase, withCharges)?.perKg).toBeCloseTo(5.11, 9)
    const pieces = { ...purchase, price: { amount: 6.09, per: 'piece' as const } }
    const invoice = invoicePrice(pieces, (apCost(pieces) / 12_600) * 1000)
    expect(invoice).toMatchObject({ price: { per: 'piece' }, perKg: null })
    expect(invoice?.price.amount).toBeCloseTo(6.09, 9)
  })

  test('is none where charges alone are more', () => {
    expect(invoicePrice(purchase, 0.1)).toBeNull()
    expect(invoicePrice(purchase, null)).toBeNull()
  })
})

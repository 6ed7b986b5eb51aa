import fc from 'fast-check'
import type { FabricationDocument, Offer, Pile } from '../src/fabrication/index.ts'

/** Six chickens for supremes, the worked example of the project. */
export function sixChickens(changes: Partial<FabricationDocument> = {}): FabricationDocument {
  return {
    format: 'fleam/fabrication',
    version: 1,
    currency: 'EUR',
    item: 'Chicken, eviscerated',
    style: 'supremes',
    purchase: {
      price: { amount: 4.35, per: 'kg' },
      invoiceWeight: 12600,
      receivedWeight: 12540,
      purge: 90,
      pieces: 6,
      cases: 1,
      extras: 3,
    },
    labour: [{ task: 'break down', minutes: 54, ratePerHour: 21.4 }],
    consumables: [{ name: 'bags', cost: 1.8 }],
    piles: [
      {
        name: 'supremes',
        class: 'primary',
        pieces: [281, 276, 290, 285, 279, 300, 270, 288, 292, 283, 277, 286],
        target: 280,
        low: 260,
        high: 300,
        valuePerKg: 13.2,
      },
      { name: 'thighs, boneless', class: 'primary', weight: 1640, portions: 12, valuePerKg: 9.4 },
      { name: 'drumsticks', class: 'by-product', weight: 1700, valuePerKg: 4.2, usedShare: 1 },
      { name: 'bones', class: 'by-product', weight: 5200, valuePerKg: 1.3, usedShare: 0.7, processingPerKg: 0.35 },
      { name: 'bin', class: 'waste', weight: 340, valuePerKg: -0.15 },
    ],
    creditPolicy: 'used',
    allocation: 'value',
    offers: [
      {
        name: 'Supremes, 20 x 280 g',
        pile: 'supremes',
        price: { amount: 76, per: 'case' },
        pieces: 20,
        pieceWeight: 280,
        usableShare: 0.97,
        handlingMinutesPerPiece: 0.2,
        ratePerHour: 21.4,
        extras: 0,
      },
    ],
    ...changes,
  }
}

const amount = (max: number, min = 0.01) => fc.double({ min, max, noNaN: true, noDefaultInfinity: true })

const primaryPile = (name: string): fc.Arbitrary<Pile> =>
  fc.record({
    name: fc.constant(name),
    class: fc.constant('primary' as const),
    pieces: fc.array(amount(400, 100), { minLength: 1, maxLength: 20 }),
    target: amount(300, 150),
    low: amount(220, 50),
    valuePerKg: amount(30),
  })

const otherPile = (name: string): fc.Arbitrary<Pile> =>
  fc.record({
    name: fc.constant(name),
    class: fc.constant('by-product' as const),
    weight: amount(4000),
    valuePerKg: amount(8),
    usedShare: amount(1, 0),
    processingPerKg: amount(3, 0),
  })

const offerFor = (pile: string): fc.Arbitrary<Offer> =>
  fc.record({
    name: fc.constant('ready'),
    pile: fc.constant(pile),
    price: fc.record({ amount: amount(90), per: fc.constantFrom('kg', 'lb', 'piece', 'case', 'lot') }),
    pieces: fc.integer({ min: 1, max: 40 }),
    pieceWeight: amount(400, 100),
    usableShare: amount(1, 0.5),
    handlingMinutesPerPiece: amount(2, 0),
    ratePerHour: amount(40, 0),
    extras: amount(5, 0),
  })

/** Whole documents of any price unit, policy and allocation, with two primaries and two by-products. */
export const anyDocument: fc.Arbitrary<FabricationDocument> = fc.record({
  format: fc.constant('fleam/fabrication' as const),
  version: fc.constant(1 as const),
  currency: fc.constant('EUR'),
  item: fc.constant('bird'),
  style: fc.constant('parts'),
  purchase: fc.record({
    price: fc.record({ amount: amount(100), per: fc.constantFrom('kg', 'lb', 'piece', 'case', 'lot') }),
    invoiceWeight: amount(30000, 3000),
    purge: amount(100, 0),
    pieces: fc.integer({ min: 1, max: 20 }),
    cases: fc.integer({ min: 1, max: 4 }),
    extras: amount(10, 0),
  }),
  labour: fc.array(fc.record({ task: fc.constant('cut'), minutes: amount(200), ratePerHour: amount(40) }), {
    maxLength: 3,
  }),
  consumables: fc.array(fc.record({ name: fc.constant('bags'), cost: amount(5) }), { maxLength: 2 }),
  piles: fc.tuple(primaryPile('a'), primaryPile('b'), otherPile('c'), otherPile('d')),
  creditPolicy: fc.constantFrom('none', 'book', 'used', 'net'),
  allocation: fc.constantFrom('weight', 'value', 'portion'),
  offers: fc.tuple(offerFor('a'), offerFor('b')),
  confirmed: fc.constant(true),
})

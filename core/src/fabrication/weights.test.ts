import { sixChickens } from '../../test/documents.ts'
import { factVoid, reading } from '../../test/facts.ts'
import { appraise } from '../appraisal/index.ts'
import { type Expression, evaluate, explain } from '../explanation/index.ts'
import { pileWeight, usedShareOf } from './pile.ts'
import { documentOf, type FabricationPlan } from './record.ts'
import { balanceOf, DEFAULT_LIMITS, weigh } from './weights.ts'

describe('the balance', () => {
  for (const [unaccounted, expected] of [
    [-50.1, 'over'],
    [-50, 'ok'],
    [0, 'ok'],
    [300, 'ok'],
    [300.1, 'lost'],
  ] as const) {
    test(`${unaccounted} g of 10 kg is ${expected}`, () =>
      expect(balanceOf(unaccounted, 10_000, DEFAULT_LIMITS)).toBe(expected))
  }
})

describe('the three yields', () => {
  const weights = weigh(sixChickens())

  test('differ by what counts and by what it is held against', () => {
    const primary = 3407 + 1640
    expect(weights.portionYield).toBeCloseTo(primary / 12600, 12)
    expect(weights.drainedYield).toBeCloseTo(primary / (12540 - 90), 12)
    expect(weights.utilisation).toBeCloseTo((primary + 1700 + 5200 * 0.7) / 12600, 12)
  })

  test('liquid that was weighed at the bench is drained like liquid that was known before', () => {
    const drained = sixChickens()
    drained.purchase.purge = undefined
    drained.piles = [...drained.piles, { name: 'liquid', class: 'waste', kind: 'liquid', weight: 90 }]
    expect(weigh(drained)).toMatchObject({ drainedYield: weights.drainedYield, unaccounted: weights.unaccounted })
    const figure = () => explain(drained, appraise(drained), { group: 'weights', figure: 'drainedYield' })
    expect(evaluate(figure()?.expression as Expression)).toBeCloseTo(weights.drainedYield, 12)
    // What is only called so is thrown away with the rest.
    drained.piles = drained.piles.map(({ kind: _kind, ...pile }) => pile)
    expect(weigh(drained).drainedYield).toBeLessThan(weights.drainedYield)
  })

  test('a bag of nothing but liquid yields nothing, and nothing infinite', () => {
    const document = sixChickens()
    document.purchase.purge = 12540
    expect(weigh(document).drainedYield).toBe(0)
  })

  test('what was received is the invoice’s weight where nobody weighed', () => {
    const { receivedWeight: _none, ...purchase } = sixChickens().purchase
    expect(weigh(sixChickens({ purchase }))).toMatchObject({ received: 12600, short: 0 })
  })
})

test('waste is never used, everything else wholly unless said otherwise', () => {
  expect(usedShareOf({ class: 'waste', usedShare: 1 })).toBe(0)
  expect(usedShareOf({ class: 'by-product' })).toBe(1)
  expect(usedShareOf({ class: 'by-product', usedShare: 0.4 })).toBe(0.4)
  expect(pileWeight({ name: 'x', class: 'waste' })).toBe(0)
})

test('a document is its plan, with what was weighed', () => {
  const plan: FabricationPlan = {
    id: 'f',
    currency: 'EUR',
    item: 'Chicken',
    style: 'supremes',
    purchase: { price: { amount: 1, per: 'kg' }, invoiceWeight: 1000 },
    labour: [],
    labourFrom: 'assumed',
    consumables: [],
    piles: [
      {
        id: 'p',
        name: 'supremes',
        class: 'primary',
        weighing: 'pieces',
        expectedShare: 0.5,
        portions: 2,
        target: 250,
        low: null,
        high: null,
        valuePerKg: 9,
        usedShare: null,
        processingPerKg: null,
      },
    ],
    offers: [],
    creditPolicy: 'used',
    allocation: 'value',
    confirmed: false,
    date: '2026-11-24',
    cook: 'Ondine',
    supplier: null,
    lot: null,
    notes: null,
    status: 'open',
  }
  const facts = [reading('1', 'p', 240)]
  const document = documentOf(plan, facts)
  expect(document.piles).toEqual([{ name: 'supremes', class: 'primary', pieces: [240], target: 250, valuePerKg: 9 }])
  expect(document.meta).toEqual({ id: 'f', date: '2026-11-24', cook: 'Ondine' })
  expect(document).not.toHaveProperty('confirmed')
  expect(documentOf({ ...plan, confirmed: true }, facts).confirmed).toBe(true)
  expect(documentOf(plan, [...facts, factVoid('v', '1')]).piles[0]?.pieces).toEqual([])
})

import fc from 'fast-check'
import { sixChickens } from '../../test/documents.ts'
import { estimate, formPile, quote, readyForm, TWENTY_PLATES as request, wholeForm } from '../../test/forms.ts'
import { appraise } from '../appraisal/index.ts'
import { pricePerPiece } from '../comparison/index.ts'
import { evaluate } from '../explanation/index.ts'
import type { Offer } from '../fabrication/index.ts'
import { offerOfForm } from './form-document.ts'
import { canTellApart, compareForms, explainTrueCost, type TrueCost } from './index.ts'

const only = (form: Parameters<typeof compareForms>[0][number]) => compareForms([form], request).ranked[0] as TrueCost

describe('something whole', () => {
  test('costs purchase, labour and bags less by-products, over its kilos of product', () => {
    // 20 plates are 5 kg of supremes: 10 birds of 2 kg.
    const cost = only(wholeForm())
    expect(cost.order).toMatchObject({ pieces: 10, weight: 20000 })
    expect(cost.outlay).toBeCloseTo(60, 9)
    expect(cost.labour).toBeCloseTo(30, 9)
    expect(cost.credit).toBeCloseTo(10, 9)
    expect(cost.costPerKg).toBeCloseTo((60 + 30 + 3 - 10) / 5, 9)
    expect(cost.costPerPlate).toBeCloseTo(cost.costPerKg / 4, 9)
  })

  test('spreads delivery over the order', () => {
    const cost = only(wholeForm({ quote: quote(3, 'kg', { delivery: 10 }) }))
    expect(cost.outlay).toBeCloseTo(70, 9)
    expect(cost.costPerKg).toBeCloseTo((70 + 33 - 10) / 5, 9)
  })

  test('is as unsure as its yield', () => {
    const [sure, unsure] = [0, 0.02].map((halfWidth) => {
      const form = wholeForm()
      return only({
        ...form,
        piles: form.piles.map((pile) =>
          pile.name === 'supremes' ? { ...pile, share: estimate(0.25, halfWidth) } : pile,
        ),
      })
    })
    expect(sure?.halfWidth).toBe(0)
    expect(unsure?.halfWidth).toBeGreaterThan(0.25)
  })
})

test('what is bought ready costs its price, handling and rejects', () => {
  const cost = only(readyForm({ quote: quote(76, 'case', { pieceWeight: 280, packPieces: 20, delivery: 8 }) }))
  // A piece serves one plate of 250 g and gives 30 g away: 20 plates at 97 % are 20.6 pieces, two cases.
  expect(cost.order).toMatchObject({ pieces: 40, packs: 2 })
  const piece = (76 + 8 / 2) / 20 + (0.2 / 60) * 20
  expect(cost.costPerKg).toBeCloseTo((piece / 0.97 / 250) * 1000, 9)
  expect(cost.costPerPlate).toBeCloseTo(piece / 0.97, 9)
  expect(cost.halfWidth).toBe(0)
})

test('every figure is what appraising the same document says, and its formula works out to it', () => {
  const { ranked } = compareForms([wholeForm(), readyForm()], request)
  for (const cost of ranked) {
    if ('appraisal' in cost.basis) {
      const again = appraise(cost.basis.document)
      expect(again.piles[0]?.costPerKg).toBe(cost.costPerKg)
      const bought = again.comparisons[0]
      const ready = ranked.find((trueCost) => trueCost.form.kind === 'ready')
      expect(bought?.buyPerPortionSameWeight).toBeCloseTo(ready?.costPerPlate as number, 9)
    }
    for (const figure of ['outlay', 'labour', 'costPerKg', 'costPerPlate'] as const) {
      const explanation = explainTrueCost(cost, figure, request)
      expect(explanation && evaluate(explanation.expression)).toBeCloseTo(cost[figure], 9)
    }
  }
})

describe('the ranking', () => {
  const at = (id: string, amount: number, halfWidth = 0) => {
    const form = wholeForm({ id, quote: quote(amount) })
    return {
      ...form,
      piles: form.piles.map((pile) =>
        pile.name === 'supremes' ? { ...pile, share: estimate(0.25, halfWidth) } : pile,
      ),
    }
  }
  const ranks = (forms: ReturnType<typeof at>[]) =>
    compareForms(forms, request).ranked.map((cost) => `${cost.form.id}${cost.rank}`)

  test('is by what a kilo costs, cheapest first, whatever the price', () => {
    expect(ranks([at('dear', 5), at('cheap', 3)])).toEqual(['cheap1', 'dear2'])
    const cheaperButWorse = {
      ...at('worse', 2.8),
      piles: [{ ...(wholeForm().piles[0] as never as object), share: estimate(0.2) }] as never,
    }
    expect(ranks([at('better', 3), cheaperButWorse])).toEqual(['better1', 'worse2'])
  })

  test('gives forms that cannot be told apart the same place', () => {
    expect(ranks([at('a', 3, 0.02), at('b', 3.05, 0.02), at('c', 6, 0.02)])).toEqual(['a1', 'b1', 'c3'])
    expect(ranks([at('a', 3), at('b', 3.05)])).toEqual(['a1', 'b2'])
  })

  test('tells apart what differs by more than both intervals taken together', () => {
    const cost = (costPerPlate: number, halfWidth: number) => ({ costPerPlate, halfWidth })
    expect(canTellApart(cost(10, 3), cost(14.9, 4))).toBe(false)
    expect(canTellApart(cost(10, 3), cost(15.1, 4))).toBe(true)
  })
})

test('says which forms cannot be compared, and why', () => {
  const { ranked, left } = compareForms(
    [readyForm({ quote: quote(76, 'case') }), wholeForm({ piles: [] }), wholeForm({ quote: quote(3, 'case') })],
    request,
  )
  expect(ranked).toEqual([])
  expect(left.map((rest) => rest.why)).toEqual(['size-unknown', 'product-missing', 'size-unknown'])
})

test('a dearer quote never costs less', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.1, max: 50, noNaN: true }),
      fc.double({ min: 0, max: 20, noNaN: true }),
      (amount, more) => {
        expect(only(wholeForm({ quote: quote(amount + more) })).costPerKg).toBeGreaterThanOrEqual(
          only(wholeForm({ quote: quote(amount) })).costPerKg - 1e-9,
        )
      },
    ),
    { seed: 4, numRuns: 60 },
  )
})

test('the same offer costs the same in the true cost and in a verdict whose plates carry their target', () => {
  const per = fc.constantFrom('kg' as const, 'lb' as const, 'piece' as const, 'case' as const, 'lot' as const)
  const positive = (min: number, max: number) => fc.double({ min, max, noNaN: true })
  fc.assert(
    fc.property(
      per,
      positive(1, 100),
      positive(80, 600),
      fc.integer({ min: 1, max: 40 }),
      positive(0, 30),
      positive(0.5, 1),
      fc.integer({ min: 1, max: 200 }),
      (unit, amount, pieceWeight, packPieces, delivery, usableShare, plates) => {
        const form = readyForm({ quote: quote(amount, unit, { pieceWeight, packPieces, delivery }), usableShare })
        // A verdict compares at the same weight: a light piece is the part of a plate that it weighs.
        const served = { ...request, plates, lightPlates: 'by-weight' as const }
        const [cost] = compareForms([form], served).ranked
        const offer = offerOfForm(form, served) as Offer
        const piles = [
          { name: 'supremes', class: 'primary' as const, target: 250, weight: 250 * plates, portions: plates },
        ]
        const [comparison] = appraise(sixChickens({ piles, offers: [offer] })).comparisons
        expect(comparison?.plateWeight).toBe(250)
        const share = (cost?.costPerPlate as number) / (comparison?.buyPerPortionSameWeight as number)
        expect(share).toBeCloseTo(1, 9)
        // And the order is the same money, counted the other way: all pieces at the price of one, delivery in.
        const paid = (pricePerPiece(offer, plates) * (cost?.order.pieces as number)) / (cost?.outlay as number)
        expect(paid).toBeCloseTo(1, 9)
      },
    ),
    { seed: 12, numRuns: 300 },
  )
})

describe('an order is rounded by portions, not by grams', () => {
  const request = {
    product: 'supremes',
    plates: 60,
    plateWeight: 280,
    lightPlates: 'whole' as const,
    wagePerHour: 20,
    currency: 'EUR',
  }
  const bird = (grams: number) =>
    wholeForm({
      unitWeight: grams,
      piles: [formPile('supremes', 0.25, { target: 280, portions: { perUnit: 2, low: 235, high: 310 } })],
    })

  test('sixty breasts of 279.3 g serve sixty plates of 280 within bounds', () => {
    const [cost] = compareForms([bird(2234.4)], request).ranked
    expect(cost?.order.pieces).toBe(30)
    expect([cost?.plates, cost?.missingWithOneLess]).toEqual([60, 2])
    const ready = readyForm({ quote: quote(4, 'piece', { pieceWeight: 279.3 }), usableShare: 1 })
    expect(compareForms([ready], request).ranked[0]?.order.pieces).toBe(60)
  })

  test('breasts outside their bounds are counted by their grams', () => {
    const [cost] = compareForms([bird(1600)], request).ranked
    expect(cost?.order.pieces).toBe(42)
    const light = readyForm({ quote: quote(4, 'piece', { pieceWeight: 140 }), usableShare: 1 })
    expect(compareForms([light], request).ranked[0]?.order.pieces).toBe(120)
  })

  test('a kitchen may count a light plate by its weight, and never a heavy one for more', () => {
    const byWeight = { ...request, lightPlates: 'by-weight' as const }
    const [light] = compareForms([bird(2072)], byWeight).ranked
    expect([light?.order.pieces, light?.carries]).toEqual([33, 280])
    const [heavy] = compareForms([bird(2320)], byWeight).ranked
    expect([heavy?.order.pieces, heavy?.carries]).toEqual([30, 290])
    const [whole] = compareForms([bird(2072)], request).ranked
    expect([whole?.order.pieces, whole?.carries]).toEqual([30, 259])
    const cost = whole as TrueCost
    for (const figure of ['costPerPlate', 'carries'] as const) {
      const explanation = explainTrueCost(cost, figure, request)
      expect(explanation && evaluate(explanation.expression)).toBeCloseTo(cost[figure], 9)
    }
  })

  test('a case less is a case of plates less', () => {
    const cases = readyForm({ quote: quote(76, 'case', { pieceWeight: 280, packPieces: 20 }), usableShare: 1 })
    const [cost] = compareForms([cases], request).ranked
    expect([cost?.order.packs, cost?.plates, cost?.missingWithOneLess]).toEqual([3, 60, 20])
  })
})

test('a row adds up: what is paid, less what is worth something and what other portions carry, is the product’s', () => {
  const { ranked } = compareForms([wholeForm(), readyForm()], request)
  expect(ranked).toHaveLength(2)
  for (const cost of ranked) {
    const { outlay, labour, consumables, credit, carriedByOthers, productCost, servable, costPerKg } = cost
    expect(outlay + labour + consumables - credit - carriedByOthers).toBeCloseTo(productCost, 9)
    expect((productCost / servable) * 1000).toBeCloseTo(costPerKg, 9)
    expect(evaluate(explainTrueCost(cost, 'productCost', request)?.expression as never)).toBeCloseTo(productCost, 9)
    const carried = explainTrueCost(cost, 'carriedByOthers', request)
    if (carried) expect(evaluate(carried.expression)).toBeCloseTo(carriedByOthers, 9)
    else expect(carriedByOthers).toBe(0)
  }
})

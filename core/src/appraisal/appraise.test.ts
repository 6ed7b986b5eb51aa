import fc from 'fast-check'
import { anyDocument, sixChickens } from '../../test/documents.ts'
import { evaluate, explain } from '../explanation/index.ts'
import type { FabricationDocument } from '../fabrication/index.ts'
import type { Appraisal } from './appraisal.ts'
import { appraise, atApPrice, reprice } from './index.ts'

const near = (a: number, b: number, scale = 1) =>
  expect(Math.abs(a - b)).toBeLessThanOrEqual(1e-7 * Math.max(1, Math.abs(scale)))
const check = (property: (document: FabricationDocument) => void) =>
  fc.assert(fc.property(anyDocument, property), { seed: 7, numRuns: 300 })

describe('properties of any fabrication', () => {
  test('piles, purge and what is not accounted for add up to what was received', () => {
    check((document) => {
      const { weights } = appraise(document)
      near(weights.out + weights.purge + weights.unaccounted, weights.received, weights.received)
    })
  })

  test('the costs of the primary piles add up to the net cost', () => {
    check((document) => {
      const { cost, piles } = appraise(document)
      near(
        piles.reduce((sum, pile) => sum + (pile.cost ?? 0), 0),
        cost.net,
        cost.in,
      )
    })
  })

  test('the policy in force agrees with its own column', () => {
    check((document) => {
      for (const comparison of appraise(document).comparisons) {
        const inForce = comparison.byPolicy[document.creditPolicy]
        expect(inForce.verdict).toBe(comparison.verdict)
        if (inForce.costPerPortion !== null)
          near(inForce.costPerPortion, comparison.costPerPortion as number, inForce.costPerPortion)
      }
    })
  })

  test('scaling all weights scales all costs of what is bought by weight', () => {
    check((document) => {
      const byWeight = {
        ...document,
        purchase: { ...document.purchase, price: { amount: 5, per: 'kg' as const }, extras: 0 },
        labour: [],
        consumables: [],
      }
      const k = 3
      const scaled = scaleWeights(byWeight, k)
      const [one, many] = [appraise(byWeight), appraise(scaled)]
      near(many.cost.net, k * one.cost.net, k * one.cost.in)
      near(many.weights.portionYield, one.weights.portionYield)
      many.piles.forEach((pile, index) => near(pile.cost ?? 0, k * (one.piles[index]?.cost ?? 0), k * one.cost.in))
    })
  })
})

describe('at each turning point the saving is zero', () => {
  /** The document moved to the turning point, with all else held. */
  const moves: Record<
    string,
    (document: FabricationDocument, appraisal: Appraisal, at: number) => FabricationDocument | null
  > = {
    apPricePerKg: (document, appraisal, at) => {
      const price = appraisal.comparisons[at]?.breakEven.apPricePerKg
      return price === null || price === undefined ? null : atApPrice(document, price)
    },
    offerAmount: (document, appraisal, at) => {
      const amount = appraisal.comparisons[at]?.breakEven.offerAmount
      if (amount === null || amount === undefined) return null
      const offers = document.offers?.map((offer, other) =>
        other === at ? { ...offer, price: { ...offer.price, amount } } : offer,
      )
      return { ...document, offers }
    },
    labourMinutes: (document, appraisal, at) => {
      const minutes = appraisal.comparisons[at]?.breakEven.labourMinutes
      if (minutes === null || minutes === undefined) return null
      const now = (document.labour ?? []).reduce((sum, entry) => sum + entry.minutes, 0)
      return {
        ...document,
        labour: document.labour?.map((entry) => ({ ...entry, minutes: (entry.minutes * minutes) / now })),
      }
    },
    creditMultiple: (document, appraisal, at) => {
      const multiple = appraisal.comparisons[at]?.breakEven.creditMultiple
      if (multiple === null || multiple === undefined) return null
      const piles = document.piles.map((pile) =>
        pile.class === 'primary'
          ? pile
          : {
              ...pile,
              valuePerKg: (pile.valuePerKg ?? 0) * multiple,
              processingPerKg: (pile.processingPerKg ?? 0) * multiple,
            },
      )
      return { ...document, piles }
    },
  }

  for (const [name, move] of Object.entries(moves)) {
    test(name, () => {
      let reached = 0
      check((document) => {
        const before = appraise(document)
        before.comparisons.forEach((_, index) => {
          const moved = move(document, before, index)
          if (!moved) return
          reached++
          const after = appraise(moved).comparisons[index]
          near(after?.saving as number, 0, before.cost.in)
          expect(after?.verdict).toBe('even')
        })
      })
      expect(reached).toBeGreaterThan(20)
    })
  }

  test('portions: that many portions at that price cost what buying costs', () => {
    check((document) => {
      const appraisal = appraise(document)
      appraisal.comparisons.forEach((comparison) => {
        const pile = appraisal.piles.find((other) => other.name === comparison.pile)
        if (comparison.breakEven.portions === null || !pile) return
        near(
          comparison.breakEven.portions * (comparison.buyPerPortionSameWeight as number),
          pile.cost as number,
          appraisal.cost.in,
        )
      })
    })
  })
})

describe('edges', () => {
  test('a bench with nothing on it yet has no costs, no verdict and nothing infinite', () => {
    const piles = sixChickens().piles.map((pile) =>
      pile.pieces ? { ...pile, pieces: [] } : { ...pile, weight: 0, portions: undefined },
    )
    const appraisal = appraise(sixChickens({ piles }))
    expect(appraisal.piles[0]).toMatchObject({ weight: 0, cost: null, costPerPortion: null, mean: null, sd: null })
    expect(appraisal.comparisons[0]).toMatchObject({ verdict: null, saving: null })
    expect(JSON.stringify(appraisal)).not.toMatch(/Infinity|NaN/)
  })

  test('no verdict while more came out than went in, until somebody confirms it', () => {
    const over = sixChickens()
    over.purchase.receivedWeight = 11000
    expect(appraise(over).comparisons[0]?.verdict).toBeNull()
    expect(appraise({ ...over, confirmed: true }).comparisons[0]?.verdict).toBe('buy')
  })

  test('a missing portion pile value spreads by weight, and says so only where it matters', () => {
    const [first, second, ...rest] = sixChickens().piles
    const without = { ...second, valuePerKg: undefined } as typeof first
    const two = appraise(sixChickens({ piles: [first, without, ...rest] as FabricationDocument['piles'] }))
    expect(two.cost.allocation).toBe('weight')
    expect(two.warnings.map((warning) => warning.code)).toContain('allocation-fell-back')
    const one = appraise(
      sixChickens({ piles: [{ ...first, valuePerKg: undefined }, ...rest] as FabricationDocument['piles'] }),
    )
    expect(one.warnings.map((warning) => warning.code)).not.toContain('allocation-fell-back')
  })

  test('a free offer is never beaten', () => {
    const offers = sixChickens().offers?.map((offer) => ({
      ...offer,
      price: { amount: 0, per: 'kg' as const },
      ratePerHour: 0,
    }))
    const [comparison] = appraise(sixChickens({ offers })).comparisons
    expect(comparison).toMatchObject({ verdict: 'buy', savingShare: null })
    expect(comparison?.breakEven.portions).toBeNull()
  })

  test('weight in whole portions is not one short by rounding', () => {
    const piles = [{ name: 'sheet', class: 'primary' as const, weight: 86.4, target: 28.8 }]
    expect(appraise(sixChickens({ piles, offers: [] })).piles[0]?.portions).toBe(3)
  })
})

test('re-pricing by factor and in full agree at today’s price and part company away from it', () => {
  const document = sixChickens()
  const appraisal = appraise(document)
  const [today] = reprice(document, appraisal, appraisal.cost.apPricePerKg)
  expect(today?.difference).toBeCloseTo(0, 9)
  const [dearer] = reprice(document, appraisal, appraisal.cost.apPricePerKg * 1.5)
  expect(dearer?.inFull).toBeGreaterThan(today?.inFull as number)
  expect(Math.abs(dearer?.difference as number)).toBeGreaterThan(0.01)
})

function scaleWeights(document: FabricationDocument, k: number): FabricationDocument {
  const { purchase } = document
  return {
    ...document,
    purchase: { ...purchase, invoiceWeight: purchase.invoiceWeight * k, purge: (purchase.purge ?? 0) * k },
    piles: document.piles.map((pile) => ({
      ...pile,
      ...(pile.pieces ? { pieces: pile.pieces.map((piece) => piece * k) } : { weight: (pile.weight ?? 0) * k }),
      ...(pile.low === undefined ? {} : { low: pile.low * k }),
      ...(pile.target === undefined ? {} : { target: pile.target * k }),
    })),
  }
}

test('what an offer costs opens to its formula before anything is weighed', () => {
  const bare = sixChickens({
    piles: sixChickens().piles.map(({ pieces: _pieces, ...pile }) => ({ ...pile, weight: 0 })),
  })
  const appraisal = appraise(bare)
  const explanation = explain(bare, appraisal, { group: 'comparison', at: 0, figure: 'buyPerPortion' })
  expect(evaluate(explanation?.expression as never)).toBeCloseTo(appraisal.comparisons[0]?.buyPerPortion as number, 9)
  // How much a plate carries is not known before, so nothing is compared.
  expect(appraisal.comparisons[0]).toMatchObject({ plateWeight: null, buyPerPortionSameWeight: null, verdict: null })
  expect(explain(bare, appraisal, { group: 'comparison', at: 0, figure: 'saving' })).toBeNull()
})

import cases from '../../cases/appraise.json'
import { inPoundsOf, valuesInPounds } from '../../test/pounds.ts'
import { invoicePrice } from '../costing/index.ts'
import { evaluate, explain, type FigureRef, inPounds } from '../explanation/index.ts'
import type { FabricationDocument } from '../fabrication/index.ts'
import { appraise } from './index.ts'

const RELATIVE = 1e-7

/** Every figure that is expected must be there and agree; figures that the case leaves out must be null. */
function expectAgreement(actual: unknown, expected: unknown, path: string) {
  if (typeof expected === 'number') {
    expect({ path, isNumber: typeof actual }).toEqual({ path, isNumber: 'number' })
    const error = Math.abs((actual as number) - expected)
    expect({ path, near: error <= RELATIVE * Math.max(1e-6, Math.abs(expected)) || error < 1e-12 }).toEqual({
      path,
      near: true,
    })
  } else if (Array.isArray(expected)) {
    expect((actual as unknown[]).length).toBe(expected.length)
    expected.forEach((row, index) => expectAgreement((actual as unknown[])[index], row, `${path}[${index}]`))
  } else if (typeof expected === 'object' && expected !== null) {
    for (const [key, value] of Object.entries(expected)) {
      expectAgreement((actual as Record<string, unknown>)[key], value, `${path}.${key}`)
    }
  } else expect({ path, value: actual }).toEqual({ path, value: expected })
}

describe.each(cases.map((testCase) => [testCase.name, testCase] as const))(
  '%s',
  (_name, { input, expect: expected }) => {
    const document = input as unknown as FabricationDocument
    const appraisal = appraise(document)

    test('agrees with the worked case', () => {
      const { warnings, ...figures } = expected
      expectAgreement(appraisal, figures, 'appraisal')
      expect(appraisal.warnings.map((warning) => warning.code)).toEqual(warnings)
    })

    test('holds no figure that is not a finite number or null', () => {
      const text = JSON.stringify(appraisal, (_key, value) =>
        typeof value === 'number' && !Number.isFinite(value) ? 'NOT FINITE' : value,
      )
      expect(text).not.toContain('NOT FINITE')
    })

    test('explains every figure by a formula that works out to it', () => {
      for (const [ref, figure] of figuresOf(document, appraisal)) {
        const explanation = explain(document, appraisal, ref)
        if (figure === null) continue
        expect({ ref, explained: explanation !== null }).toEqual({ ref, explained: true })
        if (!explanation) continue
        const worked = evaluate(explanation.expression)
        expect(Math.abs(worked - figure)).toBeLessThanOrEqual(1e-9 * Math.max(1, Math.abs(figure)))
      }
    })

    test('explains every figure in pounds, too, by a formula that a cook there works out to it', () => {
      for (const [ref] of figuresOf(document, appraisal)) {
        const explanation = explain(document, appraisal, ref)
        if (!explanation) continue
        const worked = evaluate(valuesInPounds(inPounds(explanation.expression)))
        const figure = inPoundsOf(evaluate(explanation.expression), explanation.quantity)
        const isNear = Math.abs(worked - figure) <= 1e-9 * Math.max(1, Math.abs(figure))
        expect({ ref, isNear }).toEqual({ ref, isNear: true })
      }
    })
  },
)

function figuresOf(
  document: FabricationDocument,
  appraisal: ReturnType<typeof appraise>,
): [FigureRef, number | null][] {
  const { weights, cost, piles, comparisons } = appraisal
  const refs: [FigureRef, number | null][] = []
  for (const figure of ['short', 'out', 'unaccounted', 'portionYield', 'utilisation', 'drainedYield'] as const) {
    refs.push([{ group: 'weights', figure }, weights[figure]])
  }
  for (const figure of ['ap', 'apPricePerKg', 'labour', 'consumables', 'in', 'credit', 'net'] as const) {
    refs.push([{ group: 'cost', figure }, cost[figure]])
  }
  if (['kg', 'lb'].includes(document.purchase.price.per)) {
    refs.push([{ group: 'cost', figure: 'shortClaim' }, cost.shortClaim])
  }
  for (const pile of piles) {
    for (const figure of [
      'weight',
      'share',
      'credit',
      'cost',
      'costPerKg',
      'portions',
      'costPerPortion',
      'mean',
      'overweight',
      'givenAway',
      'factorPerKg',
      'factorPerPortion',
    ] as const) {
      refs.push([{ group: 'pile', pile: pile.name, figure }, pile[figure]])
    }
  }
  comparisons.forEach((comparison, index) => {
    for (const figure of [
      'pricePerPiece',
      'plateWeight',
      'buyPerPortion',
      'buyPerPortionSameWeight',
      'saving',
      'savingShare',
    ] as const) {
      refs.push([{ group: 'comparison', at: index, figure }, comparison[figure]])
    }
    for (const figure of ['offerAmount', 'pileYield', 'labourMinutes', 'creditMultiple'] as const) {
      refs.push([{ group: 'comparison', at: index, figure }, comparison.breakEven[figure]])
    }
    const turning = invoicePrice(document.purchase, comparison.breakEven.apPricePerKg)
    refs.push([
      { group: 'comparison', at: index, figure: 'invoicePrice' },
      turning?.perKg ?? turning?.price.amount ?? null,
    ])
    refs.push([{ group: 'comparison', at: index, figure: 'breakEvenPortions' }, comparison.breakEven.portions])
    for (const policy of ['none', 'book', 'used', 'net'] as const) {
      refs.push([{ group: 'policy', at: index, policy }, comparison.byPolicy[policy].costPerPortion])
    }
  })
  return refs
}

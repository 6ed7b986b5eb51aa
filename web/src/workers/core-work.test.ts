import { type ForecastModel, ForecastRun, forecastModel, forecastOf, type Spreads } from '@fleam/core/forecasting'
import { planBonded, planPortions } from '@fleam/core/portioning'
import { sixChickens } from '../../../core/test/documents.ts'
import { coreWork } from './core-work.ts'

jest.mock('./load-solver.ts', () => ({
  loadSolver: async () => () => ({ isProven: false, values: null, best: 0, bound: 0, gap: 0, nodes: 0 }),
}))

const model = forecastModel(sixChickens(), 0) as ForecastModel
const spreads: Spreads = {
  yield: { kind: 't', scale: 0.01, degrees: 4 },
  minutes: { kind: 'fixed' },
  credit: { kind: 'normal', sd: 0.1 },
  apPricePerKg: { kind: 'normal', sd: 0.2 },
  offerAmount: { kind: 'fixed' },
  usableShare: { kind: 'fixed' },
}

type Steps = [done: number, of: number][]

/** Counts the steps, and waits for so many of them. */
const counting = (steps: Steps, most = Number.POSITIVE_INFINITY) => {
  return (done: number, of: number) => steps.push([done, of]) < most
}

test('a forecast tells how far it is, and ends with what drawing at once says', async () => {
  const steps: Steps = []
  const forecast = await coreWork.forecast({ model, spreads, draws: 50_000, seed: 0.3 }, counting(steps))
  expect(steps.map(([done]) => done)).toEqual([20_000, 40_000, 50_000])
  const run = new ForecastRun(model, spreads, { draws: 50_000, seed: 0.3 })
  run.step(50_000)
  expect(forecast).toEqual(forecastOf(model, spreads, run.savings))
})

test('a forecast that nobody waits for is broken off', async () => {
  const steps: Steps = []
  expect(await coreWork.forecast({ model, spreads, draws: 80_000, seed: 0.3 }, counting(steps, 2))).toBeNull()
  expect(steps).toHaveLength(2)
})

test('a price list is read: its first lines, how many there are, and what is wrong', () => {
  const csv = ['article;price;unit', 'A;1;kg', 'B;-1;kg', 'C;3;kg'].join('\n')
  const mapping = {
    columns: { name: 'article', amount: 'price', per: 'unit' },
    supplier: 'O',
    kind: 'whole',
    from: '2026-11-24',
    decimal: 'auto',
  } as const
  const context = { currency: 'EUR', bareUnit: 'g', items: new Set<string>(), products: new Set<string>() } as const
  expect(coreWork.readPriceList({ csv, mapping, context, shown: 1 })).toMatchObject({
    rows: 2,
    lines: [{ name: 'A', row: 2 }],
    issues: [{ row: 3, code: 'negative' }],
  })
})

describe('work', () => {
  const loin = {
    piece: {
      weight: 900,
      length: 200,
      profile: [
        { at: 0, area: 4000 },
        { at: 200, area: 4000 },
      ],
    },
    products: [{ name: 'steak', target: 200, low: 190, high: 215, value: 11 }],
    scrap: { valuePerKg: 8 },
  }
  const rack = { weight: 780, bones: 8, boneWeight: 150, eye: [62, 61, 58, 55, 52, 49, 45, 42] }

  test('a plan of cuts is what the core plans', async () => {
    expect(await coreWork.work('portion-plan', loin, () => true)).toEqual(planPortions(loin))
  })

  test('a bonded log and a rack are worked out too', async () => {
    const { piece, ...rest } = loin
    const log = { ...rest, pieces: [piece, piece] as const }
    expect(await coreWork.work('bonded-plan', log, () => true)).toEqual(planBonded(log))
    const racks = { racks: [rack], target: 195, low: 175, high: 215, perPortion: 2, style: 'graded' } as const
    expect(await coreWork.work('rack-plan', racks, () => true)).toMatchObject({ portions: expect.any(Array) })
  })

  test('plates tell how far they are, and end where nobody waits for them', async () => {
    const weights = Array.from({ length: 20 }, (_, index) => 95 + ((index * 37) % 23))
    const pieces = weights.map((weight, index) => ({ id: String(index), weight, kind: 'any' }))
    const plate = { low: 180, target: 211.3, high: 240, needs: [{ kind: 'any', count: 2 }] }
    const alike = pieces.map((piece) => ({ ...piece, weight: 100 }))
    const steps: Steps = []
    const plating = await coreWork.work('plating', { pieces: alike, plate: { ...plate, target: 200 } }, counting(steps))
    expect(plating).toMatchObject({ plates: expect.any(Array) })
    expect(steps.length).toBeGreaterThan(0)
    expect(await coreWork.work('plating', { pieces, plate }, () => false)).toBeNull()
  })
})

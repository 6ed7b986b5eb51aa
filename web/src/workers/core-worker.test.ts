import { type ForecastModel, ForecastRun, forecastModel, forecastOf, type Spreads } from '@fleam/core/forecasting'
import { planPortions } from '@fleam/core/portioning'
import { sixChickens } from '../../../core/test/documents.ts'
import type { WorkerReply, WorkerRequest } from './protocol.ts'

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

const said: WorkerReply[] = []
let ask: (request: WorkerRequest) => void

beforeAll(async () => {
  Object.assign(globalThis, { postMessage: (reply: WorkerReply) => said.push(reply) })
  await import('./core-worker.ts')
  ask = (data) => self.onmessage?.call(self, { data } as MessageEvent)
})
beforeEach(() => {
  said.length = 0
})
const until = async (isThere: () => boolean) => {
  for (let wait = 0; wait < 400 && !isThere(); wait++) await new Promise((resolve) => setTimeout(resolve, 5))
}
const answered = (type: string) => said.filter((reply) => reply.type === type).map((reply) => reply.id)
const kinds = () => said.map((reply) => reply.type)

test('a forecast tells how far it is, and ends with what drawing at once says', async () => {
  ask({ id: 1, type: 'forecast', model, spreads, draws: 50_000, seed: 0.3 })
  await until(() => kinds().includes('forecast'))
  expect(said.filter((reply) => reply.type === 'progress').map((reply) => 'done' in reply && reply.done)).toEqual([
    20_000, 40_000, 50_000,
  ])
  const run = new ForecastRun(model, spreads, { draws: 50_000, seed: 0.3 })
  run.step(50_000)
  expect(said.at(-1)).toEqual({ id: 1, type: 'forecast', forecast: forecastOf(model, spreads, run.savings) })
})

test('a forecast that nobody waits for is broken off', async () => {
  ask({ id: 2, type: 'forecast', model, spreads, draws: 40_000, seed: 0.3 })
  ask({ id: 2, type: 'cancel' })
  // One that was asked later and takes longer is answered, and by then the first would have been.
  ask({ id: 12, type: 'forecast', model, spreads, draws: 80_000, seed: 0.3 })
  await until(() => kinds().includes('forecast'))
  expect(answered('forecast')).toEqual([12])
})

test('a price list is read: its first lines, how many there are, and what is wrong', async () => {
  const csv = ['article;price;unit', 'A;1;kg', 'B;-1;kg', 'C;3;kg'].join('\n')
  const mapping = {
    columns: { name: 'article', amount: 'price', per: 'unit' },
    supplier: 'O',
    kind: 'whole',
    from: '2026-11-24',
    decimal: 'auto',
  } as const
  const context = { currency: 'EUR', bareUnit: 'g', items: new Set<string>(), products: new Set<string>() } as const
  ask({ id: 3, type: 'read-price-list', csv, mapping, context, shown: 1 })
  await until(() => said.length > 0)
  expect(said).toMatchObject([
    {
      id: 3,
      type: 'price-list',
      preview: { rows: 2, lines: [{ name: 'A', row: 2 }], issues: [{ row: 3, code: 'negative' }] },
    },
  ])
})

test('what goes wrong is said, under the number of its request', async () => {
  ask({ id: 4, type: 'read-price-list', csv: null as never, mapping: {} as never, context: {} as never, shown: 1 })
  await until(() => said.length > 0)
  expect(said).toMatchObject([{ id: 4, type: 'failed' }])
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
    ask({ id: 5, type: 'work', name: 'portion-plan', input: loin })
    await until(() => said.length > 0)
    expect(said).toEqual([{ id: 5, type: 'worked', answer: planPortions(loin) }])
  })

  test('a bonded log and a rack are worked out too', async () => {
    ask({ id: 6, type: 'work', name: 'bonded-plan', input: { ...loin, pieces: [loin.piece, loin.piece] } })
    ask({
      id: 7,
      type: 'work',
      name: 'rack-plan',
      input: { racks: [rack], target: 195, low: 175, high: 215, perPortion: 2, style: 'graded' },
    })
    await until(() => said.length === 2)
    expect(said.map((reply) => [reply.id, reply.type]).sort()).toEqual([
      [6, 'worked'],
      [7, 'worked'],
    ])
  })

  test('plates tell how far they are, and a cancelled input is not answered', async () => {
    const weights = Array.from({ length: 20 }, (_, index) => 95 + ((index * 37) % 23))
    const pieces = weights.map((weight, index) => ({ id: String(index), weight, kind: 'any' }))
    const plate = { low: 180, target: 211.3, high: 240, needs: [{ kind: 'any', count: 2 }] }
    const alike = pieces.map((piece) => ({ ...piece, weight: 100 }))
    ask({ id: 8, type: 'work', name: 'plating', input: { pieces: alike, plate: { ...plate, target: 200 } } })
    await until(() => kinds().includes('worked'))
    expect(kinds()[0]).toBe('progress')
    said.length = 0
    ask({ id: 9, type: 'work', name: 'plating', input: { pieces, plate } })
    ask({ id: 9, type: 'cancel' })
    ask({ id: 10, type: 'work', name: 'plating', input: { pieces, plate } })
    await until(() => kinds().includes('worked'))
    expect(answered('worked')).toEqual([10])
  })
})

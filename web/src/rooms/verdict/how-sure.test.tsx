import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import { type ForecastModel, ForecastRun, forecastOf, type Spreads } from '@fleam/core/forecasting'
import { act, fireEvent, screen } from '@testing-library/react'
import { sixChickens } from '../../../../core/test/documents.ts'
import { answered, LARCH_HALT, renderPart, touch } from '../../../test/render.tsx'
import { answerWith } from '../../../test/server.ts'
import { BatchSize } from './batch-size.tsx'
import { HowSure } from './how-sure.tsx'

// Charts need a laid-out page; what they are told is tested here.
jest.mock('./forecast-chart.tsx', () => ({ __esModule: true, default: () => <p>chart</p> }))
jest.mock('./batch-chart.tsx', () => ({
  __esModule: true,
  default: ({ curve }: { curve: { points: object[] } }) => <p>{curve.points.length} points</p>,
}))
jest.mock('../../workers/core-client.ts', () => ({ forecastAside: (request: DrawRequest) => drawHere(request) }))

interface DrawRequest {
  model: ForecastModel
  spreads: Spreads
  seed: number
}
const drawn: DrawRequest[] = []
async function drawHere(request: DrawRequest) {
  drawn.push(request)
  const run = new ForecastRun(request.model, request.spreads, { draws: 4000, seed: request.seed })
  run.step(4000)
  return forecastOf(request.model, request.spreads, run.savings)
}

const record = { id: 'r', units: 6, piles: [{ id: 'supremes', name: 'supremes' }] } as FabricationRecord
const cheap = sixChickens({ purchase: { ...sixChickens().purchase, price: { amount: 3.1, per: 'kg' } } })
const test_ = (share: number) => ({ date: '2026-11-20', shares: { supremes: share }, minutesPerUnit: 9 + share })

async function show(tests: object[], document = cheap) {
  answerWith({
    [`GET /api/kitchens/${LARCH_HALT.id}/fabrications/r/evidence`]: { body: { tests, apPrices: [3, 3.2], offers: [] } },
  } as never)
  await act(async () => {
    renderPart(<HowSure record={record} />, { document })
  })
  await answered()
}
const region = () => screen.getByRole('region', { name: 'How sure is it' })

beforeEach(() => {
  drawn.length = 0
})

test('says in how many cases making is cheaper, by how much, and what moves it most', async () => {
  await show([test_(0.27), test_(0.265), test_(0.275)])
  expect(region().textContent).toMatch(
    /Making supremes is cheaper in (?:more than )?\d+ of 100 cases\. On average it keeps €\d\.\d\d a portion/,
  )
  expect(region().textContent).toContain('It rests on 3 of the kitchen’s own tests')
  await touch(screen.getByRole('button', { name: /What moves it most/ }))
  expect(screen.getAllByRole('row').length).toBeGreaterThan(4)
  expect(drawn[0]?.spreads.yield.kind).toBe('t')
})

test.each([
  [[], 'no test'],
  [[test_(0.27)], 'one test'],
  [[test_(0.27), test_(0.26)], 'two tests'],
])('with fewer than three tests it says that it rests on assumed yields (%#)', async (tests, words) => {
  await show(tests)
  expect(region().textContent).toContain(`It rests on assumed yields: ${words} of this cut style so far`)
  expect(region().textContent).toMatch(/even at a yield of \d+\.\d\s%/)
  expect(drawn[0]?.spreads.yield.kind).toBe('normal')
})

test('without an offer there is nothing to be sure of', async () => {
  await show([], sixChickens({ offers: [] }))
  expect(screen.queryByRole('region')).toBeNull()
})

describe('the batch', () => {
  const pays = () => screen.getByText(/Making pays|No batch/).textContent

  test('says from how many on making pays, and follows the minutes of setting up', async () => {
    await act(async () => {
      renderPart(<BatchSize record={record} />, { document: cheap })
    })
    const before = pays()
    expect(before).toMatch(/Making pays from a batch of \d+ on|Making pays from the first one on/)
    fireEvent.change(screen.getByLabelText('Minutes to set up and clean down'), { target: { value: '50' } })
    expect(pays()).not.toBe(before)
  })

  test('of a quick bird begins with minutes that it may have', async () => {
    const quick = sixChickens({ labour: [{ task: 'break down', minutes: 4, ratePerHour: 21.4 }] })
    await act(async () => {
      renderPart(<BatchSize record={record} />, { document: quick })
    })
    const field = screen.getByLabelText('Minutes to set up and clean down') as HTMLInputElement
    expect([field.value, field.getAttribute('aria-invalid')]).not.toContain('true')
    expect(Number(field.value)).toBe(4)
  })

  test('says where none does', async () => {
    await act(async () => {
      renderPart(<BatchSize record={record} />, {
        document: sixChickens({ purchase: { ...cheap.purchase, price: { amount: 12, per: 'kg' } } }),
      })
    })
    expect(pays()).toBe('No batch up to 18 makes making cheaper.')
  })
})

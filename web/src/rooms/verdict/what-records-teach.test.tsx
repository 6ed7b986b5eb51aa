import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import { act, screen, within } from '@testing-library/react'
import { sixChickens } from '../../../../core/test/documents.ts'
import { answered, LARCH_HALT, renderPart } from '../../../test/render.tsx'
import { answerWith } from '../../../test/server.ts'
import { BatchSize } from './batch-size.tsx'
import { ClaimStrip } from './claim-strip.tsx'
import { StepWorths } from './step-worths.tsx'

jest.mock('./batch-chart.tsx', () => ({ __esModule: true, default: () => <p>chart</p> }))

const record = {
  id: 'r',
  units: 6,
  cookId: 'marit',
  cook: 'Marit',
  labour: [{ task: 'break down', minutes: 54, ratePerHour: 21.4 }],
  piles: [{ id: 'supremes', name: 'supremes', valuePerKg: 13.2 }],
  steps: [
    {
      id: 'wishbone',
      title: 'Lift the wishbone',
      isOptional: true,
      gain: { pileId: 'supremes', grams: 6, seconds: 30 },
    },
    { id: 'legs', title: 'Take the legs off', isOptional: false, gain: null },
  ],
} as unknown as FabricationRecord

interface TestOf {
  grams?: number
  minutes?: number
  isDone?: boolean
  cookId?: string
}
const test_ = ({ grams = 540, minutes = 9, isDone, cookId = 'marit' }: TestOf) => ({
  date: '2026-11-20',
  cookId,
  units: 6,
  unitWeight: 2100,
  shares: { supremes: grams / 2100 },
  minutesPerUnit: minutes,
  stepsDone: isDone === undefined ? null : isDone ? ['wishbone', 'legs'] : ['legs'],
})

async function show(part: React.ReactNode, tests: object[]) {
  answerWith({
    [`GET /api/kitchens/${LARCH_HALT.id}/fabrications/r/evidence`]: { body: { tests, apPrices: [], offers: [] } },
  } as never)
  await act(async () => void renderPart(part, { document: sixChickens() }))
  await answered()
}

describe('is the step worth it', () => {
  const row = () => screen.getByRole('row', { name: /Lift the wishbone/ })

  test('by assumed grams and seconds, until records measure it', async () => {
    await show(<StepWorths record={record} />, [test_({ isDone: true }), test_({ isDone: false }), test_({})])
    expect(row().textContent).toContain('assumed')
    // 6 g at 13.20 a kilo against half a minute at 21.40 an hour.
    expect(row().textContent).toMatch(/leave it: it saves €0\.10 each at your wage/)
    expect(screen.queryByRole('row', { name: /Take the legs off/ })).toBeNull()
  })

  test('measured by records with it and without it', async () => {
    await show(<StepWorths record={record} />, [
      test_({ isDone: true, grams: 560, minutes: 9 }),
      test_({ isDone: true, grams: 561, minutes: 9.01 }),
      test_({ isDone: false, grams: 530, minutes: 8.8 }),
      test_({ isDone: false, grams: 531, minutes: 8.81 }),
    ])
    expect(row().textContent).toContain('measured: 2 records with it, 2 without')
    expect(row().textContent).toMatch(/30\s?g of supremes/)
    expect(row().textContent).toMatch(/do it: it brings €0\.\d\d each/)
  })

  test('where the interval holds both, it says that it cannot be told', async () => {
    await show(<StepWorths record={record} />, [
      test_({ isDone: true, grams: 500 }),
      test_({ isDone: true, grams: 580 }),
      test_({ isDone: false, grams: 590 }),
      test_({ isDone: false, grams: 488 }),
    ])
    expect(row().textContent).toMatch(/cannot be told: it lies between/)
  })
})

describe('learning', () => {
  const falling = (cookId: string) => [6, 6.6, 7.4, 8.6, 11].map((minutes) => test_({ minutes, cookId }))

  test('is told where the minutes fall for sure, by the cook’s own records', async () => {
    await show(<BatchSize record={record} />, [...falling('marit'), test_({ minutes: 20, cookId: 'bruno' })])
    const words = screen.getByText(/Each time the number cut doubles/).textContent as string
    expect(words).toContain('by Marit’s 5 records')
    expect(Number(/doubles, ([\d.]+)/.exec(words)?.[1])).toBeLessThan(90)
  })

  test('of a cook with few records is told by the kitchen’s', async () => {
    await show(<BatchSize record={record} />, falling('bruno'))
    expect(screen.getByText(/Each time the number cut doubles/).textContent).toContain('by the kitchen’s 5 records')
  })

  test('is not claimed where the minutes scatter, nor from too few records', async () => {
    await show(
      <BatchSize record={record} />,
      [9, 10, 8.7, 10.1].map((minutes) => test_({ minutes })),
    )
    expect(screen.getByText(/No learning can be told/)).toBeTruthy()
    document.body.innerHTML = ''
    await show(<BatchSize record={record} />, [test_({}), test_({})])
    expect(screen.getByText(/Four records of this style tell/)).toBeTruthy()
  })
})

test('a claim is a line through all three yields; those it meets say so', async () => {
  renderPart(<ClaimStrip claimed={0.84} />, { document: sixChickens() })
  const table = screen.getByRole('table')
  const rows = within(table).getAllByRole('row')
  expect(rows.map((row) => within(row).getByRole('rowheader').textContent)).toEqual([
    'portion yield',
    'drained yield',
    'utilisation',
  ])
  expect(rows.filter((row) => row.className === 'fits').length).toBeLessThanOrEqual(1)
  expect(table.querySelectorAll('.claim-band')).toHaveLength(3)
})

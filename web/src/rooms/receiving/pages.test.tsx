import type { Lot, LotRow } from '@fleam/contract/receiving/schemas'
import type { Item } from '@fleam/core/style'
import { act, screen } from '@testing-library/react'
import { answered, LARCH_HALT, renderPart } from '../../../test/render.tsx'
import { answerWith } from '../../../test/server.ts'
import { Component as Cold } from './cold.tsx'
import { Component as Receiving } from './receiving.tsx'

const BASE = `/api/kitchens/${LARCH_HALT.id}`
const ITEMS = [
  {
    id: 'i',
    name: 'Chicken, eviscerated',
    species: 'poultry',
    unitName: { one: 'bird', many: 'birds' },
    isArchived: false,
    styles: [],
  },
] as unknown as Item[]
const lot = (changes: Partial<Lot> = {}): LotRow => ({
  usedWeight: 0,
  lot: {
    id: changes.code ?? 'lot',
    version: 1,
    itemId: 'c',
    item: 'Chicken, eviscerated',
    supplierId: 's',
    supplier: 'Ostravale Poultry Yard',
    code: 'L-1',
    gtin: null,
    price: { amount: 4, per: 'kg' },
    extras: null,
    pieces: 6,
    receivedOn: '2026-11-20',
    productionDate: null,
    useBy: '2099-12-10',
    openedOn: null,
    isFinished: false,
    standing: 'accepted',
    standingReason: null,
    standingById: null,
    standingBy: null,
    invoiceNumber: null,
    orderNumber: null,
    articleNumber: null,
    expectedLineId: null,
    notes: null,
    cases: [{ id: 'a', label: null, serial: null, invoiceWeight: 10_000, weighed: 10_000 }],
    checks: [],
    ...changes,
  },
})
async function show(page: React.ReactElement, answers: Record<string, unknown>) {
  const asked = answerWith(
    Object.fromEntries(Object.entries(answers).map(([path, body]) => [`GET ${BASE}${path}`, { body }])) as never,
  )
  await act(async () => {
    renderPart(page)
  })
  await answered()
  return asked
}
const rows = () =>
  screen
    .getAllByRole('row')
    .slice(1)
    .map((row) => row.textContent)

describe('deliveries', () => {
  test('say what was found: short, faults, or right', async () => {
    const short = lot({
      code: 'S',
      cases: [{ id: 'a', label: null, serial: null, invoiceWeight: 10_000, weighed: 9_800 }],
    })
    const faulty = lot({
      code: 'F',
      checks: [{ checkId: 'skin', isFault: true, value: null, note: null, worth: null }],
    })
    await show(<Receiving />, { '/lots': [short, faulty, lot({ code: 'R' })] })
    const [first, second, third] = rows()
    expect(first).toMatch(/200\sg short$/)
    expect(second).toMatch(/1 fault$/)
    expect(third).toMatch(/right$/)
  })

  test('that are not there yet say what to do when one comes', async () => {
    await show(<Receiving />, { '/lots': [] })
    expect(screen.getByText('Nothing has been received yet')).toBeTruthy()
  })

  test('in the cold stand by their last day, and what is finished is gone', async () => {
    await show(<Cold />, {
      '/items': ITEMS,
      '/lots': [
        lot({ code: 'LATE' }),
        lot({ code: 'OVER', useBy: '2020-01-01' }),
        lot({ code: 'GONE', isFinished: true }),
      ],
    })
    expect(rows()).toHaveLength(2)
    expect(rows()[0]).toMatch(/days ago.*OVER/)
    expect(rows()[1]).toContain('LATE')
  })

  test('an empty cold says so', async () => {
    await show(<Cold />, { '/items': ITEMS, '/lots': [] })
    expect(screen.getByText('Nothing raw is in the cold')).toBeTruthy()
  })
})

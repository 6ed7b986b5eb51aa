import type { SupplierCard } from '@fleam/contract/supplier-card/schemas'
import { act, screen, within } from '@testing-library/react'
import { answered, LARCH_HALT, renderPart, touch } from '../../../../test/render.tsx'
import { answerWith, problemOf } from '../../../../test/server.ts'
import { Component as Suppliers } from './suppliers.tsx'

jest.mock('../../../parts/price-chart.tsx', () => ({ __esModule: true, default: () => null }))

const BASE = `/api/kitchens/${LARCH_HALT.id}`
const card = (changes: Partial<SupplierCard> = {}): SupplierCard => ({
  id: 'b',
  name: 'Brindlemere Meats',
  records: 12,
  yieldAgainstStyle: { mean: -0.025, low: -0.03, high: -0.02 },
  items: [
    {
      item: 'i',
      style: 's',
      itemName: 'Chicken',
      styleName: 'Supremes',
      ap: 150_000,
      portionYield: 0.37,
      records: 12,
      spent: 498,
      primaryWeight: 57_500,
      others: { records: 40, spent: 900, primaryWeight: 100_000 },
    },
  ],
  deliveries: { count: 3, short: 1, shortWeight: 420, faults: 0, sentBack: 0, claimed: 12.5 },
  prices: [
    {
      article: 'a',
      name: 'Chicken, economy',
      per: 'kg',
      points: [
        { from: '2026-01-05', amount: 2.7 },
        { from: '2026-10-13', amount: 2.9 },
      ],
    },
  ],
  ...changes,
})

async function show(cards: unknown) {
  answerWith({ [`GET ${BASE}/supplier-cards?`]: cards } as never)
  await act(async () => void renderPart(<Suppliers />, { path: '/logbook/suppliers?period=all' }))
  await answered()
}

test('a card says what the goods give, what a kilo on the plate cost, what was short and how prices went', async () => {
  await show({ body: [card()] })
  const region = screen.getByRole('region', { name: 'Brindlemere Meats' })
  expect(region.textContent).toContain('2.5 points less than the others’ goods')
  expect(region.textContent).toMatch(/3 deliveries, 1 short, 420\sg in all, no fault found, €12\.50 to be claimed\./)
  const row = within(region).getByRole('row', { name: /^Chicken: supremes/ })
  expect(row.textContent).toMatch(/€8\.66.*€9\.00/)
  expect(region.textContent).toMatch(/€2\.90 a kg since 13 Oct 2026, €2\.70 on 5 Jan 2026: \+7\.4 %/)
  await touch(within(row).getByRole('button', { name: '€8.66' }))
  expect(document.querySelector('.formula')?.textContent).toContain('net cost of 12 records')
})

test('nobody to compare with, nothing delivered, nothing brought and no answer are said', async () => {
  const deliveries = { count: 0, short: 0, shortWeight: 0, faults: 0, sentBack: 0, claimed: 0 }
  await show({ body: [card({ yieldAgainstStyle: null, items: [], prices: [], deliveries })] })
  expect(screen.getByText(/Nobody else brings the same cuts/).textContent).toContain('No delivery was weighed')
  expect(screen.getByText('Nothing of it was cut and counted.')).toBeTruthy()
  await show({ body: [] })
  expect(screen.getByText('No supplier brought anything')).toBeTruthy()
  await show(problemOf('invalid-input', 400))
  expect(screen.getAllByRole('alert').length).toBeGreaterThan(0)
})

import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import { act, screen } from '@testing-library/react'
import { sixChickens } from '../../../../core/test/documents.ts'
import { answered, LARCH_HALT, renderPart } from '../../../test/render.tsx'
import { answerWith } from '../../../test/server.ts'
import { MovedPrices } from './moved-prices.tsx'

const record = { id: 'f', status: 'closed', supplier: 'Ostravale Poultry Yard', currency: 'EUR' } as FabricationRecord

async function show(changes: unknown[]) {
  answerWith({ [`GET /api/kitchens/${LARCH_HALT.id}/fabrications/f/moved-prices`]: { body: changes } })
  await act(async () => void renderPart(<MovedPrices record={record} />, { document: sixChickens() }))
  await answered()
}

test('prices that have moved are said first, with today’s cost beside what buying costs', async () => {
  await show([{ kind: 'purchase', price: { amount: 9, per: 'kg' }, extras: null, since: '2026-11-24' }])
  const words = screen.getByRole('region', { name: 'Prices have moved' }).textContent
  expect(words).toMatch(/Ostravale Poultry Yard: €9.00 a.kilo since Tue 24 Nov, here €4.35/)
  expect(words).toMatch(/Today a portion of supremes costs €\d+\.\d\d made and €3\.97 bought: buy\./)
})

test('while they stand, nothing is said', async () => {
  await show([])
  expect(screen.queryByRole('region')).toBeNull()
})

import type { LotRow } from '@fleam/contract/receiving/schemas'
import { act, screen } from '@testing-library/react'
import { answered, LARCH_HALT, renderPart } from '../../../test/render.tsx'
import { answerWith } from '../../../test/server.ts'
import { UseBySoon } from './use-by-soon.tsx'

const BASE = `GET /api/kitchens/${LARCH_HALT.id}`
const day = (days: number) => new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10)
const lot = (code: string, useBy: string | null, usedWeight = 0) =>
  ({
    usedWeight,
    lot: {
      id: code,
      code,
      item: 'Duck',
      useBy,
      openedOn: null,
      isFinished: false,
      price: { amount: 1, per: 'kg' },
      cases: [{ id: 'a', invoiceWeight: 9_600, weighed: null }],
    },
  }) as unknown as LotRow

async function show(lots: LotRow[]) {
  answerWith({
    [`${BASE}/lots`]: { body: lots },
    [`${BASE}/items`]: { body: [{ id: 'i', name: 'Duck', species: 'poultry' }] },
  } as never)
  await act(async () => {
    renderPart(<UseBySoon />)
  })
  await answered()
}

test('what must go first is named with its last day, what keeps is not', async () => {
  await show([lot('LATER', day(20)), lot('OVER', day(-3)), lot('USED', day(0), 9_600)])
  const entries = screen.getAllByRole('listitem').map((entry) => entry.textContent)
  expect(entries).toHaveLength(1)
  expect(entries[0]).toMatch(/Duck, lot OVER: 9,600\sg left, last day [34] days ago\./)
})

test('where nothing presses, nothing is said', async () => {
  await show([lot('LATER', day(20)), lot('UNKNOWN', null)])
  expect(screen.queryByRole('region')).toBeNull()
})

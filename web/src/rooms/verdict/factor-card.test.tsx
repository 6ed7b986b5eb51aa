import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import { act, screen } from '@testing-library/react'
import { reading as madeReading } from '../../../../core/test/facts.ts'
import { RECORD } from '../../../test/bench.ts'
import { answered, LARCH_HALT, renderPart } from '../../../test/render.tsx'
import { answerWith } from '../../../test/server.ts'
import { Component as Card } from './factor-card.tsx'

const piles = RECORD.piles.map((pile) => (pile.name === 'bones' ? { ...pile, valuePerKg: 1.3 } : pile))
const record = { ...RECORD, piles, status: 'closed', closedAt: RECORD.startedAt } as FabricationRecord
const reading = (pileId: string, grams: number, at: number) =>
  madeReading(`${pileId} ${at}`, pileId, grams, { order: at + 1 })
const readings = [
  ...Array.from({ length: 12 }, (_, index) => reading('supremes', 280 + index, index)),
  reading('bones', 8900, 30),
]

async function show(kitchen = LARCH_HALT) {
  const base = `GET /api/kitchens/${kitchen.id}/fabrications/`
  answerWith({
    [base]: { body: { record, facts: readings } },
    [`${base}f/evidence`]: {
      body: { tests: [{ date: '2026-11-24', shares: {}, minutesPerUnit: 9 }], apPrices: [], offers: [] },
    },
  } as never)
  await act(async () => {
    renderPart(<Card />, { kitchen })
  })
  await answered()
}

test('a factor stands with the day, the tests, and the prices between which it holds', async () => {
  await show()
  expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Cost factors: Chicken')
  expect(screen.getByText(/one test of this style so far/).textContent).toContain('weighed on 24 Nov 2026')
  const row = screen.getByRole('row', { name: /supremes/ }).textContent as string
  const [, factor, cost] = /supremes(\d+\.\d+)€(\d+\.\d\d)/.exec(row) ?? []
  // The factor times the price it was made at is what a portion costs.
  expect(Number(factor) * 3.1).toBeCloseTo(Number(cost), 1)
})

test('in a kitchen that works in pounds the factor is for a price a pound', async () => {
  await show()
  const perKilo = Number(
    /supremes(\d+\.\d+)€/.exec(screen.getByRole('row', { name: /supremes/ }).textContent as string)?.[1],
  )
  document.body.innerHTML = ''
  await show({ ...LARCH_HALT, id: '019b76da-a861-7000-8000-000000000009', units: 'imperial' })
  const perPound = Number(
    /supremes(\d+\.\d+)€/.exec(screen.getByRole('row', { name: /supremes/ }).textContent as string)?.[1],
  )
  expect(perPound / perKilo).toBeCloseTo(2.2046, 2)
  expect(screen.getByText(/Price a pound, times/)).toBeTruthy()
})

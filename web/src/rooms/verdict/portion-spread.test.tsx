import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import { fireEvent, screen } from '@testing-library/react'
import { sixChickens } from '../../../../core/test/documents.ts'
import { step } from '../../../test/bench.ts'
import { renderPart } from '../../../test/render.tsx'
import { PortionSpread } from './portion-spread.tsx'
import { StepWorths } from './step-worths.tsx'

const record = {
  item: 'Chicken, eviscerated',
  species: 'poultry',
  labour: [{ task: 'break down', minutes: 54, ratePerHour: 21.4 }],
  piles: [{ id: 'supremes', name: 'supremes', valuePerKg: 13.2, cookingLoss: 0.22 }],
  steps: [
    step('wishbone', { isOptional: true, gain: { pileId: 'supremes', grams: 6, seconds: 30 } }),
    step('oysters', { isOptional: true, gain: { pileId: 'supremes', grams: 30, seconds: 20 } }),
    step('dry'),
  ],
} as unknown as FabricationRecord

describe('the portions', () => {
  test('say how many are right, what is given away, and what a tighter hand saves in a week', () => {
    renderPart(<PortionSpread record={record} />, { document: sixChickens() })
    expect(screen.getByRole('img').getAttribute('aria-label')).toMatch(/Pieces by weight: \d+ of 270/)
    expect(screen.getByText(/^100\.0\s%$/)).toBeTruthy()
    fireEvent.change(screen.getByLabelText('Portions of supremes served a week'), { target: { value: '100' } })
    expect(screen.getByText(/and save €\d+\.\d\d of €\d+\.\d\d a week/)).toBeTruthy()
  })

  test('say what is left of them on the plate, and follow another cooking loss', () => {
    renderPart(<PortionSpread record={record} />, { document: sixChickens() })
    const plate = () => screen.getAllByText(/on the plate/)[0]?.textContent
    const before = plate()
    expect(before).toMatch(/^221\sg on the plate, €\d\.\d\d for 100\sg served\.$/)
    fireEvent.change(screen.getByLabelText('Cooking loss of supremes, %'), { target: { value: '50' } })
    expect(plate()).toMatch(/^142\sg on the plate/)
  })
})

test('each optional step says whether it is worth its time', () => {
  renderPart(<StepWorths record={record} />, { document: sixChickens() })
  const [, wishbone, oysters] = screen.getAllByRole('row').map((row) => row.textContent)
  expect(wishbone).toContain('leave it: it saves €0.10 each at your wage')
  expect(wishbone).toContain('€9.50')
  expect(oysters).toContain('do it: it brings €0.28 each at your wage')
  expect(screen.queryByText(/Do dry/)).toBeNull()
})

import { screen } from '@testing-library/react'
import { sixChickens } from '../../../../core/test/documents.ts'
import { renderPart } from '../../../test/render.tsx'
import { MoneyBars } from './money-bars.tsx'

const amounts = (text: string) =>
  [...text.matchAll(/(\u2212?)€(\d+\.\d\d)/g)].map(([, sign, amount]) => Number(amount) * (sign ? -1 : 1))

test('rounded parts add up to the rounded total, made and bought', () => {
  renderPart(<MoneyBars />, { document: sixChickens() })
  for (const row of screen.getAllByRole('row')) {
    const [total, ...parts] = amounts(row.textContent ?? '')
    expect(parts.length).toBeGreaterThan(1)
    expect(parts.reduce((sum, part) => sum + part, 0)).toBeCloseTo(total as number, 9)
  }
})

test('without an offer there is nothing to set side by side', () => {
  renderPart(<MoneyBars />, { document: sixChickens({ offers: [] }) })
  expect(screen.queryByRole('table')).toBeNull()
})

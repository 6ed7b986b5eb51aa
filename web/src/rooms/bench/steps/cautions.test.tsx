import { screen } from '@testing-library/react'
import { renderPart } from '../../../../test/render.tsx'
import { BenchCautions } from './cautions.tsx'

test('cautions stand at the board and defer to the local code', () => {
  renderPart(<BenchCautions species="poultry" />)
  const cautions = screen.getByRole('complementary', { name: 'Cautions' })
  expect(cautions.textContent).toContain('5 °C (41 °F)')
  expect(cautions.textContent).toContain('Poultry is cut last')
  expect(cautions.textContent).toContain('Your local code')
})

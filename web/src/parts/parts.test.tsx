import { formatFor } from '@fleam/core/wording'
import { fireEvent, screen, within } from '@testing-library/react'
import { sixChickens } from '../../../core/test/documents.ts'
import { LARCH_HALT, renderPart, touch } from '../../test/render.tsx'
import { Figure } from './figure.tsx'
import { NumberField } from './number-field.tsx'
import { TwinBeam } from './twin-beam.tsx'
import { WeightField } from './weight-field.tsx'

describe('a figure', () => {
  test('opens to its formula, with names and with this fabrication’s numbers', async () => {
    renderPart(<Figure of={{ group: 'weights', figure: 'unaccounted' }}>63 g</Figure>, { document: sixChickens() })
    await touch(screen.getByRole('button', { name: '63 g' }))
    const popover = screen.getByRole('tooltip')
    expect(popover.textContent).toContain('received weight \u2212 purge')
    expect(popover.textContent).toContain('12,540\u00a0g \u2212 90\u00a0g')
  })

  test('closes again', async () => {
    renderPart(<Figure of={{ group: 'cost', figure: 'net' }}>x</Figure>, { document: sixChickens() })
    const button = screen.getByRole('button', { name: 'x' })
    await touch(button)
    expect(button.getAttribute('aria-expanded')).toBe('true')
    await touch(button)
    expect(button.getAttribute('aria-expanded')).toBe('false')
  })
})

test('the twin beam is read aloud as a table of weight and money', () => {
  renderPart(<TwinBeam />, { document: sixChickens() })
  const table = screen.getByRole('table', { name: /weight went/ })
  const supremes = within(table).getByRole('row', { name: /supremes/ })
  expect(supremes.textContent).toMatch(/3,407\u00a0g27\.0\u00a0%€/)
  expect(within(table).getByRole('row', { name: /bin/ }).textContent).toContain('none')
})

describe('fields', () => {
  test('a weight says what it understood, and refuses what is not one', () => {
    const changes: (number | null)[] = []
    renderPart(<WeightField label="Weight" grams={null} onChange={(grams) => changes.push(grams)} />)
    const field = screen.getByLabelText('Weight')
    fireEvent.change(field, { target: { value: '1,2 kg' } })
    expect(screen.getByText('= 1,200 g')).toBeTruthy()
    fireEvent.change(field, { target: { value: 'much' } })
    expect(screen.getByText(/not a weight/)).toBeTruthy()
    expect(changes).toEqual([1200, null])
  })

  test('a kitchen in pounds reads a bare number as pounds', () => {
    renderPart(<WeightField label="Weight" grams={null} onChange={() => {}} />, {
      kitchen: { ...LARCH_HALT, units: 'imperial' },
    })
    fireEvent.change(screen.getByLabelText('Weight'), { target: { value: '2' } })
    expect(screen.getByText('= 2 lb')).toBeTruthy()
  })

  test('a number out of its range is refused', () => {
    const changes: (number | null)[] = []
    renderPart(<NumberField label="Share" value={null} max={1} onChange={(value) => changes.push(value)} />)
    for (const value of ['0,5', '1.5', '-1', 'x'])
      fireEvent.change(screen.getByLabelText('Share'), { target: { value } })
    expect(changes).toEqual([0.5, null, null, null])
  })
})

test('prices by weight follow the kitchen', () => {
  expect(formatFor('EUR', 'metric').perWeight(4.61)).toBe('€4.61 a\u00a0kilo')
  expect(formatFor('USD', 'imperial').perWeight(10)).toBe('$4.54 a\u00a0pound')
})

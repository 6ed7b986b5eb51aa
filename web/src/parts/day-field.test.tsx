import { fireEvent, screen } from '@testing-library/react'
import { LARCH_HALT, renderPart } from '../../test/render.tsx'
import { dateWords, dayWords, writeDatesAs } from './dates.ts'
import { DayField } from './day-field.tsx'

afterEach(() => writeDatesAs('metric'))

describe('a day', () => {
  const show = (units: 'metric' | 'imperial') => {
    const said: (string | null)[] = []
    renderPart(<DayField label="From" value="2026-11-03" onChange={(day) => said.push(day)} />, {
      kitchen: { ...LARCH_HALT, units },
    })
    const field = screen.getByLabelText('From') as HTMLInputElement
    return { said, field, type: (text: string) => fireEvent.change(field, { target: { value: text } }) }
  }

  test('is written as the kitchen writes it, and typed in any usual way', () => {
    const { said, field, type } = show('metric')
    expect(field.value).toBe('3 Nov 2026')
    for (const text of ['24.12.2026', '2026-12-25', '26 Dec 2026']) type(text)
    expect(said).toEqual(['2026-12-24', '2026-12-25', '2026-12-26'])
  })

  test('in a kitchen of pounds begins with the month', () => {
    const { said, field, type } = show('imperial')
    expect(field.value).toBe('Nov 3, 2026')
    type('12/24/2026')
    expect(said).toEqual(['2026-12-24'])
  })
})

test('days in words follow the kitchen, with the year where it is another one', () => {
  expect([dayWords('2026-11-25', '2026'), dayWords('2025-11-25', '2026')]).toEqual(['Wed 25 Nov', 'Tue, 25 Nov 2025'])
  writeDatesAs('imperial')
  expect([dayWords('2026-11-25', '2026'), dateWords('2026-11-25')]).toEqual(['Wed, Nov 25', 'Nov 25, 2026'])
})

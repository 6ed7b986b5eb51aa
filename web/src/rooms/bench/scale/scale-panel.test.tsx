import type { ScaleReading } from '@fleam/contract/scale/scale-line'
import type { PlannedPile } from '@fleam/core/fabrication'
import { fireEvent, screen } from '@testing-library/react'
import { benchWith, RECORD, shown } from '../../../../test/bench.ts'
import { renderPart, touch } from '../../../../test/render.tsx'
import { ScalePanel } from './scale-panel.tsx'
import { StandIn } from './stand-in.tsx'

describe('the scale', () => {
  test('shows the weight, and the one thing to do when it has settled', async () => {
    const { bench, document, done } = benchWith({ reading: shown(281) })
    renderPart(<ScalePanel bench={bench} />, { document })
    expect(screen.getByRole('status').textContent).toBe('281\u00a0g')
    const take = screen.getByRole('button', { name: /Take 281/ })
    expect(take.getAttribute('aria-disabled')).toBe('false')
    await touch(take)
    expect(done).toEqual(['take'])
  })

  for (const [what, reading, words] of [
    ['moving', shown(150, 'moving'), 'settling …'],
    ['empty', shown(0), 'empty'],
    ['overloaded', shown(16000, 'over'), 'out of range'],
    ['missing', null, 'no scale: type the weight'],
  ] as const) {
    test(`when it is ${what} there is nothing to take`, () => {
      const { bench, document } = benchWith({ reading })
      renderPart(<ScalePanel bench={bench} />, { document })
      expect(screen.getByText(words)).toBeTruthy()
      expect(screen.getByRole('button', { name: /^Take/ }).getAttribute('aria-disabled')).toBe('true')
    })
  }

  test('a weight can be typed as cooks write it, and nonsense is refused and kept in the field', () => {
    const { bench, document, done } = benchWith()
    renderPart(<ScalePanel bench={bench} />, { document })
    const field = screen.getByLabelText('Weight typed by hand') as HTMLInputElement
    const add = (text: string) => {
      fireEvent.change(field, { target: { value: text } })
      fireEvent.submit(field.closest('form') as HTMLFormElement)
    }
    add('1,2 kg')
    add('1.6 kg, 6 pieces')
    expect(field.value).toBe('')
    for (const text of ['much', '-5', '0', '']) {
      add(text)
      expect(field.value).toBe(text)
      expect(screen.getByRole('alert').textContent).not.toBe('')
    }
    expect(done).toEqual(['typed 1200', 'typed 1600 for 6'])
  })
})

test('hands for the scale are there for a simulated one alone', () => {
  const stand = (reading: ScaleReading | null) =>
    renderPart(<StandIn reading={reading} pile={RECORD.piles[0] as PlannedPile} ap={12600} />)
  stand(shown(0))
  stand(null)
  expect(screen.queryByText(/Stand-in/)).toBeNull()
  stand(shown(0, 'stable', true))
  expect(screen.getByText('Stand-in: this scale is simulated')).toBeTruthy()
})

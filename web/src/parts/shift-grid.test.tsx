import { fireEvent, screen } from '@testing-library/react'
import { renderPart } from '../../test/render.tsx'
import { type GridShift, ShiftGrid } from './shift-grid.tsx'

const changes: unknown[][] = []
const grid = (shifts: readonly GridShift[]) => {
  changes.length = 0
  renderPart(
    <ShiftGrid
      rows={[{ id: 'm', name: 'Marit' }]}
      columns={['Mon', 'Tue']}
      shifts={shifts}
      onChange={(...said) => changes.push(said)}
    />,
  )
}
const MORNING = { cookId: 'm', column: 0, from: 480, until: 720 }

test('hours are added with a touch, and removed', () => {
  grid([MORNING])
  fireEvent.click(screen.getByRole('button', { name: 'Marit, Tue: add hours' }))
  const bar = screen.getByRole('button', { name: 'Marit, Mon: 8:00 to 12:00' })
  fireEvent.click(bar)
  expect(bar.getAttribute('aria-pressed')).toBe('true')
  fireEvent.click(screen.getByRole('button', { name: 'Marit, Mon: remove 8:00 to 12:00' }))
  fireEvent.keyDown(bar, { key: 'Delete' })
  expect(changes).toEqual([
    ['m', 1, [{ from: 480, until: 720 }]],
    ['m', 0, []],
    ['m', 0, []],
  ])
})

test('by keys it moves by half an hour, and grows with Shift; what is beside it stays', () => {
  grid([MORNING, { ...MORNING, from: 900, until: 1440 }])
  const bar = screen.getByRole('button', { name: 'Marit, Mon: 8:00 to 12:00' })
  fireEvent.keyDown(bar, { key: 'ArrowRight' })
  fireEvent.keyDown(bar, { key: 'ArrowLeft', shiftKey: true })
  fireEvent.keyDown(bar, { key: 'x' })
  const other = { from: 900, until: 1440 }
  expect(changes).toEqual([
    ['m', 0, [other, { from: 510, until: 750 }]],
    ['m', 0, [other, { from: 480, until: 690 }]],
  ])
  expect(screen.getByRole('button', { name: 'Marit, Mon: 15:00 to 24:00' })).toBeTruthy()
})

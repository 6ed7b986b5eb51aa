import { render } from '@testing-library/react'
import { MemoryRouter } from 'react-router-dom'
import { LotLink } from './lot-link.tsx'

const show = (lot: string | null, lotId: string | null) =>
  render(<LotLink lot={lot} lotId={lotId} />, { wrapper: MemoryRouter }).container

test('a lot that was received here leads to its page, another one is only named', () => {
  const known = show('OST-24', 'l1')
  expect(known.textContent).toBe(' · lot OST-24')
  expect(known.querySelector('a')?.getAttribute('href')).toBe('/buying/lots/l1')
  expect(show(null, 'l2').textContent).toBe(' · lot without a number')
  const typed = show('OST-25', null)
  expect(typed.textContent).toBe(' · lot OST-25')
  expect(typed.querySelector('a')).toBeNull()
  expect(show(null, null).textContent).toBe('')
})

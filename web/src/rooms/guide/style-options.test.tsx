import type { Style } from '@fleam/core/style'
import { screen } from '@testing-library/react'
import { renderPart, touch } from '../../../test/render.tsx'
import { newPile } from './style-draft.ts'
import { StyleOptions } from './style-options.tsx'

const choice = { why: '', minutes: 0, order: null, shares: {} }
const STYLE = {
  piles: [
    { ...newPile('p1', 'poultry'), name: 'supremes' },
    { ...newPile('p2', 'poultry'), name: 'bones and back' },
  ],
  options: [
    {
      id: 'wishbone',
      question: 'Wishbone',
      choices: [
        { ...choice, id: 'out', name: 'Out first' },
        { ...choice, id: 'left', name: 'Leave it', minutes: -0.5, shares: { p2: 0.003, p1: -0.003 } },
      ],
    },
  ],
} as unknown as Style

test('a choice says what it does to minutes and yield, by the names of the piles', async () => {
  const chosen: unknown[] = []
  renderPart(<StyleOptions style={STYLE} chosen={{}} onChosen={(readonly) => chosen.push(readonly)} />)
  const left = screen.getByRole('radio', { name: /Leave it/ })
  expect(left.closest('label')?.textContent).toContain(
    '\u22120.5\u00a0min, supremes \u22120.3\u00a0%, bones and back +0.3\u00a0%, assumed',
  )
  await touch(left)
  expect(chosen).toEqual([{ wishbone: 'left' }])
})
